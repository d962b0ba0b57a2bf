import { createSeededRandom, planOpening } from '@sardonyx/core';
import { bruteForceOpening } from '../packages/core/test/support/bruteForceOpening.ts';
import { createRandomModel, createToyModel } from '../packages/core/test/support/simulatedModels.ts';
import { median, percentile, type Topic } from './figure.ts';

const SMALL = 1000;
const LARGER = 20;
const TOYS = 200;
const LARGE_TOYS = 15;
const LARGE_MS = 2000;

export const assembly: Topic = {
  names: [
    'assembly.bruteForceMismatches',
    'assembly.exact24MedianMs',
    'assembly.exact24P95Ms',
    'assembly.anytime60Gap',
  ],
  measure: () => {
    const times = timeExact();
    return Promise.resolve([
      {
        name: 'assembly.bruteForceMismatches',
        value: countMismatches(),
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `opening plans against every set of joints: ${SMALL} random models of up to 10 joints, ${LARGER} of 14`,
      },
      {
        name: 'assembly.exact24MedianMs',
        value: median(times),
        unit: 'ms',
        goal: { kind: 'at most', value: 100 },
        yardstick: `${TOYS} toy-like models of 24 joints, proven best`,
      },
      {
        name: 'assembly.exact24P95Ms',
        value: percentile(times, 0.95),
        unit: 'ms',
        goal: { kind: 'at most', value: 1000 },
        yardstick: `the same; the slowest took ${Math.max(...times).toFixed(0)} ms`,
      },
      {
        name: 'assembly.anytime60Gap',
        value: median(measureGaps()),
        unit: '',
        goal: { kind: 'at most', value: 0.1 },
        yardstick: `${LARGE_TOYS} toy-like models of 60 joints, ${LARGE_MS / 1000} s each: (price - proven bound) / price, median`,
      },
    ]);
  },
};

function countMismatches(): number {
  let wrong = 0;
  for (let seed = 1; seed <= SMALL + LARGER; seed++) {
    const model = createRandomModel(seed <= SMALL ? 1 + (seed % 10) : 14, createSeededRandom(seed));
    const best = bruteForceOpening(model);
    const price = priceOf(model);
    if (price !== best && !(Math.abs(price - best) <= 1e-9)) wrong++;
  }
  return wrong;
}

/** Infinity where there is no plan at all. */
function priceOf(model: Parameters<typeof planOpening>[0]): number {
  try {
    const plan = planOpening(model);
    return plan.isProven ? plan.price : NaN;
  } catch {
    return Infinity;
  }
}

function timeExact(): number[] {
  return Array.from({ length: TOYS }, (_, seed) => {
    const model = createToyModel(24, createSeededRandom(seed + 1));
    const began = performance.now();
    priceOf(model);
    return performance.now() - began;
  });
}

function measureGaps(): number[] {
  return Array.from({ length: LARGE_TOYS }, (_, seed) => {
    const until = performance.now() + LARGE_MS;
    const model = createToyModel(60, createSeededRandom(seed + 500));
    const { price, lowerBound } = planOpening(model, { isEnough: () => performance.now() > until });
    return price > 0 ? (price - lowerBound) / price : 0;
  });
}
