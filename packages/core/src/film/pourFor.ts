import type { PaintProduct } from '../model/work.ts';
import { computePowder, computeVolume, SOLIDS, type CoatingWay, type PaintVolume } from './computeVolume.ts';
import type { Estimate } from './estimate.ts';

/** Parts of thinner to one of paint, as it is usually put on (planning estimates; its sheet goes first). */
export const THINNER: Readonly<Record<CoatingWay, number>> = { airbrush: 1, can: 0, brush: 0.1, powder: 0 };

export interface Pour extends PaintVolume {
  /** Powder is weighed; everything else is poured. */
  readonly unit: 'ml' | 'g';
  /** As many drops of this paint; null of powder. */
  readonly drops: number | null;
}

export type Poured = Pick<PaintProduct, 'binder' | 'dryFilmUm' | 'densityGPerMl' | 'dropMl'>;

/** What to pour for so many wet coats of an area: the cup is filled for each, since the gun is rinsed while a coat dries. */
export function pourFor(
  area: Estimate,
  product: Poured,
  coats: number,
  way: CoatingWay,
  thinner: number = THINNER[way],
): Pour {
  if (product.binder === 'powder')
    return { ...computePowder(area, product.dryFilmUm, product.densityGPerMl), unit: 'g', drops: null };
  const volume = computeVolume({
    ...{ area, way, filmUm: product.dryFilmUm, coats, solids: SOLIDS[product.binder] },
    ...{ thinner, fillings: coats },
  });
  return { ...volume, unit: 'ml', drops: Math.ceil(volume.upper90 / product.dropMl) };
}

/** School S6 as a way of putting paint on. */
export const COATING_WAY_OF = { 'spray can': 'can', airbrush: 'airbrush', powder: 'powder' } as const;
