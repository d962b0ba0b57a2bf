import type { ProductionSpan } from '../model/catalogue.ts';

/** A run of quarter years: quarter i is [firstYear + i/4, firstYear + (i+1)/4). */
export interface QuarterAxis {
  readonly firstYear: number;
  readonly count: number;
}

/** The shortest axis of whole years that holds every span and a margin of whole years around them. At least one year long. */
export function createQuarterAxis(spans: readonly ProductionSpan[], marginYears = 0): QuarterAxis {
  if (spans.length === 0) return { firstYear: 1950, count: 4 };
  const first = Math.floor(spans.reduce((least, span) => Math.min(least, span.startEarliest), Infinity)) - marginYears;
  const last = Math.ceil(spans.reduce((most, span) => Math.max(most, span.endLatest), -Infinity)) + marginYears;
  return { firstYear: first, count: Math.max(4, (last - first) * 4) };
}

/** Middle of quarter i as a decimal year. */
export function quarterMiddle(axis: QuarterAxis, index: number): number {
  return axis.firstYear + (index + 0.5) / 4;
}

/**
 * Share of a variant's production that falls in each quarter, from a trapezoid: rising between the two starts, level,
 * falling between the two ends. Sums to 1. A span shorter than a quarter keeps its nearest quarter.
 */
export function computeSpanDensity(axis: QuarterAxis, span: ProductionSpan): Float64Array {
  const density = new Float64Array(axis.count);
  let sum = 0;
  for (let i = 0; i < axis.count; i++) {
    const height = trapezoidHeight(quarterMiddle(axis, i), span);
    density[i] = height;
    sum += height;
  }
  if (sum === 0) {
    const middle = (span.startEarliest + span.endLatest) / 2;
    const nearest = Math.min(axis.count - 1, Math.max(0, Math.floor((middle - axis.firstYear) * 4)));
    density[nearest] = 1;
    return density;
  }
  for (let i = 0; i < axis.count; i++) density[i]! /= sum;
  return density;
}

function trapezoidHeight(year: number, span: ProductionSpan): number {
  if (year < span.startEarliest || year > span.endLatest) return 0;
  if (year < span.startLatest) return (year - span.startEarliest) / (span.startLatest - span.startEarliest);
  if (year > span.endEarliest) return (span.endLatest - year) / (span.endLatest - span.endEarliest);
  return 1;
}
