import type { QuarterAxis } from './quarters.ts';

/** Decimal years [from, to). */
export interface YearInterval {
  readonly fromYear: number;
  readonly toYear: number;
}

/** Highest-density regions: one interval each, or several where the density has gaps. */
export interface DateSpan {
  readonly region50: readonly YearInterval[];
  readonly region90: readonly YearInterval[];
}

/**
 * Highest-density regions of a density per quarter, of exactly 50 % and 90 % of its mass: quarters are taken from the most
 * to the least probable; of the last one only the share that is still needed, on the side where it touches the rest
 * (the density is taken as level within a quarter). Ties go to the earlier quarter.
 */
export function computeDateSpan(axis: QuarterAxis, density: Float64Array): DateSpan {
  const order = Array.from(density.keys()).sort((a, b) => density[b]! - density[a]! || a - b);
  return { region50: regionOfMass(axis, density, order, 0.5), region90: regionOfMass(axis, density, order, 0.9) };
}

/** The shortest interval around a region. */
export function hullOf(region: readonly YearInterval[]): YearInterval {
  return { fromYear: region[0]!.fromYear, toYear: region[region.length - 1]!.toYear };
}

function regionOfMass(
  axis: QuarterAxis,
  density: Float64Array,
  order: readonly number[],
  mass: number,
): YearInterval[] {
  const taken = new Float64Array(axis.count);
  let left = mass;
  for (const quarter of order) {
    const share = density[quarter]! > 0 ? Math.min(1, left / density[quarter]!) : 0;
    if (share <= 1e-12) break;
    taken[quarter] = share;
    left -= share * density[quarter]!;
  }
  const region: { fromYear: number; toYear: number }[] = [];
  for (let q = 0; q < axis.count; q++) {
    if (taken[q] === 0) continue;
    const begin = axis.firstYear + q / 4;
    const touchesNext = (taken[q + 1] ?? 0) === 1;
    const fromYear = taken[q]! < 1 && touchesNext && (taken[q - 1] ?? 0) < 1 ? begin + (1 - taken[q]!) / 4 : begin;
    const toYear = fromYear + taken[q]! / 4;
    const last = region[region.length - 1];
    if (last && Math.abs(last.toYear - fromYear) < 1e-9) last.toYear = toYear;
    else region.push({ fromYear, toYear });
  }
  return region;
}
