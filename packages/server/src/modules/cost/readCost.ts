import { gatherCost, STOCK_KINDS, callThing, type JobCost } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { OrderLineRow } from '../../entities/order.ts';
import { PaintPotRow, PaintProductRow, PotMovementRow } from '../../entities/paint.ts';
import { StockMovementRow, StockThingRow } from '../../entities/stock.ts';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readPotLog } from '../shelf/movePot.ts';

/** What a job took out of pots and drawers and what was got for it, with what it cost so far as that is known. */
export async function readCost(manager: EntityManager, jobId: string): Promise<JobCost> {
  await findRow(manager, JobRow, jobId, 'This job');
  const specimens = await manager.findBy(SpecimenRow, { jobId });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: In(specimens.map(({ id }) => id)) });
  return gatherCost({
    jobId,
    pots: await readPots(manager, jobId),
    things: await readThings(manager, jobId),
    // What was right is in its drawer or with its want; what was not was paid for all the same.
    orders: await manager.findBy(OrderLineRow, { jobId, quality: In(['poor', 'wrong']) }),
    wants: await manager.findBy(WantRow, { specimenPartId: In(parts.map(({ id }) => id)) }),
    wastedActs: await readWasted(manager, jobId, parts),
  });
}

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

/** Coats that were rejected, and what was poured into mixes that were given up. */
async function readWasted(
  manager: EntityManager,
  jobId: string,
  parts: readonly SpecimenPartRow[],
): Promise<ReadonlySet<string>> {
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(areas.map(({ id }) => id)), stage: 'applied' });
  const givenUp = (await manager.findBy(MixRow, { jobId })).filter((mix) => mix.endedAt && !mix.productId);
  const steps = await manager.findBy(MixStepRow, { mixId: In(givenUp.map(({ id }) => id)) });
  const rejected = layers.filter((layer) => layer.rejection !== null);
  return new Set([...rejected, ...steps].map(({ id }) => id));
}
