import type { ShelfView } from '@sardonyx/contract';
import { replayMix } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { MixStepRow } from '../../entities/colour.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';

/** Products with their pots, and what their lines did when they dried. */
export async function readShelf(manager: EntityManager): Promise<ShelfView & { products: PaintProductRow[] }> {
  const products = await manager.find(PaintProductRow, { order: { line: 'ASC', name: 'ASC' } });
  return { products, pots: await manager.find(PaintPotRow), dried: await readDried(manager, products) };
}

/** Wet and dry readings of every mix, under the line of the paint that it was mostly made of. */
async function readDried(manager: EntityManager, products: readonly PaintProductRow[]): Promise<ShelfView['dried']> {
  const steps = await manager.find(MixStepRow, { order: { mixId: 'ASC', seq: 'ASC' } });
  const mixIds = [...new Set(steps.map((step) => step.mixId))];
  return mixIds.flatMap((mixId) => {
    const { pairs, productIds, volumes } = replayMix(steps.filter((step) => step.mixId === mixId));
    const main = productIds[volumes.indexOf(Math.max(...volumes))];
    const line = products.find((product) => product.id === main)?.line ?? '';
    return pairs.map((pair) => ({ line, ...pair }));
  });
}
