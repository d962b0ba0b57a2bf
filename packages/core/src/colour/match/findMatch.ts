import { idsOf, readShares, type ComboTable } from './comboTable.ts';
import type { DoseLimits } from './doseLimits.ts';
import { selectNearest } from './nearestCombos.ts';
import { polishMix, scoreMix, type MatchTarget, type Polished } from './polish.ts';
import { mayMix, type Shelf } from './shelfOptics.ts';

export interface MatchOptions {
  /** 1 to 5. */
  readonly mostPaints: number;
  /** How many recipes are wanted, best first. */
  readonly count: number;
  /** How much is to be mixed, in doses: no recipe asks of a pot more than it holds. Without, pots are never empty. */
  readonly limits?: DoseLimits;
  /** Combos that are polished a little, and of these how many to the end. */
  readonly tried?: number;
  readonly finished?: number;
}

export interface Recipe extends Polished {
  /** Places of the paints on the shelf. */
  readonly ids: readonly number[];
}

const TRIED = 900;
const FINISHED = 200;
const SHORT = 2;
const LONG = 25;
/** Recipes that a fourth and a fifth paint are added to. */
const GROWN = 24;

/**
 * The best recipes for a colour from the pots of a shelf: nearest combos of the table by a difference that is even around
 * the target, polished a little, the best of these to the end; more than three paints by adding every other pot to the best.
 * Where pots hold less than the whole mix their share is bounded; with few such pots every set of them is tried.
 */
export function findMatch(table: ComboTable, target: MatchTarget, options: MatchOptions): Recipe[] {
  const { mostPaints, count, tried = TRIED, finished = FINISHED } = options;
  const { shelf, surface } = table;
  const most = boundShares(shelf, options.limits ?? null);
  const fits = (recipe: Recipe) => !most || canFill(most, recipe.ids);
  if (most && countSets(shelf.paints.length, mostPaints) <= EVERY_SET)
    return pickBest(tryEverySet(table, target, most, mostPaints), count);
  const singles = shelf.paints.map((_, id): Recipe => ({
    ids: [id],
    shares: Float64Array.of(1),
    ...scoreMix(shelf, [id], [1], target, surface),
  }));
  if (mostPaints === 1) return pickBest(singles.filter(fits), count);
  const start = (wanted: number, admits: (combo: number) => boolean) =>
    selectNearest(table, target.d65, wanted, admits, most).map(({ combo, point }): Recipe => {
      const ids = idsOf(table, combo);
      return { ids, ...polishWithin(table, ids, readShares(table, combo, point), target, SHORT, most) };
    });
  const isFewEnough = (combo: number) => mostPaints >= 3 || table.paints[3 * combo + 2]! < 0;
  const holdsEnough = (combo: number) => !most || canFill(most, idsOf(table, combo));
  const started = start(tried, (combo) => isFewEnough(combo) && holdsEnough(combo));
  const finish = (recipes: readonly Recipe[]) => recipes.map((one) => finishRecipe(table, one, target, most));
  let all = [...singles, ...finish(pickBest(started, finished))];
  // What holds too little by itself may be grown until it does not.
  let grown = most && mostPaints > 3 ? start(GROWN, (combo) => !holdsEnough(combo)) : [];
  for (let size = 4; size <= mostPaints; size++) {
    const from = [...pickBest(all.filter(fits), GROWN), ...pickBest(grown, GROWN)];
    const next = growRecipes(table, from, target, size, most);
    all = [...all, ...next.filter(fits)];
    grown = next.filter((one) => !fits(one));
  }
  return pickBest(all.filter(fits), count);
}

/** The largest share of each pot, in whole doses of the mix; null where every pot holds all of it. */
function boundShares({ paints }: Shelf, limits: DoseLimits | null): Float64Array | null {
  if (!limits) return null;
  const most = Float64Array.from(paints, ({ leftMl }) =>
    Math.min(1, Math.floor(leftMl / limits.doseMl + 1e-9) / limits.total),
  );
  return most.every((one) => one >= 1) ? null : most;
}

/** These pots together hold enough. */
const canFill = (most: Float64Array, ids: readonly number[]) => ids.reduce((sum, id) => sum + most[id]!, 0) >= 1 - 1e-9;

/** Polished with the bounds of its pots; what holds too little is polished as if it held enough, to be grown from. */
function polishWithin(
  { shelf, surface }: ComboTable,
  ids: readonly number[],
  from: ArrayLike<number>,
  target: MatchTarget,
  steps: number,
  most: Float64Array | null,
): Polished {
  const own = most && canFill(most, ids) ? ids.map((id) => most[id]!) : null;
  return polishMix(shelf, ids, from, target, surface, steps, own);
}

/** Sets of so many pots at most are tried one by one where pots are nearly empty. */
const EVERY_SET = 700;

function countSets(pots: number, mostPaints: number): number {
  let sets = 1;
  let sum = 0;
  for (let size = 1; size <= Math.min(mostPaints, pots); size++) sum += sets = (sets * (pots - size + 1)) / size;
  return sum;
}

/** Every set of pots that may be mixed and holds enough, each begun with its paints acting alike. */
function tryEverySet(table: ComboTable, target: MatchTarget, most: Float64Array, mostPaints: number): Recipe[] {
  const { shelf } = table;
  const found: Recipe[] = [];
  const extend = (ids: readonly number[], from: number) => {
    if (ids.length > 0 && canFill(most, ids)) {
      const alike = ids.map((id) => 1 / shelf.strength[id]!);
      found.push({ ids, ...polishWithin(table, ids, alike, target, LONG, most) });
    }
    if (ids.length === mostPaints) return;
    for (let id = from; id < shelf.paints.length; id++) if (mayMix(shelf, [...ids, id])) extend([...ids, id], id + 1);
  };
  extend([], 0);
  return found;
}

const pickBest = (recipes: readonly Recipe[], count: number) =>
  [...recipes].sort((a, b) => a.objective - b.objective).slice(0, count);

function finishRecipe(table: ComboTable, recipe: Recipe, target: MatchTarget, most: Float64Array | null): Recipe {
  return { ids: recipe.ids, ...polishWithin(table, recipe.ids, recipe.shares, target, LONG, most) };
}

function growRecipes(
  table: ComboTable,
  recipes: readonly Recipe[],
  target: MatchTarget,
  size: number,
  most: Float64Array | null,
): Recipe[] {
  const { shelf } = table;
  const grown: Recipe[] = [];
  for (const recipe of recipes.filter((one) => one.ids.length === size - 1))
    for (let id = 0; id < shelf.paints.length; id++) {
      const ids = [...recipe.ids, id];
      if (recipe.ids.includes(id) || !mayMix(shelf, ids)) continue;
      // As strong as a tenth of what is there.
      const strength = recipe.ids.reduce((sum, one, i) => sum + recipe.shares[i]! * shelf.strength[one]!, 0);
      const from = [...recipe.shares, (0.1 * strength) / shelf.strength[id]!];
      grown.push({ ids, ...polishWithin(table, ids, from, target, SHORT, most) });
    }
  return pickBest(grown, GROWN).map((one) => finishRecipe(table, one, target, most));
}
