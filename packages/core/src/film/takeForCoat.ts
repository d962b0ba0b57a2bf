import type { PaintProduct } from '../model/work.ts';
import type { AreaSize } from '../model/workpiece.ts';
import type { CoatingWay } from './computeVolume.ts';
import { convertProductToLayer } from './convertProductToLayer.ts';
import { pourFor } from './pourFor.ts';

/** A coat that went on, so far as the paint that it took follows from it. */
export interface CoatThatTook {
  readonly product: PaintProduct;
  /** null where nobody drew or measured its area. */
  readonly size: AreaSize | null;
  readonly way: CoatingWay;
  readonly isMist: boolean;
  /** Parts to one of paint; null: as it is usually put on. */
  readonly thinnerParts: number | null;
}

/** What one coat took out of its pot, with what stayed in the cup. */
export interface TakenPaint {
  readonly ml: number;
  readonly sd: number;
}

/** The paint of one coat, ml, so long as nobody says how much was poured; null where nobody knows how large its area is. */
export function takeForCoat({ product, size, way, isMist, thinnerParts }: CoatThatTook): TakenPaint | null {
  if (!size) return null;
  const { thicknessUm } = convertProductToLayer(product, isMist);
  const { ml, sd, unit } = pourFor(size, { ...product, dryFilmUm: thicknessUm }, 1, way, thinnerParts ?? undefined);
  const perMl = unit === 'g' ? product.densityGPerMl : 1;
  return { ml: ml / perMl, sd: sd / perMl };
}
