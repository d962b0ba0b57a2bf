import {
  checkAxle,
  countFor,
  countHeld,
  readLastMeasures,
  serviceOf,
  STOCK_KINDS,
  SUPPLY_KINDS,
  WHOLE_UNITS,
  type AxleQuestion,
  type Supply,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { JointRow } from '../../entities/catalogue.ts';
import { StockMovementRow, StockThingRow } from '../../entities/stock.ts';
import { TaskLogRow, TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readAxles } from '../tasks/readAxles.ts';
import { moveStock } from './moveStock.ts';

interface Taker {
  readonly who: string;
  readonly now: Date;
}

/**
 * A step that is done took what it takes out of the drawers: what was put by for its job first, then what is free, the oldest
 * first. What is not there is not taken, and holds nothing up; what is worn for an evening, and parts of what is counted whole,
 * are counted by hand.
 */
export async function takeUsed(manager: EntityManager, task: TaskRow, taker: Taker): Promise<void> {
  const wanted = task.uses.filter(({ what }) => SUPPLY_KINDS[what] === 'material' && what !== 'gloves');
  if (wanted.length) {
    const things = await manager.find(StockThingRow, { order: { id: 'ASC' } });
    for (const { what, amount } of wanted) await takeOne(manager, task, { what, amount, things }, taker);
  }
  if (task.act === 'close') await takeAxles(manager, task, taker);
}

interface Wanted {
  readonly what: Supply;
  readonly amount: number;
  readonly things: readonly StockThingRow[];
}

async function takeOne(
  manager: EntityManager,
  task: TaskRow,
  { what, amount, things }: Wanted,
  taker: Taker,
): Promise<void> {
  const heldOf = ({ state }: StockThingRow) => countHeld(state, task.jobId);
  const own = await manager.findBy(StockMovementRow, { taskId: task.id, move: 'reserved' });
  // Put by at this very step, put by for its job, free.
  const rank = (thing: StockThingRow) =>
    heldOf(thing) === 0 ? 2 : own.some(({ thingId }) => thingId === thing.id) ? 0 : 1;
  const serving = things
    .filter((thing) => serviceOf(thing) === what && (heldOf(thing) > 0 || !thing.isLocked))
    .sort((a, b) => rank(a) - rank(b));
  let left = amount;
  for (const thing of serving) {
    const taken = Math.min(left, countFor(thing, task.jobId, taker.now));
    const isWhole = WHOLE_UNITS.has(STOCK_KINDS[thing.kind].unit);
    if (taken <= 0 || (isWhole && !Number.isInteger(taken))) continue;
    await take(manager, task, thing, taken, taker);
    left -= taken;
    if (left <= 0) return;
  }
}

/** Axles that were put by go in when their ends are formed: of those that fit, by what was measured before the old ones went. */
async function takeAxles(manager: EntityManager, task: TaskRow, taker: Taker): Promise<void> {
  const { castingId } = await manager.findOneByOrFail(SpecimenRow, { id: task.specimenId });
  const joint = castingId && (await manager.findOneBy(JointRow, { castingId, key: task.of.jointKey ?? '' }));
  if (!joint || joint.kind !== 'formed axle') return;
  const axles = await readAxles(manager, task);
  const fitting = await findFitting(manager, task, axles);
  for (const { id, held } of axles.things) {
    const own = held.find(({ jobId }) => jobId === task.jobId)?.reserved ?? 0;
    if (own === 0 || (fitting && !fitting.has(id))) continue;
    const thing = await manager.findOneByOrFail(StockThingRow, { id });
    await take(manager, task, thing, Math.min(own, axles.count), taker);
  }
}

/** Ids of axles that fit; null where nobody measured: then whatever was put by is what goes in. */
async function findFitting(
  manager: EntityManager,
  { specimenId, of }: TaskRow,
  axles: Omit<AxleQuestion, 'measures' | 'shares'>,
): Promise<ReadonlySet<string> | null> {
  const measured = await manager.findOneBy(TaskRow, {
    specimenId,
    act: 'axle-in-hand',
    key: `axle-in-hand:${of.jointKey}`,
  });
  const log = measured ? await manager.find(TaskLogRow, { where: { taskId: measured.id }, order: { seq: 'ASC' } }) : [];
  // What others need is no longer asked: these are put by.
  const check = checkAxle({ ...axles, shares: [], measures: readLastMeasures(log) });
  return check && new Set(check.offers.map(({ thing }) => thing.id));
}

async function take(
  manager: EntityManager,
  { id, jobId, title }: TaskRow,
  thing: StockThingRow,
  amount: number,
  { who, now }: Taker,
): Promise<void> {
  const line = { move: 'taken' as const, amount, jobId, price: null, batch: '', who, note: title };
  // What is kept back and was put by all the same had been let go then.
  await moveStock(manager, { ...thing, isLocked: false }, { ...line, taskId: id }, now);
  thing.state = (await manager.findOneByOrFail(StockThingRow, { id: thing.id })).state;
}

/** A step that is taken back puts back what it took and nobody put back since. */
export async function putBackUsed(manager: EntityManager, { id, jobId, title }: TaskRow, taker: Taker): Promise<void> {
  const moved = await manager.find(StockMovementRow, { where: { taskId: id }, order: { at: 'ASC', seq: 'ASC' } });
  const out = new Map<string, number>();
  for (const { thingId, move, amount } of moved)
    if (move === 'taken' || move === 'put back')
      out.set(thingId, (out.get(thingId) ?? 0) + (move === 'taken' ? amount : -amount));
  for (const [thingId, amount] of out) {
    if (amount <= 0) continue;
    const thing = await manager.findOneByOrFail(StockThingRow, { id: thingId });
    const taken = thing.state.jobs.find((share) => share.jobId === jobId)?.taken ?? 0;
    const back = Math.min(amount, taken);
    if (back <= 0) continue;
    const line = { move: 'put back' as const, amount: back, jobId, price: null, batch: '', who: taker.who };
    await moveStock(manager, thing, { ...line, note: `${title}: taken back`, taskId: id }, taker.now);
  }
}
