import type { Surface } from '../kubelkaMunk.ts';
import { polishMix, scoreMix, type MatchTarget } from '../match/polish.ts';
import { mayMix, type Shelf } from '../match/shelfOptics.ts';
import { estimateStrengths, STRENGTH_SD, type Patch, type Strengths } from './estimateStrengths.ts';
import { planAddition, type Addition, type AdditionLimits, type MixInHand } from './planAddition.ts';

export type Advice =
  | { readonly kind: 'stop'; readonly de: number; readonly strengths: Strengths }
  /** Beyond: no addition reaches the tolerance; the nearest one is given, and a new start is the cheaper rescue. */
  | {
      readonly kind: 'add' | 'beyond';
      readonly addition: Addition;
      /** The best with the paints that are in it already; the same as the addition where no other helps. */
      readonly own: Addition;
      /** How far the mix is off now, as the model has learned. */
      readonly de: number;
      readonly strengths: Strengths;
    };

/** Another pot is looked for when the mix stays off by more than this part of the tolerance. */
const HELP_FROM = 0.4;
const PLANNED_POTS = 5;
/** More paints than this in one pot turn to mud. */
const MOST_HELPED = 5;

/** The first mix is made on this part of the need, so that the first correction wastes nothing. */
export const FIRST_SHARE = 0.65;
/** A hand that pours a little short still has enough: the need is an estimate itself. */
const ENOUGH = 0.97;
/** Stop when the colour is so well inside the tolerance that measuring and not knowing do not matter. */
const STOP_AT = 0.7;

/** The doses of the first mix: a recipe on less than the need. */
export function startMix(shares: ArrayLike<number>, { needMl, doseMl }: AdditionLimits): number[] {
  const total = Math.round((FIRST_SHARE * needMl) / doseMl);
  const doses = Array.from(shares, (share) => Math.max(1, Math.round(share * total)));
  return doses;
}

/**
 * What to do after a dried patch: stop, or the smallest addition. Strengths are learned from all patches so far; the last
 * patch itself counts with what the strengths say of it.
 */
export function guideMix(
  shelf: Shelf,
  mix: MixInHand,
  patches: readonly Patch[],
  target: MatchTarget,
  surface: Surface,
  limits: AdditionLimits,
  learns = true,
): Advice {
  const strengths = estimateStrengths(shelf, mix.ids, learns ? patches : [], surface);
  // The model aims beside the target by what it is off itself.
  const [l, a, b] = target.d65;
  const { bias } = strengths;
  const aim: MatchTarget = { ...target, d65: [l - bias[0], a - bias[1], b - bias[2]], weightA: 0 };
  const nowMl = mix.volumes.reduce((sum, one) => sum + one, 0);
  const shares = mix.volumes.map((volume, i) => volume * strengths.factors[i]!);
  const { de65: de } = scoreMix(shelf, mix.ids, shares, aim, surface);
  const isEnough = nowMl >= ENOUGH * limits.needMl;
  if (patches.length > 0 && isEnough && de <= STOP_AT * limits.tolerance) return { kind: 'stop', de, strengths };
  const own = planAddition(shelf, mix, strengths, aim, surface, limits);
  // Two or three paints cannot go every way: where they fall short one pot more may.
  const addition =
    own.de > HELP_FROM * limits.tolerance ? addPot(shelf, mix, strengths, aim, surface, limits, own) : own;
  // Nothing helps: it is there, or it cannot get there.
  if (addition.doses.every((one) => one === 0) && patches.length > 0 && de <= limits.tolerance)
    return { kind: 'stop', de, strengths };
  return { kind: addition.isBeyond ? 'beyond' : 'add', addition, own, de, strengths };
}

/** The pots that bring the mix nearest are planned to the end; the one with the least difference wins. */
function addPot(
  shelf: Shelf,
  { ids, volumes }: MixInHand,
  strengths: Strengths,
  aim: MatchTarget,
  surface: Surface,
  limits: AdditionLimits,
  own: Addition,
): Addition {
  if (ids.length >= MOST_HELPED) return own;
  const shares = volumes.map((volume, i) => volume * strengths.factors[i]!);
  const strength = ids.reduce((sum, id, i) => sum + shares[i]! * shelf.strength[id]!, 0);
  const wider: Strengths = {
    ...strengths,
    factors: [...strengths.factors, 1],
    covariance: [...strengths.covariance.map((row) => [...row, 0]), [...ids.map(() => 0), STRENGTH_SD ** 2]],
  };
  const nearest = shelf.paints
    .map((_, id) => id)
    .filter((id) => !ids.includes(id) && mayMix(shelf, [...ids, id]) && shelf.paints[id]!.leftMl > 0)
    .map((id) => {
      const from = [...shares, (0.03 * strength) / shelf.strength[id]!];
      return { id, de: polishMix(shelf, [...ids, id], from, aim, surface, 3).de65 };
    })
    .sort((a, b) => a.de - b.de)
    .slice(0, PLANNED_POTS);
  return nearest
    .map(({ id }) => planAddition(shelf, { ids: [...ids, id], volumes: [...volumes, 0] }, wider, aim, surface, limits))
    .reduce((best, one) => (one.de < best.de - 0.05 ? one : best), own);
}
