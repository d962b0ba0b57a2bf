import { InvalidInputError } from '../model/errors.ts';

/** One part that was stripped to bare metal: how many layers it wore and how many passes that took. */
export interface StrippedBefore {
  readonly layers: number;
  readonly passes: number;
}

export interface ExpectedPasses {
  /** Still to come, counted from now. */
  readonly expected: number;
  /** Nine in ten need no more than this. */
  readonly most: number;
  /** "planning estimate", or from how many stripped parts it is learned. */
  readonly origin: string;
}

/** Before anything is logged: two layers usually take two passes, as sure as after four passes (planning estimate). */
const PRIOR_MORE = 4;
const PRIOR_WORK = 6;
/** The first pass takes off about half a layer's worth before a second one is needed. */
const IN_FIRST_PASS = 0.5;
/** Stoving enamels from before this year resist: as much work as one layer more (planning estimate). */
const RESISTS_BEFORE = 1960;
const FARTHEST = 60;

/**
 * Passes still to come until the metal is bare. The passes after the first are Poisson, with a rate per layer beyond half a
 * one; the rate has a gamma prior, so what is logged for the same method moves it (gamma-Poisson; the forecast is negative
 * binomial, given that the passes done so far were not enough).
 *
 * Throws InvalidInputError when there is no layer to take off.
 */
export function expectPasses(
  layers: number,
  {
    year = null,
    done = 0,
    before = [],
  }: { year?: number | null; done?: number; before?: readonly StrippedBefore[] } = {},
): ExpectedPasses {
  if (!(layers >= 1))
    throw new InvalidInputError('out-of-range', 'There must be a layer to take off.', 'layers', { given: layers });
  const work = layers - IN_FIRST_PASS + (year !== null && year < RESISTS_BEFORE ? 1 : 0);
  const shape = PRIOR_MORE + before.reduce((sum, one) => sum + one.passes - 1, 0);
  const rate = PRIOR_WORK + before.reduce((sum, one) => sum + one.layers - IN_FIRST_PASS, 0);
  const more = computeChances(shape, rate, work);
  const chances = Array.from({ length: FARTHEST }, (_, passes) => (passes <= done ? 0 : (more[passes - 1] ?? 0)));
  const total = chances.reduce((sum, chance) => sum + chance, 0);
  const mean = chances.reduce((sum, chance, passes) => sum + chance * passes, 0) / total;
  let reached = 0;
  const most = chances.findIndex((chance) => (reached += chance / total) >= 0.9);
  return {
    expected: mean - done,
    most: most - done,
    origin: before.length
      ? `learned from ${before.length} stripped ${before.length === 1 ? 'part' : 'parts'}`
      : 'planning estimate',
  };
}

/** Negative binomial: chance of n passes for the work, n from 0. */
function computeChances(shape: number, rate: number, work: number): number[] {
  const stays = work / (rate + work);
  let chance = (rate / (rate + work)) ** shape;
  return Array.from({ length: FARTHEST }, (_, n) => {
    if (n > 0) chance *= ((shape + n - 1) / n) * stays;
    return chance;
  });
}
