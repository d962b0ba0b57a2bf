import type { SetBitHere } from '@sardonyx/contract';
import { isDrawn, type WantBit } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { StockThingRow } from '../../entities/stock.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { notFound, refused } from '../../http/errors.ts';
import { jobOfPart } from '../rows/rowKind.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { moveStock } from '../stock/moveStock.ts';
import { changeWant } from './placeOrder.ts';

interface WhichBit {
  readonly wantId: string;
  readonly bitId: string;
}

/** A small bit is here, or is not after all. Out of a drawer it is taken for its job, and lies there again when somebody thinks better of it. */
export async function setBitHere(
  manager: EntityManager,
  which: WhichBit,
  { isHere, price, who }: SetBitHere,
  now: Date,
): Promise<WantRow> {
  const { want, bit } = await findBit(manager, which);
  const jobId = await jobOfPart(manager, want.specimenPartId);
  await assertJobIsOpen(manager, jobId);
  if (bit.isHere === isHere) throw refused('already-done', `“${bit.what}” is ${isHere ? 'here' : 'not here'} already.`);
  const thing = isDrawn(bit) ? await findRow(manager, StockThingRow, bit.thingId!, 'This thing') : null;
  if (thing && jobId) {
    const line = { jobId, price: null, batch: '', who, note: `for “${want.what}”`, amount: bit.amount };
    await moveStock(manager, { ...thing, isLocked: false }, { ...line, move: isHere ? 'taken' : 'put back' }, now);
  }
  // What a drawer keeps the price of has it there.
  return markBit(manager, which, { isHere, price: thing || !isHere ? null : price }, now);
}

/** Writes it down, and nothing else. */
export async function markBit(
  manager: EntityManager,
  which: WhichBit,
  changes: Pick<WantBit, 'isHere' | 'price'>,
  now: Date,
): Promise<WantRow> {
  const { want } = await findBit(manager, which);
  const bits = want.bits.map((one) => (one.id === which.bitId ? { ...one, ...changes } : one));
  await changeWant(manager, want, { bits }, now);
  return findRow(manager, WantRow, want.id, 'This want');
}

async function findBit(manager: EntityManager, { wantId, bitId }: WhichBit) {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const bit = want.bits.find(({ id }) => id === bitId);
  if (!bit) throw notFound('This small bit');
  return { want, bit };
}
