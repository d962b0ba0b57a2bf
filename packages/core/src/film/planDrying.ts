import type { PaintProduct } from '../model/work.ts';
import type { LayerKind } from '../model/workpiece.ts';
import { USUAL_FILM } from './completeProduct.ts';
import { completeSheet } from './dryingSheet.ts';

/** What a plan reckons with before a coat is on, minutes of its sheet; once it is on, its own windows say so. */
export interface PlannedDrying {
  /** After a mist coat. */
  readonly flashMin: number;
  /** Until the film is dry enough for whatever comes next. */
  readonly recoatMin: number;
  /** Until another coat of the same paint may follow: wet in wet where its sheet has such a window. */
  readonly betweenMin: number;
  readonly cureMin: number;
}

type Known = Pick<PaintProduct, 'binder' | 'flashMin' | 'recoatMin' | 'cureMin' | 'drying'>;

export function planDrying(product: Known): PlannedDrying {
  const { recoat, wear } = (product.drying ?? completeSheet(product)).spans;
  return {
    flashMin: product.flashMin,
    ...{ recoatMin: recoat.at(-1)!.fromMin, betweenMin: recoat[0]!.fromMin, cureMin: wear.at(-1)!.fromMin },
  };
}

/** Where no pot is chosen yet, the slowest that such a coat is usually made of. */
const SLOWEST: Readonly<Record<LayerKind, PaintProduct['binder']>> = {
  ...{ plating: 'ink', filler: 'enamel', primer: 'lacquer', colour: 'enamel', clear: 'acrylic', brightwork: 'ink' },
  decal: 'acrylic',
};

export const usualDrying = (kind: LayerKind): PlannedDrying =>
  planDrying({ binder: SLOWEST[kind], drying: null, ...USUAL_FILM[SLOWEST[kind]] });

/** The water under a decal goes through its film (planning estimate). */
export const DECAL_DRIES_MIN = 60;
