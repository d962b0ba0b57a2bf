import type { ShelfView } from '@sardonyx/contract';
import { learnEyes, mainPaintOf, replayMix } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';

/** Products with their pots, what their lines did when they dried, and how each eye of the house differs from an instrument. */
export async function readShelf(manager: EntityManager): Promise<ShelfView & { products: PaintProductRow[] }> {
  const products = await manager.find(PaintProductRow, { order: { line: 'ASC', name: 'ASC' } });
  const all = await manager.find(MixStepRow, { order: { mixId: 'ASC', seq: 'ASC' } });
  const mixes = (await manager.find(MixRow, { order: { startedAt: 'ASC' } })).map(({ id, target }) => ({
    target,
    steps: all.filter((step) => step.mixId === id),
  }));
  return {
    products,
    pots: await manager.find(PaintPotRow),
    dried: listDried(mixes, products),
    eyes: learnEyes(mixes),
  };
}

/** Wet and dry readings of every mix, under the line of the paint that it was mostly made of. */
function listDried(
  mixes: readonly { readonly steps: readonly MixStepRow[] }[],
  products: readonly PaintProductRow[],
): ShelfView['dried'] {
  return mixes.flatMap(({ steps }) => {
    const state = replayMix(steps);
    const { pairs } = state;
    const main = mainPaintOf(state);
    const line = products.find((product) => product.id === main)?.line ?? '';
    return pairs.map((pair) => ({ line, ...pair }));
  });
}
