import type { PaintProduct } from '../model/work.ts';
import type { Drawing } from '../model/drawing.ts';
import type { Area } from '../model/workpiece.ts';
import { chooseOption } from '../schools/schools.ts';
import { sizeOfArea } from './computeDrawnArea.ts';
import { convertProductToLayer } from './convertProductToLayer.ts';
import { COATING_WAY_OF, pourFor } from './pourFor.ts';

/** A coat that went on, so far as the paint that it took follows from it. */
export interface CoatThatTook {
  readonly product: PaintProduct;
  readonly area: Pick<Area, 'kind' | 'name' | 'outline' | 'size'>;
  readonly partKey: string;
  /** Of the casting; null where there is none. */
  readonly drawing: Drawing | null;
  /** Of the job: how paint is put on. */
  readonly decisions: Parameters<typeof chooseOption>[1];
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
export function takeForCoat(coat: CoatThatTook): TakenPaint | null {
  const { product, area, partKey, drawing, decisions, isMist, thinnerParts } = coat;
  const size = sizeOfArea(area, partKey, drawing);
  if (!size) return null;
  const way = COATING_WAY_OF[chooseOption('S6', decisions)];
  const { thicknessUm } = convertProductToLayer(product, isMist);
  const { ml, sd, unit } = pourFor(size, { ...product, dryFilmUm: thicknessUm }, 1, way, thinnerParts ?? undefined);
  const perMl = unit === 'g' ? product.densityGPerMl : 1;
  return { ml: ml / perMl, sd: sd / perMl };
}
