import { BANDS } from '../cieTables.ts';
import type { PaintOptics } from '../kubelkaMunk.ts';

/** A pot as the solver sees it. */
export interface ShelfPaint extends PaintOptics {
  readonly id: string;
  /** Paints of different families do not mix; "" mixes with all. */
  readonly family: string;
  /** Left in the pot, ml. */
  readonly leftMl: number;
  readonly pricePerMl: number;
}

/** The pots of a shelf, their bands side by side for speed. */
export interface Shelf {
  readonly paints: readonly ShelfPaint[];
  /** K and S: paint after paint, 31 bands each. */
  readonly k: Float64Array;
  readonly s: Float64Array;
  /** How strongly a paint acts in a mix: the mean of K + S over the bands. */
  readonly strength: Float64Array;
}

export function createShelf(paints: readonly ShelfPaint[]): Shelf {
  const k = new Float64Array(paints.length * BANDS);
  const s = new Float64Array(paints.length * BANDS);
  const strength = new Float64Array(paints.length);
  paints.forEach((paint, p) => {
    for (let i = 0; i < BANDS; i++) {
      k[p * BANDS + i] = paint.k[i]!;
      s[p * BANDS + i] = paint.s[i]!;
      strength[p]! += (paint.k[i]! + paint.s[i]!) / BANDS;
    }
  });
  return { paints, k, s, strength };
}

/** Paints that may stand in one mix: of one family, those without one with any. */
export function mayMix(shelf: Shelf, ids: ArrayLike<number>): boolean {
  let family = '';
  for (let i = 0; i < ids.length; i++) {
    const own = shelf.paints[ids[i]!]!.family;
    if (own === '' || own === family) continue;
    if (family !== '') return false;
    family = own;
  }
  return true;
}
