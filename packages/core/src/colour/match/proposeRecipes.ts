import { computeLab, type Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { predictMix } from '../kubelkaMunk.ts';
import { chooseDoses, type DosedRecipe } from './chooseDoses.ts';
import type { DoseLimits } from './doseLimits.ts';
import { buildComboTable, type ComboTable } from './comboTable.ts';
import { findMatch, type Recipe } from './findMatch.ts';
import type { MatchTarget } from './polish.ts';
import { createShelf } from './shelfOptics.ts';

export const PROPOSAL_KINDS = ['nearest', 'fewer paints', 'cheaper', 'from the nearest pot', 'leftovers only'] as const;
export type ProposalKind = (typeof PROPOSAL_KINDS)[number];

export interface Proposal {
  readonly kind: ProposalKind;
  readonly lines: readonly { readonly productId: string; readonly doses: number; readonly ml: number }[];
  readonly de65: number;
  readonly deA: number;
  /** It comes so near that nobody sees a difference side by side; else the colour is out of reach of these pots. */
  readonly isReached: boolean;
  /** dE00 that paints as far from their label as they usually are may make of it: what the first patch is for. */
  readonly sensitivity: number;
  readonly lab: Lab;
  readonly labA: Lab;
  readonly cost: number;
}

export interface ProposalLimits extends DoseLimits {
  /** 1 to 5. */
  readonly mostPaints: number;
}

const COUNT = 150;
/** Recipes that are dosed one by one to find the cheapest; and how much farther off a cheaper one may be. */
const PRICED = 60;
const PRICE_DE = 0.7;
const SAME_DE = 0.2;
/** Farther off than this a recipe is no match, however good its dosing (planning estimate of what is seen side by side). */
const REACHED_DE = 1;
/** Leftovers that end farther off than this are no way to it. */
const LEFTOVER_DE = 5;

/**
 * The recipe for the dropper, and what else is worth choosing: fewer paints, cheaper, begun from the pot that is nearest, from
 * leftovers only. What comes out the same as one before it is left out. Empty when nothing can be dosed.
 */
export function proposeRecipes(
  table: ComboTable,
  target: MatchTarget,
  limits: ProposalLimits,
  leftoverIds: ReadonlySet<string>,
): Proposal[] {
  const { shelf, surface } = table;
  const dose = (list: readonly Recipe[], reach: 'near' | 'far' = 'far') =>
    chooseDoses(shelf, list, target, surface, limits, reach);
  const lists = Array.from({ length: limits.mostPaints }, (_, i) =>
    findMatch(table, target, { mostPaints: i + 1, count: COUNT, limits }),
  );
  const bySize = lists.map((list) => dose(list));
  const nearestDe = Math.min(...bySize.map((one) => one?.de65 ?? Infinity));
  // A paint more must earn its pot: nobody sees a fifth of a dE00.
  const best = bySize.find((one) => one && one.de65 <= nearestDe + SAME_DE);
  if (!best) return [];
  const recipes = lists.at(-1)!;
  const price = (recipe: DosedRecipe) =>
    recipe.ids.reduce((sum, id, i) => sum + recipe.doses[i]! * limits.doseMl * shelf.paints[id]!.pricePerMl, 0);
  const fewer = best.ids.length > 2 ? bySize[1]! : null;
  const dosed = recipes.slice(0, PRICED).flatMap((recipe) => dose([recipe], 'near') ?? []);
  const cheapest = dosed
    .filter((one) => one.de65 <= Math.max(1, best.de65) + PRICE_DE)
    .reduce((a, b) => (price(b) < price(a) - 1e-9 ? b : a), best);
  const nearest = findNearest(table, target);
  const fromNearest = dose(
    recipes.filter(({ ids, shares }) => ids[shares.indexOf(Math.max(...shares))] === nearest),
    'near',
  );
  const found: (readonly [ProposalKind, DosedRecipe | null])[] = [
    ['nearest', best],
    ['fewer paints', fewer],
    ['cheaper', price(cheapest) < 0.9 * price(best) ? cheapest : null],
    ['from the nearest pot', fromNearest],
  ];
  const seen = new Set<string>();
  const proposals = found.flatMap(([kind, recipe]) => {
    const key =
      recipe &&
      recipe.ids
        .map((id, i) => `${id}:${recipe.doses[i]}`)
        .sort()
        .join();
    if (!recipe || seen.has(key!)) return [];
    seen.add(key!);
    return [describe(table, kind, recipe, limits.doseMl, price(recipe))];
  });
  return [...proposals, ...proposeLeftovers(table, target, limits, leftoverIds)];
}

function findNearest({ shelf, surface }: ComboTable, target: MatchTarget): number {
  const off = shelf.paints.map((paint) => computeDe00(target.d65, computeLab(predictMix([paint], [1], surface))));
  return off.indexOf(Math.min(...off));
}

/** The same from the leftovers of earlier mixes alone: a small shelf of its own. */
function proposeLeftovers(
  table: ComboTable,
  target: MatchTarget,
  limits: ProposalLimits,
  leftoverIds: ReadonlySet<string>,
): Proposal[] {
  const paints = table.shelf.paints.filter((paint) => leftoverIds.has(paint.id));
  if (paints.length === 0) return [];
  const own = buildComboTable(createShelf(paints), table.surface)!;
  const recipes = findMatch(own, target, { mostPaints: Math.min(3, paints.length), count: COUNT, limits });
  const best = chooseDoses(own.shelf, recipes, target, own.surface, limits);
  if (!best || best.de65 > LEFTOVER_DE) return [];
  const cost = best.ids.reduce((sum, id, i) => sum + best.doses[i]! * limits.doseMl * paints[id]!.pricePerMl, 0);
  return [describe(own, 'leftovers only', best, limits.doseMl, cost)];
}

function describe(
  { shelf, surface }: ComboTable,
  kind: ProposalKind,
  { ids, doses, de65, deA, sensitivity }: DosedRecipe,
  doseMl: number,
  cost: number,
): Proposal {
  const spectrum = predictMix(
    ids.map((id) => shelf.paints[id]!),
    doses,
    surface,
  );
  const lines = ids
    .map((id, i) => ({ productId: shelf.paints[id]!.id, doses: doses[i]!, ml: doses[i]! * doseMl }))
    .sort((a, b) => b.ml - a.ml);
  return {
    ...{ kind, lines, de65, deA, isReached: de65 <= REACHED_DE, sensitivity, cost },
    lab: computeLab(spectrum),
    labA: computeLab(spectrum, 'A'),
  };
}
