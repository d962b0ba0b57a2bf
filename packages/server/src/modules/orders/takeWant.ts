import type { TakeWant } from '@sardonyx/contract';
import { callThingWhere } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { StockThingRow } from '../../entities/stock.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { jobOfPart } from '../rows/rowKind.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { moveStock } from '../stock/moveStock.ts';
import { actOnTask } from '../tasks/actOnTask.ts';
import { answerWant, findGetting } from './answerWant.ts';
import { changeWant } from './placeOrder.ts';

/** A want is met out of a drawer: what is taken is in that drawer's log, with its price. */
export async function takeWant(
  manager: EntityManager,
  wantId: string,
  { thingId, amount, origin, who }: TakeWant,
  now: Date,
): Promise<WantRow> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const jobId = await jobOfPart(manager, want.specimenPartId);
  await assertJobIsOpen(manager, jobId);
  if (want.state !== 'open') throw refused('there', `“${want.what}” is ${want.state} already.`);
  const thing = await findRow(manager, StockThingRow, thingId, 'This thing');
  const line = { move: 'taken' as const, amount, jobId, price: null, batch: '', who, note: `for “${want.what}”` };
  await moveStock(manager, thing, line, now);
  const from = callThingWhere(thing);
  await answerWant(manager, wantId, { origin, from, who, price: null, taken: { thingId, amount } }, now);
  return findRow(manager, WantRow, wantId, 'This want');
}

/** Somebody thinks better of it: it lies there again, is wanted again, and is still to be got. Refused once work rests on it. */
export async function putBackWant(manager: EntityManager, wantId: string, who: string, now: Date): Promise<WantRow> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const jobId = await jobOfPart(manager, want.specimenPartId);
  await assertJobIsOpen(manager, jobId);
  if (want.taken === null) throw refused('not-there', `“${want.what}” did not come out of a drawer.`);
  const { thingId, amount } = want.taken;
  const thing = await findRow(manager, StockThingRow, thingId, 'This thing');
  const getting = await findGetting(manager, wantId);
  if (getting?.state === 'done') await actOnTask(manager, getting.id, { act: 'take back', who, note: '' }, now);
  const line = { move: 'put back' as const, amount, jobId, price: null, batch: '', who };
  await moveStock(manager, thing, { ...line, note: `for “${want.what}”` }, now);
  await changeWant(manager, want, { state: 'open', origin: null, solution: '', price: null, taken: null }, now);
  return findRow(manager, WantRow, wantId, 'This want');
}
