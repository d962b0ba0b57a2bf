import type { PaintPot } from '../model/work.ts';

/** What is left of a product in all its pots together, ml. */
export const sumLeft = (pots: readonly PaintPot[], productId: string): number =>
  pots.reduce((sum, pot) => sum + (pot.productId === productId ? pot.leftMl : 0), 0);
