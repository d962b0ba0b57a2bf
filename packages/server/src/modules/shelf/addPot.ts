import { randomUUID } from 'node:crypto';
import type { AddPot } from '@sardonyx/contract';
import { completeProduct } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { refused } from '../../http/errors.ts';

/** A paint with its first pot. */
export async function addPot(manager: EntityManager, { leftMl, place, ...fields }: AddPot): Promise<PaintProductRow> {
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
  await manager.insert(PaintPotRow, {
    ...{ id: randomUUID(), version: 1, productId: product.id, leftMl, openedOn: null, place },
  });
  return product;
}
