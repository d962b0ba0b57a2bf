import type { StateColour } from '../model/catalogue.ts';
import type { CapturePlace } from '../model/reading.ts';
import type { ColourReading, ColourSpread } from './catalogue.ts';

/** A colour that readings are held against: as new, or as one model showed it. */
export type KnownColour = Pick<StateColour, 'lab' | 'sd' | 'place'> & { readonly isOfOneModel: boolean };

/** The half-normal is summed over so many equal steps (even), up to so many of its scales. */
const STEPS = 84;
const REACH = 7;
/** No reading is closer than this, however often it was taken. */
const LEAST_SD = 0.2;

/**
 * ln p(readings | colour), in units of Lab^-3 a reading. All readings are of one model: they share its batch (normal, each
 * coordinate alone) and its fading t, half-normal along one way, of which an open face shows all and a sheltered one a share.
 * A colour that is known from one model carries that model's batch, fading and reading, too. Batches are integrated out in
 * closed form (Sherman and Morrison 1950), fadings on a grid.
 */
export function computeColourDensity(
  readings: readonly ColourReading[],
  known: KnownColour,
  spread: ColourSpread,
): number {
  const { lnScale, at } = expandQuadratic(readings, known, spread);
  const fadings = spread.fadingSd > 0 ? FADINGS : STILL;
  const ofKnown = known.isOfOneModel ? fadings : STILL;
  let density = 0;
  let top = -Infinity;
  for (const mine of fadings) {
    const ofMine = at.none + (at.mine + at.mineMine * mine.at) * mine.at;
    const slope = at.its + at.mineIts * mine.at;
    for (const its of ofKnown) {
      const quadratic = ofMine + (slope + at.itsIts * its.at) * its.at;
      const ln = mine.lnWeight + its.lnWeight - quadratic / 2;
      if (ln > top) [density, top] = [density * Math.exp(top - ln) + 1, ln];
      else density += Math.exp(ln - top);
    }
  }
  return lnScale + top + Math.log(density);
}

/**
 * What the readings are off the known colour, d - t way share + t' way knownShare for the fadings t and t' of both models, in
 * the metric of their errors: a polynomial of second degree in t and t', which costs the same however many readings there are.
 */
function expandQuadratic(readings: readonly ColourReading[], known: KnownColour, spread: ColourSpread) {
  const shareOf = (place: CapturePlace) => (place === 'exposed' ? 1 : spread.shelteredShare);
  const shares = readings.map(({ place }) => shareOf(place));
  const ones = readings.map(() => 1);
  const at = { none: 0, mine: 0, its: 0, mineMine: 0, mineIts: 0, itsIts: 0 };
  let lnScale = 0;
  for (let axis = 0; axis < 3; axis++) {
    const weights = readings.map(({ sd }) => 1 / Math.max(LEAST_SD, sd[axis]!) ** 2);
    const common = (known.isOfOneModel ? 2 : 1) * spread.batchSd ** 2 + known.sd[axis]! ** 2;
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    lnScale += lnScaleOf(weights, common, total);
    const off = readings.map(({ lab }) => lab[axis]! - known.lab[axis]!);
    const times = (a: readonly number[], b: readonly number[]) =>
      weights.reduce((sum, weight, k) => sum + weight * a[k]! * b[k]!, 0) -
      (common / (1 + common * total)) * sumWeighted(weights, a) * sumWeighted(weights, b);
    const way = spread.fadingSd * spread.fadingWay[axis]!;
    const itsWay = shareOf(known.place) * way;
    at.none += times(off, off);
    at.mine -= 2 * way * times(off, shares);
    at.its += 2 * itsWay * times(off, ones);
    at.mineMine += way * way * times(shares, shares);
    at.mineIts -= 2 * way * itsWay * times(shares, ones);
    at.itsIts += itsWay * itsWay * times(ones, ones);
  }
  return { lnScale, at };
}

const sumWeighted = (weights: readonly number[], of: readonly number[]): number =>
  weights.reduce((sum, weight, k) => sum + weight * of[k]!, 0);

/** ln of what stands before the exponential of a normal with independent errors and one common error. */
function lnScaleOf(weights: readonly number[], common: number, total: number): number {
  const lnWeights = weights.reduce((sum, weight) => sum + Math.log(weight), 0);
  return (lnWeights - Math.log(1 + common * total) - weights.length * Math.log(2 * Math.PI)) / 2;
}

/** In scales of its half-normal, with the ln of its share. */
interface Fading {
  readonly at: number;
  readonly lnWeight: number;
}
const FADINGS = createFadings();
const STILL: readonly Fading[] = [{ at: 0, lnWeight: 0 }];

/** By Simpson's rule: it is cut off at 0, where a sum of middles would be coarse. */
function createFadings(): Fading[] {
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => {
    const at = (i * REACH) / STEPS;
    return { at, weight: (i === 0 || i === STEPS ? 1 : i % 2 ? 4 : 2) * Math.exp(-0.5 * at * at) };
  });
  const total = steps.reduce((sum, { weight }) => sum + weight, 0);
  return steps.map(({ at, weight }) => ({ at, lnWeight: Math.log(weight / total) }));
}
