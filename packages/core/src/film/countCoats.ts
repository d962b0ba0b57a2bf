import type { Spectrum } from '../colour/colorimetry.ts';
import { computeCoatsToHide } from '../colour/hiding.ts';
import { selectOptics, surfaceOf } from '../colour/paintOptics.ts';
import type { PaintProduct } from '../model/work.ts';

/** Wet coats of a product until what lies under it no longer shows. */
export interface CoatCount {
  /** null where twelve are not enough: it wants a ground of its own. */
  readonly coats: number | null;
  /** K and S that were measured; else what its colour lets one expect. */
  readonly origin: 'K and S' | 'planning estimate';
}

/** What must be known of a paint to count its coats. */
export type CountedPaint = Pick<PaintProduct, 'kind' | 'gloss' | 'optics' | 'colourHex' | 'dryFilmUm'>;

/** What metal flakes and inks need, and what any paint needs at the least (planning estimates). */
const UNKNOWN_COATS = 2;
/** A paint of which nobody has drawn down a film may hide worse than most: one coat more (planning estimate). */
const UNMEASURED_MORE = 1;

/**
 * Coats over a ground, by K and S where they are known. Clear hides nothing: one coat. Metallic and the like are outside the model
 * and take what their sheets usually say.
 *
 * @param coatUm dry film of one coat, micrometres
 * @param ground reflectance of what it lies on
 */
export function countCoats(product: CountedPaint, coatUm: number, ground: Spectrum): CoatCount {
  if (product.kind === 'clear') return { coats: 1, origin: 'planning estimate' };
  const optics = selectOptics(product);
  if (!optics) return { coats: product.kind === 'brightwork' ? 1 : UNKNOWN_COATS, origin: 'planning estimate' };
  const { coats } = computeCoatsToHide(optics, coatUm, ground, surfaceOf('gloss left out'));
  const isMeasured = optics.basis === 'drawdowns' || optics.basis === 'mixed here';
  if (isMeasured) return { coats, origin: 'K and S' };
  return { coats: coats === null ? null : coats + UNMEASURED_MORE, origin: 'planning estimate' };
}
