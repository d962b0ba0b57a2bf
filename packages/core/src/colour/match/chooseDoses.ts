import type { Surface } from '../kubelkaMunk.ts';
import type { Recipe } from './findMatch.ts';
import { createMixRoom, evaluateMix, MOST_PAINTS } from './mixModel.ts';
import { scoreMix, type MatchTarget } from './polish.ts';
import type { Shelf } from './shelfOptics.ts';

/** A recipe in whole doses (drops, or hundredths of a gram). */
export interface DosedRecipe {
  readonly ids: readonly number[];
  readonly doses: readonly number[];
  readonly objective: number;
  readonly de65: number;
  readonly deA: number;
  /** dE00 that an error of 15 % in the strength of its paints is likely to make. */
  readonly sensitivity: number;
}

export interface DoseLimits {
  /** Whole doses of the batch, exactly. */
  readonly total: number;
  /** ml of one dose. */
  readonly doseMl: number;
}

/** Strengths as supplied differ by so much (planning estimate), and it costs so much of a difference to be sensitive to it. */
const STRENGTH_SPREAD = 0.15;
const SENSITIVITY_PRICE = 0.01;
/** Of the best recipes so many are moved dose by dose. */
const MOVED = 20;
const room = createMixRoom();

/**
 * The best recipe *for the dropper*: every recipe is tried in all whole doses next to its shares, the best of them moved dose
 * by dose while that helps. Rounding the best recipe alone is worse: a strong dark in a fifth of a drop cannot be dosed.
 * Nothing is asked of a pot that it does not hold. null when no recipe can be dosed.
 */
export function chooseDoses(
  shelf: Shelf,
  recipes: readonly Recipe[],
  target: MatchTarget,
  surface: Surface,
  limits: DoseLimits,
): DosedRecipe | null {
  const dosed = recipes.flatMap((recipe) => {
    const own = listDoses(recipe.shares, limits.total).flatMap(
      (doses) => judge(shelf, recipe.ids, doses, target, surface, limits) ?? [],
    );
    return own.length ? [own.reduce((a, b) => (price(b) < price(a) ? b : a))] : [];
  });
  const moved = dosed
    .sort((a, b) => price(a) - price(b))
    .slice(0, MOVED)
    .map((one) => improve(shelf, one, target, surface, limits));
  return moved.length ? moved.reduce((a, b) => (price(b) < price(a) ? b : a)) : null;
}

const price = ({ objective, sensitivity }: DosedRecipe) => objective + SENSITIVITY_PRICE * sensitivity;

/** Each share rounded to the nearest dose, what is over or missing put on the largest: the naive way, as a yardstick. */
export function roundDoses(shares: ArrayLike<number>, total: number): number[] {
  const doses = Array.from(shares, (share) => Math.round(share * total));
  const sum = doses.reduce((all, one) => all + one, 0);
  doses[doses.indexOf(Math.max(...doses))]! += total - sum;
  return doses;
}

/** All whole doses that are at most one away from each share and sum to the total. */
function listDoses(shares: ArrayLike<number>, total: number): number[][] {
  let lists: number[][] = [[]];
  for (let p = 0; p < shares.length; p++) {
    const floor = Math.floor(shares[p]! * total);
    const options = [floor - 1, floor, floor + 1, floor + 2].filter(
      (one) => one >= 0 && Math.abs(one - shares[p]! * total) <= 1.5,
    );
    if (p === shares.length - 1)
      lists = lists.flatMap((list) => {
        const rest = total - list.reduce((sum, one) => sum + one, 0);
        return options.includes(rest) ? [[...list, rest]] : [];
      });
    else lists = lists.flatMap((list) => options.map((one) => [...list, one]));
  }
  return lists;
}

function judge(
  shelf: Shelf,
  ids: readonly number[],
  doses: readonly number[],
  target: MatchTarget,
  surface: Surface,
  { doseMl }: DoseLimits,
): DosedRecipe | null {
  const used = ids.flatMap((id, i) => (doses[i]! > 0 ? [{ id, doses: doses[i]! }] : []));
  if (used.length === 0 || used.some((one) => one.doses * doseMl > shelf.paints[one.id]!.leftMl)) return null;
  const own = { ids: used.map((one) => one.id), doses: used.map((one) => one.doses) };
  const score = scoreMix(shelf, own.ids, own.doses, target, surface);
  return { ...own, ...score, sensitivity: computeSensitivity(shelf, own.ids, own.doses, surface) };
}

/** Root of the summed squares of what each paint's strength error does to Lab, as plain distance: enough to compare by. */
function computeSensitivity(shelf: Shelf, ids: readonly number[], doses: readonly number[], surface: Surface): number {
  evaluateMix(shelf, ids, doses, surface, room, true);
  let sum = 0;
  for (let p = 0; p < ids.length; p++)
    for (let row = 0; row < 3; row++) sum += (STRENGTH_SPREAD * room.slope[0][row * MOST_PAINTS + p]!) ** 2;
  return Math.sqrt(sum);
}

/** Moves one dose from one paint to another while that makes it better. */
function improve(
  shelf: Shelf,
  from: DosedRecipe,
  target: MatchTarget,
  surface: Surface,
  limits: DoseLimits,
): DosedRecipe {
  let best = from;
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    const { ids, doses } = best;
    for (let give = 0; give < ids.length; give++)
      for (let take = 0; take < ids.length; take++) {
        if (give === take || doses[give]! === 0) continue;
        const moved = doses.map((one, i) => one + (i === take ? 1 : i === give ? -1 : 0));
        const dosed = judge(shelf, ids, moved, target, surface, limits);
        if (dosed && price(dosed) < price(best) - 1e-9) {
          best = dosed;
          isBetter = true;
        }
      }
  }
  return best;
}
