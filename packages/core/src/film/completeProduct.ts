import type { PaintProduct } from '../model/work.ts';

type Film = Pick<PaintProduct, 'dryFilmUm' | 'flashMin' | 'recoatMin' | 'cureMin' | 'minC' | 'maxC'>;

/** Films (µm), times (min) and temperatures (°C) that stand until its sheet was read: planning estimates, on the slow side. */
export const USUAL_FILM: Readonly<Record<PaintProduct['binder'], Film>> = {
  enamel: { dryFilmUm: 22, flashMin: 20, recoatMin: 1440, cureMin: 10080, minC: 12, maxC: 28 },
  acrylic: { dryFilmUm: 16, flashMin: 10, recoatMin: 60, cureMin: 2880, minC: 12, maxC: 28 },
  lacquer: { dryFilmUm: 12, flashMin: 10, recoatMin: 60, cureMin: 1440, minC: 15, maxC: 28 },
  ink: { dryFilmUm: 4, flashMin: 15, recoatMin: 120, cureMin: 4320, minC: 15, maxC: 28 },
  powder: { dryFilmUm: 65, flashMin: 0, recoatMin: 60, cureMin: 60, minC: 10, maxC: 30 },
};

/** Thin lacquer falls in smaller drops, ml (planning estimates until somebody counts). */
const DROP_ML = { lacquer: 0.025, others: 0.05 } as const;

/** What must be known of a product before the rest can be assumed. */
type KnownOfProduct = Pick<PaintProduct, 'line' | 'name' | 'kind' | 'binder' | 'gloss' | 'colourHex'> &
  Partial<PaintProduct>;

/** A product with everything that is not said of it as its binder usually has it. */
export function completeProduct(known: KnownOfProduct): Omit<PaintProduct, 'id' | 'version'> {
  return {
    ...USUAL_FILM[known.binder],
    ...{ optics: null, recipe: null, drying: null, densityGPerMl: 1.15, pricePerMl: 0.25 },
    dropMl: known.binder === 'lacquer' ? DROP_ML.lacquer : DROP_ML.others,
    ...known,
  };
}
