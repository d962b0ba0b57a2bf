import type { SchoolOption } from '../../model/school.ts';
import { selectStandingActs, type DecalAct } from './decalAct.ts';

/** A decal so many times as long as it is high folds every other time (planning estimates: it is the long ones that fold). */
const EVEN_RATIO = 14;
const RATIO_SPREAD = 4;
/** Short ones are held by one finger whatever their shape, mm. */
const SHORT_MM = 12;
/** A wet pad or setting fluid lets it slide instead of dragging. */
const GENTLER = 0.6;
/** What the estimate counts for beside decals that were placed here. */
const PRIOR_DECALS = 5;

export interface FoldRisk {
  /** That it folds before it lies, 0 to 1. */
  readonly chance: number;
  readonly word: 'seldom' | 'sometimes' | 'often';
  /** Decals of such a shape that were placed here; 0: planning estimate alone. */
  readonly placed: number;
}

/** Fold risk by length to height and how it is placed, moved by what happened to decals of such a shape on this bench. */
export function estimateFold(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  way: SchoolOption<'S20'>,
  past: readonly { readonly ratio: number; readonly hasFolded: boolean }[],
): FoldRisk {
  const ratio = ratioOf({ widthMm, heightMm });
  const length = Math.max(widthMm, heightMm);
  const shaped = 1 / (1 + Math.exp(-(ratio - EVEN_RATIO) / RATIO_SPREAD));
  const drawn =
    shaped * Math.min(1, length / SHORT_MM) * (way === 'bare paper slide' || way === 'one set' ? 1 : GENTLER);
  const alike = past.filter((one) => Math.abs(Math.log(one.ratio / ratio)) < Math.LN2);
  const folded = alike.filter(({ hasFolded }) => hasFolded).length;
  const chance = (PRIOR_DECALS * drawn + folded) / (PRIOR_DECALS + alike.length);
  return { chance, word: chance < 0.15 ? 'seldom' : chance < 0.4 ? 'sometimes' : 'often', placed: alike.length };
}

const ratioOf = ({ widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number }): number =>
  Math.max(widthMm, heightMm) / Math.min(widthMm, heightMm);

/**
 * One entry for each piece: whether it folded. A piece begins when it slides, or with its first fold where nobody stopped the water's clock;
 * it ends with the next one, or when it is lost.
 */
export function listFolds(
  acts: readonly DecalAct[],
  sizeOf: (layerId: string) => { readonly widthMm: number; readonly heightMm: number } | null,
): { readonly ratio: number; readonly hasFolded: boolean }[] {
  const sorted = [...acts].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const found: { ratio: number; hasFolded: boolean }[] = [];
  const open = new Map<string, { ratio: number; hasFolded: boolean }>();
  for (const { layerId, act, trouble } of selectStandingActs(sorted)) {
    const size = sizeOf(layerId);
    if (!size) continue;
    const begin = (hasFolded: boolean) => {
      const piece = { ratio: ratioOf(size), hasFolded };
      open.set(layerId, piece);
      found.push(piece);
    };
    const piece = open.get(layerId);
    if (act === 'slid') begin(false);
    else if (act === 'lost') open.delete(layerId);
    else if (trouble === 'folded' && piece) piece.hasFolded = true;
    else if (trouble === 'folded') begin(true);
  }
  return found;
}
