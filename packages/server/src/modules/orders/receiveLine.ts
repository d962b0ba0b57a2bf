import { randomUUID } from 'node:crypto';
import type { ReceiveLine } from '@sardonyx/contract';
import { EMPTY_STOCK, listTraitOptions } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { JobRow } from '../../entities/work.ts';
import { ToolRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';
import { movePot, putUpPot } from '../shelf/movePot.ts';
import { moveStock } from '../stock/moveStock.ts';
import { answerWant, reopenWant } from './answerWant.ts';
import { markBit } from './setBitHere.ts';

/**
 * A line has come, or never will: what is right goes into its drawer or pot, to its want or into the workshop, with its price; what is
 * not is wanted again.
 */
export async function receiveLine(
  manager: EntityManager,
  lineId: string,
  body: ReceiveLine,
  now: Date,
): Promise<OrderLineRow> {
  const stored = await findRow(manager, OrderLineRow, lineId, 'This line');
  const job = stored.jobId === null ? null : await manager.findOneBy(JobRow, { id: stored.jobId });
  // A job that is signed off wants nothing any more: it is for the drawer.
  const line = job?.signedOffAt ? { ...stored, wantId: null, bitId: null, jobId: null } : stored;
  if (line.arrivedOn !== null)
    throw refused('already-done', `“${line.what}” was taken in on ${line.arrivedOn} already.`);
  const isSent = body.quality !== 'not sent';
  if (isSent && body.amount <= 0)
    throw refused('no-amount', 'Say how much came; or that it was not sent.', { amount: 'A number above nothing.' });
  const order = await findRow(manager, StockOrderRow, line.orderId, 'This order');
  const supplier = await findRow(manager, SupplierRow, order.supplierId, 'This supplier');
  const isGood = body.quality === 'as wanted';
  const received = {
    arrivedOn: now.toISOString().slice(0, 10),
    arrivedAmount: isSent ? body.amount : 0,
    ...{ quality: body.quality, price: body.price ?? line.price, version: line.version + 1 },
  };
  await manager.update(OrderLineRow, { id: line.id }, received);
  const from = `${supplier.name}, ordered on ${order.orderedOn}`;
  const { price } = received;
  if (line.wantId !== null && line.bitId !== null) {
    if (isGood) await markBit(manager, { wantId: line.wantId, bitId: line.bitId }, { isHere: true, price }, now);
  } else if (line.wantId !== null && isGood)
    await answerWant(manager, line.wantId, { origin: 'bought', from, who: body.who, price }, now);
  else if (line.wantId !== null) await reopenWant(manager, line.wantId, now);
  else if (isGood && line.toolKind !== null) await hangUpTool(manager, line, from);
  else if (isGood && line.pot !== null) await fillPot(manager, line, body, from, now);
  else if (isGood) await putIntoDrawer(manager, line, { body, from, supplierId: supplier.id }, now);
  return findRow(manager, OrderLineRow, line.id, 'This line');
}

async function hangUpTool(manager: EntityManager, line: OrderLineRow, from: string): Promise<void> {
  const name = line.what.charAt(0).toUpperCase() + line.what.slice(1);
  await manager.insert(ToolRow, {
    ...{ id: randomUUID(), version: 1, name, kind: line.toolKind!, state: 'ready', note: from, holds: '' },
  });
}

/** Paint goes into the pot that has most of it; one that the shelf does not know is written down there first. */
async function fillPot(
  manager: EntityManager,
  { id, pot: name, price }: OrderLineRow,
  { amount, batch, who, ...body }: ReceiveLine,
  note: string,
  now: Date,
): Promise<void> {
  const product = (await manager.find(PaintProductRow)).find((paint) => `${paint.line} ${paint.name}` === name);
  if (!product) throw refused('no-place', `The shelf has no ${name}: put the pot on the shelf first.`);
  const line = { move: 'bought' as const, price: body.price ?? price, batch, who, note, actId: id };
  const [pot] = await manager.find(PaintPotRow, {
    where: { productId: product.id },
    order: { leftMl: 'DESC' },
    take: 1,
  });
  if (pot) await movePot(manager, pot.id, { ...line, amount }, now);
  else await putUpPot(manager, { productId: product.id, leftMl: amount, openedOn: null, place: '' }, line, now);
}

interface Put {
  readonly body: ReceiveLine;
  readonly from: string;
  readonly supplierId: string;
}

async function putIntoDrawer(
  manager: EntityManager,
  line: OrderLineRow,
  { body, from, supplierId }: Put,
  now: Date,
): Promise<void> {
  const known = line.thingId === null ? null : await findRow(manager, StockThingRow, line.thingId, 'This thing');
  if (!known && !body.putInto)
    throw refused('no-place', 'It never lay in a drawer: say where it goes.', { drawer: 'Say where it goes.' });
  const thing = known ?? (await makePlace(manager, line, body, supplierId));
  const { amount, price, batch, who } = body;
  const bought = { move: 'bought' as const, amount, price: price ?? line.price, batch, who, note: from, jobId: null };
  await moveStock(manager, thing, bought, now);
  if (line.jobId === null) return;
  // What was sent for by one job is put by for it.
  const fresh = await findRow(manager, StockThingRow, thing.id, 'This thing');
  if (!fresh.isLocked)
    await moveStock(manager, fresh, { ...bought, move: 'reserved', jobId: line.jobId, price: null, batch: '' }, now);
}

async function makePlace(
  manager: EntityManager,
  { serves }: OrderLineRow,
  { putInto }: ReceiveLine,
  supplierId: string,
): Promise<StockThingRow> {
  const { kind, name, drawer } = putInto!;
  const there = await manager.findOneBy(StockThingRow, { kind, name, drawer });
  if (there) return there;
  const isServed = serves !== null && (listTraitOptions(kind, 'serves') ?? []).includes(serves);
  const thing = manager.create(StockThingRow, {
    ...{ id: randomUUID(), version: 1, kind, name, drawer, sizes: {}, traits: isServed ? { serves } : {} },
    ...{
      reorderAt: null,
      keepsDays: null,
      isLocked: false,
      supplierId,
      note: '',
      pictureHash: null,
      state: EMPTY_STOCK,
    },
  });
  await manager.insert(StockThingRow, thing);
  return thing;
}
