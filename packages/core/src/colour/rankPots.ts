import type { Geometry } from '../model/reading.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Lab } from './colorimetry.ts';
import { describeDifference } from './describeDifference.ts';
import { computeDe00 } from './difference.ts';
import { computePaintLab, selectOptics } from './paintOptics.ts';

export interface RankedPot {
  readonly product: PaintProduct;
  /** As a thick film; null outside the model. */
  readonly lab: Lab | null;
  /** null where a number would be false: metal flakes, pearl, candy, fluorescence. */
  readonly de: number | null;
  /** How the pot differs from what is wanted; empty when it does not. */
  readonly words: string;
}

/** Products by nearness to a colour, closest first; those outside the model after them, without a number, by name. */
export function rankPots(products: readonly PaintProduct[], wanted: Lab, geometry: Geometry): RankedPot[] {
  const ranked = products
    .filter((product) => product.kind !== 'clear')
    .map((product): RankedPot => {
      const optics = selectOptics(product);
      if (!optics) return { product, lab: null, de: null, words: '' };
      const lab = computePaintLab(optics, geometry);
      return { product, lab, de: computeDe00(wanted, lab), words: describeDifference(lab, wanted) };
    });
  return ranked.sort((a, b) => (a.de ?? Infinity) - (b.de ?? Infinity) || (a.product.name < b.product.name ? -1 : 1));
}
