import { priceLines } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { PaintPotRow, PaintProductRow, PotMovementRow } from '../../entities/paint.ts';
import { readPotLog } from './movePot.ts';

/** What the paint cost that some acts took: by what was paid for it, else by the usual price of its product. */
export async function priceOfActs(manager: EntityManager, acts: readonly { readonly id: string }[]): Promise<number> {
  const own = await manager.findBy(PotMovementRow, { actId: In(acts.map(({ id }) => id)) });
  let total = 0;
  for (const potId of new Set(own.map((line) => line.potId))) {
    const { productId } = await manager.findOneByOrFail(PaintPotRow, { id: potId });
    const { pricePerMl } = await manager.findOneByOrFail(PaintProductRow, { id: productId });
    const prices = priceLines(await readPotLog(manager, potId));
    for (const { id } of own.filter((line) => line.potId === potId)) {
      const { cost, unpriced } = prices.get(id)!;
      total += cost + unpriced * pricePerMl;
    }
  }
  return total;
}
