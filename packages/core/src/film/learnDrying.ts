import { normalCdf, normalQuantile } from '../numeric/normal.ts';

/** What touches showed of one coat, in minutes of the sheet after it went on: not yet dry at the one, dry at the other. */
export interface TouchedCoat {
  /** The latest touch that found it not ready; 0 where there was none. */
  readonly notYetMin: number;
  /** The earliest touch that found it ready; null where there was none. */
  readonly readyMin: number | null;
}

/** How long something takes on this bench: ln of the time is normal, its middle known so far, each coat with a spread of its own. */
export interface LearnedTime {
  /** Points of ln(time), evenly spaced, and how probable each is; sums to 1. */
  readonly lnMin: Float64Array;
  readonly weights: Float64Array;
  readonly coats: number;
}

/** Spread of ln(time) from product to product about what the sheet says, and from coat to coat of one product (planning estimates). */
export const SHEET_SD = 0.25;
export const COAT_SD = 0.2;

const POINTS = 161;
/** The grid reaches so many spreads of the sheet to either side. */
const REACH = 5;

/**
 * The time of a product after what touches showed. A touch only says on which side of it the time lies, so each coat counts
 * with its probability of lying between its last "not yet" and its first "ready" (interval-censored log-normal). Coats whose
 * touches contradict each other count nothing.
 *
 * @param sheetMin what the sheet says, min
 */
export function learnDrying(sheetMin: number, coats: readonly TouchedCoat[]): LearnedTime {
  const step = (2 * REACH * SHEET_SD) / (POINTS - 1);
  const lnMin = Float64Array.from({ length: POINTS }, (_, i) => Math.log(sheetMin) - REACH * SHEET_SD + i * step);
  const told = coats.filter(({ notYetMin, readyMin }) => readyMin === null || readyMin > notYetMin);
  // Many close touches are too improbable together for a product of plain chances.
  const lnWeights = lnMin.map((at, i) => {
    const z = -REACH + (2 * REACH * i) / (POINTS - 1);
    return told.reduce((sum, coat) => sum + Math.log(chanceOf(coat, at)), (-z * z) / 2);
  });
  const top = Math.max(...lnWeights);
  // Touches that no grid point explains leave what the sheet says.
  if (top === -Infinity) return learnDrying(sheetMin, []);
  const weights = lnWeights.map((ln) => Math.exp(ln - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return { lnMin, weights: weights.map((weight) => weight / total), coats: told.length };
}

function chanceOf({ notYetMin, readyMin }: TouchedCoat, middle: number): number {
  const below = (minutes: number) => (minutes <= 0 ? 0 : normalCdf((Math.log(minutes) - middle) / COAT_SD));
  // Rounding may leave the difference of two ones below nothing.
  return Math.max(0, (readyMin === null ? 1 : below(readyMin)) - below(notYetMin));
}

/** How probable it is that the next coat is ready after so many minutes of the sheet. */
export function computeReadyChance({ lnMin, weights }: LearnedTime, minutes: number): number {
  if (minutes <= 0) return 0;
  const at = Math.log(minutes);
  return weights.reduce((sum, weight, i) => sum + weight * normalCdf((at - lnMin[i]!) / COAT_SD), 0);
}

/**
 * Minutes of the sheet after which the next coat is ready so surely; share within 0 and 1, both left out. For a coat that was touched
 * itself, only what its own touches left open counts: it is not ready before the last "not yet", and ready by the first "ready".
 *
 * @param learned of all other coats
 */
export function computeReadyTime(learned: LearnedTime, share: number, own: TouchedCoat = UNTOUCHED): number {
  const { lnMin } = learned;
  const { notYetMin, readyMin } = own;
  const begins = computeReadyChance(learned, notYetMin);
  const ends = readyMin === null ? 1 : computeReadyChance(learned, readyMin);
  // Touches that contradict each other, or what was learned, leave the later of the two moments.
  if (ends - begins < 1e-12) return Math.max(notYetMin, readyMin ?? 0);
  const wanted = begins + share * (ends - begins);
  const z = Math.abs(normalQuantile(wanted));
  let [low, high] = [lnMin[0]! - z * COAT_SD, lnMin[POINTS - 1]! + z * COAT_SD];
  while (high - low > 1e-5) {
    const middle = (low + high) / 2;
    if (computeReadyChance(learned, Math.exp(middle)) < wanted) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

const UNTOUCHED: TouchedCoat = { notYetMin: 0, readyMin: null };
