import { callThing, STOCK_KINDS, type ThingLog } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { PaintPotRow, PaintProductRow, PotMovementRow } from '../../entities/paint.ts';
import { StockMovementRow, StockThingRow } from '../../entities/stock.ts';
import { readPotLog } from '../shelf/movePot.ts';

/** Logs of what a job took of or made, whole: of what all of it cost follows what a part did. */
export interface LogsOfJob {
  readonly pots: readonly ThingLog[];
  readonly things: readonly ThingLog[];
}

export const readLogsOf = async (manager: EntityManager, jobId: string): Promise<LogsOfJob> => ({
  pots: await readPots(manager, jobId),
  things: await readThings(manager, jobId),
});

/** Logs of all pots that a job took of, or made. */
async function readPots(manager: EntityManager, jobId: string) {
  const own = await manager.findBy(PotMovementRow, { jobId });
  const pots = await manager.findBy(PaintPotRow, { id: In([...new Set(own.map(({ potId }) => potId))]) });
  const products = await manager.findBy(PaintProductRow, { id: In(pots.map(({ productId }) => productId)) });
  const logs = [];
  for (const { id, productId } of pots) {
    const { line, name, pricePerMl } = products.find((product) => product.id === productId)!;
    const log = { what: `${line} ${name}`, unit: 'ml' as const, usualPrice: pricePerMl };
    logs.push({ ...log, lines: await readPotLog(manager, id) });
  }
  return logs.sort((a, b) => a.what.localeCompare(b.what));
}

/** Logs of all things of the drawers that were moved for a job. */
async function readThings(manager: EntityManager, jobId: string) {
  const own = await manager.findBy(StockMovementRow, { jobId });
  const things = await manager.findBy(StockThingRow, { id: In([...new Set(own.map(({ thingId }) => thingId))]) });
  const logs = [];
  for (const thing of things) {
    const lines = await manager.find(StockMovementRow, { where: { thingId: thing.id }, order: { seq: 'ASC' } });
    logs.push({ what: callThing(thing), unit: STOCK_KINDS[thing.kind].unit, usualPrice: null, lines });
  }
  return logs.sort((a, b) => a.what.localeCompare(b.what));
}
