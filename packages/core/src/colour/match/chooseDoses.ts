import type { Surface } from '../kubelkaMunk.ts';
import type { DoseLimits } from './doseLimits.ts';
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

/** Strengths as supplied differ by so much (planning estimate), and it costs so much of a difference to be sensitive to it. */
const STRENGTH_SPREAD = 0.15;
const SENSITIVITY_PRICE = 0.01;
/** Of the best recipes so many are moved dose by dose. */
const MOVED = 20;
/** Of these so many are looked at beyond the next dose, where the drop is so coarse that it shows. */
const SHIFTED = 12;
/** Whole doses may cost so much of a difference before farther ones are looked for. */
const DOSE_LOSS = 0.05;
const room = createMixRoom();

/**
 * The best recipe *for the dropper*: every recipe is tried in all whole doses next to its shares, the best of them moved dose
 * by dose while that helps. Rounding the best recipe alone is worse: a strong dark in a fifth of a drop cannot be dosed.
 * Nothing is asked of a pot that it does not hold. null when no recipe can be dosed. With a reach that is "near" doses far from
 * the shares are not looked for: quick, for weighing many recipes against each other.
 */
export function chooseDoses(
  shelf: Shelf,
  recipes: readonly Recipe[],
  target: MatchTarget,
  surface: Surface,
  limits: DoseLimits,
  reach: 'near' | 'far' = 'far',
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
    .map((one) => improve(shelf, one, target, surface, limits))
    .sort((a, b) => price(a) - price(b));
  const best = moved[0] ?? null;
  const ideal = Math.min(...recipes.map((one) => one.objective));
  if (!best || reach === 'near' || best.objective <= ideal + DOSE_LOSS) return best && dropUnused(best);
  return dropUnused(
    moved
      .slice(0, SHIFTED)
      .map((one) => improveAcross(shelf, one, target, surface, limits))
      .reduce((a, b) => (price(b) < price(a) ? b : a)),
  );
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
  if (ids.some((id, i) => doses[i]! * doseMl > shelf.paints[id]!.leftMl)) return null;
  const score = scoreMix(shelf, ids, doses, target, surface);
  return { ids, doses, ...score, sensitivity: computeSensitivity(shelf, ids, doses, surface) };
}

/** Paints of which no dose is left belong to the recipe no more. */
function dropUnused({ ids, doses, ...rest }: DosedRecipe): DosedRecipe {
  const isUsed = (_: number, i: number) => doses[i]! > 0;
  return { ids: ids.filter(isUsed), doses: doses.filter((one) => one > 0), ...rest };
}

/** Root of the summed squares of what each paint's strength error does to Lab, as plain distance: enough to compare by. */
function computeSensitivity(shelf: Shelf, ids: readonly number[], doses: readonly number[], surface: Surface): number {
  evaluateMix(shelf, ids, doses, surface, room, true);
  let sum = 0;
  for (let p = 0; p < ids.length; p++)
    for (let row = 0; row < 3; row++) sum += (STRENGTH_SPREAD * room.slope[0][row * MOST_PAINTS + p]!) ** 2;
  return Math.sqrt(sum);
}

/** Moves doses from one paint to another while that makes it better; `fixed` stays as it is. */
function improve(
  shelf: Shelf,
  from: DosedRecipe,
  target: MatchTarget,
  surface: Surface,
  limits: DoseLimits,
  strides: readonly number[] = [1],
  fixed = -1,
): DosedRecipe {
  let best = from;
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (const stride of strides)
      for (const { ids, doses } of listMoves(best, stride, fixed)) {
        const dosed = judge(shelf, ids, doses, target, surface, limits);
        if (dosed && price(dosed) < price(best) - 1e-9) {
          best = dosed;
          isBetter = true;
        }
      }
  }
  return best;
}

function* listMoves({ ids, doses }: Pick<DosedRecipe, 'ids' | 'doses'>, stride: number, fixed = -1) {
  for (let give = 0; give < ids.length; give++)
    for (let take = 0; take < ids.length; take++) {
      if (give === take || doses[give]! < stride || ids[give] === fixed || ids[take] === fixed) continue;
      yield { ids, doses: doses.map((one, i) => one + (i === take ? stride : i === give ? -stride : 0)) };
    }
}

const STRIDES = [4, 2, 1];

/**
 * One drop of a strong paint more or less moves the whole rest: after each such step the others are shifted anew, in ever
 * smaller strides, and what is better so is kept.
 */
function improveAcross(
  shelf: Shelf,
  from: DosedRecipe,
  target: MatchTarget,
  surface: Surface,
  limits: DoseLimits,
): DosedRecipe {
  let best = from;
  for (const { ids, doses } of listMoves(from, 1)) {
    const step = judge(shelf, ids, doses, target, surface, limits);
    for (const fixed of step ? ids : []) {
      const shifted = improve(shelf, step!, target, surface, limits, STRIDES, fixed);
      if (price(shifted) < price(best) - 1e-9) best = shifted;
    }
  }
  return best === from ? from : improveAcross(shelf, best, target, surface, limits);
}
