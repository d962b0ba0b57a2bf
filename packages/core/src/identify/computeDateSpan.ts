import type { QuarterAxis } from './quarters.ts';

/** Decimal years [from, to). */
export interface YearInterval {
  readonly fromYear: number;
  readonly toYear: number;
}

export interface DateSpan {
  readonly interval50: YearInterval;
  readonly interval90: YearInterval;
}

/**
 * Highest-density intervals of a density per quarter: quarters are taken from the most to the least probable until the
 * mass is reached; the outermost ones are reported. Ties go to the earlier quarter.
 */
export function computeDateSpan(axis: QuarterAxis, density: Float64Array): DateSpan {
  const order = Array.from(density.keys()).sort((a, b) => density[b]! - density[a]! || a - b);
  return { interval50: spanOfMass(axis, density, order, 0.5), interval90: spanOfMass(axis, density, order, 0.9) };
}

function spanOfMass(axis: QuarterAxis, density: Float64Array, order: readonly number[], mass: number): YearInterval {
  let sum = 0;
  let first = axis.count;
  let last = -1;
  for (const index of order) {
    if (sum >= mass - 1e-12) break;
    sum += density[index]!;
    first = Math.min(first, index);
    last = Math.max(last, index);
  }
  return { fromYear: axis.firstYear + first / 4, toYear: axis.firstYear + (last + 1) / 4 };
}
