import type { Surface } from '../kubelkaMunk.ts';
import { createMixRoom, evaluateMix, MOST_IN_RECIPE, readLab } from '../match/mixModel.ts';
import { polishMix, scoreMix, type MatchTarget } from '../match/polish.ts';
import { mayMix, type Shelf } from '../match/shelfOptics.ts';
import { estimateStrengths, STRENGTH_SD, type Strengths } from './estimateStrengths.ts';
import { isSameMix, type Patch } from './patch.ts';
import { computeSureness, readCup, type CupReading } from './readCup.ts';
import { planAddition, type Addition, type AdditionLimits, type MixInHand } from './planAddition.ts';

export type Advice =
  /** Unsure: nothing is to be added, but another patch of the same mix has to tell whether it is there. */
  | { readonly kind: 'unsure'; readonly de: number; readonly strengths: Strengths }
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
/** dE00 that nobody calls clearly off. */
const NOT_OFF = 1;
const room = createMixRoom();

/** The first mix is made on this part of the need, so that the first correction wastes nothing. */
export const FIRST_SHARE = 0.65;
/** A hand that pours a little short still has enough: the need is an estimate itself. */
const ENOUGH = 0.97;
/** Adding is not worth it where what was learned says less than this part of the tolerance. */
const STOP_AT = 0.7;
/** "It is there" is said when the patches of this very mix make it so sure. */
const SURE = 0.975;
/** Whoever looks again until it seems right fools himself: words have to be surer. */
const SURE_BY_EYE = 0.99;
/** More patches of one mix than this tell nothing new: pouring goes on. */
const MOST_LOOKS = 4;

/** The doses of the first mix: a recipe on less than the need. */
export function startMix(shares: ArrayLike<number>, { needMl, doseMl }: AdditionLimits): number[] {
  const total = Math.round((FIRST_SHARE * needMl) / doseMl);
  const doses = Array.from(shares, (share) => Math.max(1, Math.round(share * total)));
  return doses;
}

/**
 * What to do after a patch: stop, look again, or the smallest addition. Strengths are learned from all patches so far; the
 * last patch itself counts with what the strengths say of it.
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
  const last = patches.at(-1);
  const read = last && isSameMix(mix, last) ? readCup(patches, target.d65) : null;
  const learned = estimateStrengths(shelf, mix.ids, learns ? patches : [], surface);
  const trusted = learns && read && trustReading(shelf, mix, learned, read, surface);
  const isDoubted =
    trusted &&
    (isImplausible(learned, trusted, read) ||
      (last!.isOff === true && distanceOf(shelf, mix, learned, target, surface) <= limits.tolerance));
  const strengths = isDoubted ? trusted : learned;
  const aim = aimBeside(target, strengths);
  const de = distanceOf(shelf, mix, strengths, target, surface);
  const nowMl = mix.volumes.reduce((sum, one) => sum + one, 0);
  const isEnough = nowMl >= ENOUGH * limits.needMl;
  // The model may be far off; what was read of this very mix is not, and nobody who sees it clearly off is told otherwise.
  const isSure =
    read !== null &&
    !last!.isOff &&
    !last!.isWet &&
    de <= limits.tolerance &&
    computeSureness(read, target.d65, limits.tolerance) >= (last!.eyeSd ? SURE_BY_EYE : SURE);
  if (isEnough && isSure) return { kind: 'stop', de, strengths };
  if (isEnough && read && !last!.isOff && read.patches < MOST_LOOKS && de <= STOP_AT * limits.tolerance)
    return { kind: 'unsure', de, strengths };
  // What is seen clearly off is corrected, whatever was called good enough.
  const within = last?.isOff ? { ...limits, tolerance: Math.min(limits.tolerance, NOT_OFF) } : limits;
  const own = planAddition(shelf, mix, strengths, aim, surface, within);
  // Two or three paints cannot go every way: where they fall short one pot more may.
  const addition =
    own.de > HELP_FROM * within.tolerance ? addPot(shelf, mix, strengths, aim, surface, within, own) : own;
  const isIdle = addition.doses.every((one) => one === 0);
  // Nothing helps: it may be there, or it cannot get there.
  if (isIdle && read && !last!.isOff && de <= limits.tolerance) return { kind: 'unsure', de, strengths };
  return { kind: addition.isBeyond || isIdle ? 'beyond' : 'add', addition, own, de, strengths };
}

/** The model aims beside the target by what it is off itself. */
function aimBeside(target: MatchTarget, { bias }: Strengths): MatchTarget {
  const [l, a, b] = target.d65;
  return { ...target, d65: [l - bias[0], a - bias[1], b - bias[2]], weightA: 0 };
}

const effectiveShares = ({ volumes }: MixInHand, { factors }: Strengths) =>
  volumes.map((volume, i) => volume * factors[i]!);

/** dE00 of the mix by what was learned. */
const distanceOf = (
  shelf: Shelf,
  mix: MixInHand,
  strengths: Strengths,
  target: MatchTarget,
  surface: Surface,
): number => scoreMix(shelf, mix.ids, effectiveShares(mix, strengths), aimBeside(target, strengths), surface).de65;

/** The model as it would have to be for the reading to be true: it takes the whole difference for its own fault. */
function trustReading(
  shelf: Shelf,
  mix: MixInHand,
  strengths: Strengths,
  { lab }: CupReading,
  surface: Surface,
): Strengths {
  evaluateMix(shelf, mix.ids, effectiveShares(mix, strengths), surface, room, false);
  const [l, a, b] = readLab(room.lab[0]);
  return { ...strengths, bias: [lab[0] - l, lab[1] - a, lab[2] - b] };
}

/** One reading in a thousand is so far from what was learned by chance alone (chi square, three degrees of freedom). */
const FARTHEST = 16.3;

/** What was read does not fit what was learned: labels or films are other than they say, and the cup itself is right. */
function isImplausible(learned: Strengths, trusted: Strengths, { sd }: CupReading): boolean {
  const off = [0, 1, 2].map((c) => ((trusted.bias[c]! - learned.bias[c]!) / sd[c]!) ** 2);
  return off.reduce((sum, one) => sum + one, 0) > FARTHEST;
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
  if (ids.length >= MOST_IN_RECIPE) return own;
  const shares = effectiveShares({ ids, volumes }, strengths);
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
