import { compilePlan, createSeededRandom } from '@sardonyx/core';
import { planOpening } from '../packages/core/src/assembly/planOpening.ts';
import { type OpeningModel } from '../packages/core/src/assembly/openingModel.ts';
import { bruteForceOpening } from '../packages/core/test/support/bruteForceOpening.ts';
import { findBrokenRules } from '../packages/core/test/support/findBrokenRules.ts';
import { createRandomPlanInput } from '../packages/core/test/support/randomPlanWorld.ts';
import {
  createManyTreatments,
  createRandomModel,
  createToyModel,
} from '../packages/core/test/support/simulatedModels.ts';
import { median, percentile, type Figure, type Topic } from './figure.ts';

const SMALL = 1000;
const LARGER = 20;
const TOYS = 200;
const LARGE_TOYS = 15;
const LARGE_MS = 2000;
const LONG_MS = 60_000;
const PLANS = 1000;
const RANDOM_24 = 40;

export const assembly: Topic = {
  names: [
    'assembly.bruteForceMismatches',
    'assembly.exact24MedianMs',
    'assembly.exact24P95Ms',
    'assembly.anytime60Gap',
    'assembly.anytime60Against60s',
    'assembly.closingRulesBroken',
    'assembly.manyTreatmentsMs',
  ],
  measure: () => {
    const times = timeModels(TOYS, (seed) => createToyModel(24, createSeededRandom(seed)));
    const others = timeModels(RANDOM_24, (seed) => createRandomModel(24, createSeededRandom(seed), seed % 2 ? 0.2 : 0));
    const large = planLarge();
    return Promise.resolve([
      {
        name: 'assembly.bruteForceMismatches',
        value: countMismatches(),
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `opening plans against every set of joints: ${SMALL} random models of up to 10 joints, half of them with wishes, ${LARGER} of 14`,
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
        yardstick: `the same; the slowest took ${Math.max(...times).toFixed(0)} ms, the slowest of ${RANDOM_24} quite random ones ${Math.max(...others).toFixed(0)} ms (goal 5,000)`,
      },
      {
        name: 'assembly.anytime60Gap',
        value: median(large.map((one) => one.gap)),
        unit: '',
        goal: { kind: 'at most', value: 0.1 },
        yardstick: `${LARGE_TOYS} toy-like models of 60 joints, ${LARGE_MS / 1000} s each: (price - proven bound) / price, median; ${large.filter((one) => one.gap === 0).length} proven best`,
      },
      {
        name: 'assembly.anytime60Against60s',
        value: Math.max(...large.map((one) => one.over)),
        unit: '',
        goal: { kind: 'at most', value: 0.03 },
        yardstick: `the same plans against ${LONG_MS / 1000} s of search (a proven one is not searched again): price over, the worst`,
      },
      {
        name: 'assembly.closingRulesBroken',
        value: countBroken(),
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `order rules and ways back through the joints, pair by pair, in ${PLANS} random plans`,
      },
      measureMany(),
    ]);
  },
};

const NINE = 20;
const FIFTEEN = 10;

function measureMany(): Figure {
  const plans = Array.from({ length: NINE + FIFTEEN }, (_, i) => {
    const random = createSeededRandom(i + 900);
    const model = i < NINE ? createManyTreatments(18, 9, random) : createManyTreatments(40, 15, random);
    const began = performance.now();
    const { price, lowerBound, isProven } = planOpening(model);
    return { ms: performance.now() - began, gap: (price - lowerBound) / price, isProven };
  });
  const gaps = plans.filter(({ isProven }) => !isProven).map(({ gap }) => gap);
  return {
    name: 'assembly.manyTreatmentsMs',
    value: Math.max(...plans.map(({ ms }) => ms)),
    unit: 'ms',
    goal: { kind: 'at most', value: 2000 },
    yardstick: `the slowest of ${NINE} models of 18 parts in 9 finishes and ${FIFTEEN} of 40 in 15, joints of two and three parts; ${plans.length - gaps.length} proven best, the others with a gap of ${gaps.length ? `${(100 * median(gaps)).toFixed(0)} % in the median, ${(100 * Math.max(...gaps)).toFixed(0)} % at most` : 'none'}`,
  };
}

function countMismatches(): number {
  let wrong = 0;
  for (let seed = 1; seed <= SMALL + LARGER; seed++) {
    const model = createRandomModel(seed <= SMALL ? 1 + (seed % 10) : 14, createSeededRandom(seed), seed % 2 ? 0.3 : 0);
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

function timeModels(count: number, create: (seed: number) => OpeningModel): number[] {
  return Array.from({ length: count }, (_, i) => {
    const model = create(i + 1);
    const began = performance.now();
    priceOf(model);
    return performance.now() - began;
  });
}

function planLarge(): { readonly gap: number; readonly over: number }[] {
  return Array.from({ length: LARGE_TOYS }, (_, seed) => {
    const model = createToyModel(60, createSeededRandom(seed + 500));
    const search = (ms: number) => {
      const until = performance.now() + ms;
      return planOpening(model, { isEnough: () => performance.now() > until, mostWork: Infinity });
    };
    const { price, lowerBound, isProven } = search(LARGE_MS);
    const best = isProven ? price : search(LONG_MS).price;
    return { gap: price > 0 ? (price - lowerBound) / price : 0, over: best > 0 ? price / best - 1 : 0 };
  });
}

function countBroken(): number {
  let broken = 0;
  for (let seed = 1; seed <= PLANS; seed++) {
    const input = createRandomPlanInput(seed);
    const plan = compilePlan(input);
    // Findings that exclude each other are no plan and no fault; rules that wait for each other are one.
    if (plan.kind === 'plan') broken += findBrokenRules(input, plan.tasks).length;
    else if (plan.cycle.length > 0) broken++;
  }
  return broken;
}
