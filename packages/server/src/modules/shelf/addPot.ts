import { randomUUID } from 'node:crypto';
import type { AddPot } from '@sardonyx/contract';
import { completeProduct } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { refused } from '../../http/errors.ts';
import { putUpPot } from './movePot.ts';

/** A paint with its first pot: so much of it was there when somebody looked. */
export async function addPot(
  manager: EntityManager,
  { leftMl, place, who = '', ...fields }: AddPot,
  now: Date,
): Promise<PaintProductRow> {
  const name = fields.name.trim();
  if (await manager.existsBy(PaintProductRow, { line: fields.line, name }))
    throw refused('double', `${fields.line} ${name} stands on the shelf already.`, {
      name: 'Change that pot instead.',
    });
  const product = manager.create(PaintProductRow, {
    ...completeProduct({ ...fields, name }),
    ...{ id: randomUUID(), version: 1 },
  });
  await manager.insert(PaintProductRow, product);
  const pot = { productId: product.id, leftMl, openedOn: null, place };
  await putUpPot(manager, pot, { move: 'counted', who }, now);
  return product;
}
