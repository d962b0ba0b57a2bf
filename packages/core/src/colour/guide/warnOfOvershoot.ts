import { scoreMix } from '../match/polish.ts';
import { STRENGTH_SD, type Strengths } from './estimateStrengths.ts';
import { MOST_VOLUME } from './planAddition.ts';
import { volumeOf, type MixState } from './replayMix.ts';
import type { PlannedPour, RoundQuestion } from './roundAdvice.ts';

/** So much of what a strong paint is to give goes in first. */
const CAUTIOUS_SHARE = 0.6;
/** Paints are reckoned with that are so many standard deviations stronger than was learned. */
const STRONG_SDS = 2;

/**
 * Warns of the paint that could overshoot for good: two standard deviations stronger than was learned, its pour would put the
 * mix outside the tolerance, and making that good with the others would take more than may be mixed. In a first mix, on less
 * than the need, that is rare: what was learned from no patch yet is made good by the next addition.
 */
export function warnOfOvershoot(
  { shelf, target, surface, limits }: RoundQuestion,
  base: MixState,
  pours: readonly PlannedPour[],
  strengths: Strengths | null,
  indexOf: (id: string) => number,
): PlannedPour[] {
  const all = [...new Set([...base.productIds, ...pours.map((pour) => pour.productId)])];
  const ids = all.map(indexOf);
  const after = all.map((id) => volumeOf(base, id) + (pours.find((pour) => pour.productId === id)?.ml ?? 0));
  const factors = all.map((id) => strengths?.factors[base.productIds.indexOf(id)] ?? 1);
  const totalMl = after.reduce((sum, one) => sum + one, 0);
  return pours.map((pour) => {
    const at = all.indexOf(pour.productId);
    const stronger = Math.exp(STRONG_SDS * computeRelativeSd(strengths, base, all, after, at));
    const strong = after.map((one, i) => one * factors[i]! * (i === at ? stronger : 1));
    const isLost = totalMl * stronger > MOST_VOLUME * limits.needMl;
    const isOff = scoreMix(shelf, ids, strong, target, surface).de65 > limits.tolerance;
    const cautious = Math.floor((CAUTIOUS_SHARE * pour.ml) / limits.doseMl) * limits.doseMl;
    const isMinor = after[at]! < 0.5 * totalMl;
    return isLost && isOff && isMinor && cautious >= limits.doseMl ? { ...pour, cautiousMl: cautious } : pour;
  });
}

/**
 * Spread of the logarithm of one paint's strength against the mean of the whole mix: only how strengths stand to each other
 * shows in a patch, and only that can overshoot.
 */
function computeRelativeSd(
  strengths: Strengths | null,
  base: MixState,
  all: readonly string[],
  volumes: readonly number[],
  at: number,
): number {
  const total = volumes.reduce((sum, one) => sum + one, 0);
  const places = all.map((id) => base.productIds.indexOf(id));
  const covarianceOf = (p: number, q: number) =>
    strengths && places[p]! >= 0 && places[q]! >= 0
      ? strengths.covariance[places[p]!]![places[q]!]!
      : p === q
        ? STRENGTH_SD ** 2
        : 0;
  const weights = volumes.map((one, i) => (i === at ? 1 : 0) - one / total);
  let variance = 0;
  weights.forEach((wp, p) => weights.forEach((wq, q) => (variance += wp * wq * covarianceOf(p, q))));
  return Math.sqrt(Math.max(0, variance));
}
