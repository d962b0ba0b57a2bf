import { randomUUID } from 'node:crypto';
import type { PlaceOrder } from '@sardonyx/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { JobRow } from '../../entities/work.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { badInput, refused } from '../../http/errors.ts';
import { jobOfPart } from '../rows/rowKind.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';

/** Writes an order down; what it is for knows from now on that it is on its way. Returns the order. */
export async function placeOrder(manager: EntityManager, body: PlaceOrder, now: Date): Promise<StockOrderRow> {
  const { lines, ...fields } = body;
  if (fields.promisedOn < fields.orderedOn)
    throw badInput('It cannot come before it is ordered.', { promisedOn: 'Not before it is ordered.' });
  await findRow(manager, SupplierRow, body.supplierId, 'This supplier');
  const order = manager.create(StockOrderRow, {
    ...{ id: randomUUID(), version: 1, ...fields },
    firstPromisedOn: fields.promisedOn,
  });
  await manager.insert(StockOrderRow, order);
  for (const line of lines) {
    if (line.thingId !== null) await findRow(manager, StockThingRow, line.thingId, 'This thing');
    if (line.jobId !== null) await findRow(manager, JobRow, line.jobId, 'This job');
    const row = { id: randomUUID(), version: 1, orderId: order.id, ...line, bitId: line.bitId ?? null };
    if (line.wantId !== null && row.bitId !== null) await assertBitIsWanted(manager, line.wantId, row.bitId);
    else if (line.wantId !== null) await markOrdered(manager, line.wantId, order, now);
    await manager.insert(OrderLineRow, { ...row, arrivedOn: null, arrivedAmount: null, quality: null });
  }
  return order;
}

/** Whether something is on its way to a want, or to one of its small bits. */
const isOnItsWay = (manager: EntityManager, wantId: string, bitId: string | null): Promise<boolean> =>
  manager.existsBy(OrderLineRow, { wantId, bitId: bitId ?? IsNull(), arrivedOn: IsNull() });

async function assertBitIsWanted(manager: EntityManager, wantId: string, bitId: string): Promise<void> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const bit = want.bits.find(({ id }) => id === bitId);
  if (!bit) throw refused('no-bit', `“${want.what}” needs no such small bit any more.`);
  const isComing = await isOnItsWay(manager, wantId, bitId);
  if (isComing || bit.isHere || want.state === 'waived')
    throw refused('there', `“${bit.what}” is ${isComing ? 'on its way' : bit.isHere ? 'here' : 'waived'} already.`);
}

async function markOrdered(manager: EntityManager, wantId: string, order: StockOrderRow, now: Date): Promise<void> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const isThere = await isOnItsWay(manager, wantId, null);
  if (isThere || want.state === 'solved' || want.state === 'waived')
    throw refused('there', `“${want.what}” is ${isThere ? 'on its way' : want.state} already.`);
  await changeWant(manager, want, { state: 'ordered', dueOn: order.promisedOn, getBy: 'buy' }, now);
}

/** Changes a want, and the plan that follows from it. */
export async function changeWant(
  manager: EntityManager,
  want: WantRow,
  changes: Partial<WantRow>,
  now: Date,
): Promise<void> {
  await manager.update(WantRow, { id: want.id }, { ...changes, version: want.version + 1 });
  const jobId = await jobOfPart(manager, want.specimenPartId);
  if (jobId) await recompilePlan(manager, jobId, now);
}
