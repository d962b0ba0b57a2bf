import type { IdentifySettings, IdentifyVariant } from './catalogue.ts';
import { SIBLING_YEARS } from './encodeSiblings.ts';
import { computeSpanDensity, quarterMiddle, type QuarterAxis } from './quarters.ts';
import { weighStatements } from './weighStatements.ts';

/** The production densities of all hypotheses one after the other, without their zeros at both ends. */
export interface EncodedSpans {
  /** First quarter of each hypothesis. */
  readonly first: Int32Array;
  /** Where its values begin; one more entry at the end. */
  readonly offset: Int32Array;
  readonly values: Float64Array;
  /** Mass of a hypothesis up to and with each of its quarters, laid out like values. */
  readonly cumulated: Float64Array;
}

/**
 * Densities per quarter, each summing to 1: the span's trapezoid, weighed by what people said of the dates. An unlisted
 * sibling was made near the variant it is like. A variant that nobody dated, and the stranger at the end, are flat.
 */
export function encodeSpans(
  axis: QuarterAxis,
  variants: readonly IdentifyVariant[],
  siblingOf: Int32Array,
  settings: IdentifySettings,
): EncodedSpans {
  const last = variants.length + siblingOf.length;
  const first = new Int32Array(last + 1);
  const offset = new Int32Array(last + 2);
  let values = new Float64Array(Math.max(axis.count, 1024));
  let used = 0;
  for (let i = 0; i <= last; i++) {
    const sibling = siblingOf[i - variants.length];
    const density =
      sibling === undefined
        ? createDensity(axis, variants[i], settings)
        : spreadAround(createDensity(axis, variants[sibling], settings));
    const begin = density.findIndex((value) => value > 0);
    const end = density.findLastIndex((value) => value > 0) + 1;
    if (used + end - begin > values.length) {
      const grown = new Float64Array(2 * values.length + axis.count);
      grown.set(values);
      values = grown;
    }
    values.set(density.subarray(begin, end), used);
    first[i] = begin;
    offset[i] = used;
    used += end - begin;
  }
  offset[last + 1] = used;
  values = values.slice(0, used);
  const cumulated = new Float64Array(used);
  for (let i = 0; i <= last; i++) {
    let sum = 0;
    for (let k = offset[i]!; k < offset[i + 1]!; k++) cumulated[k] = sum += values[k]!;
  }
  return { first, offset, values, cumulated };
}

function createDensity(
  axis: QuarterAxis,
  variant: IdentifyVariant | undefined,
  settings: IdentifySettings,
): Float64Array {
  const density = variant?.span
    ? computeSpanDensity(axis, variant.span)
    : new Float64Array(axis.count).fill(1 / axis.count);
  if (!variant?.statements.length) return density;
  let sum = 0;
  for (let q = 0; q < axis.count; q++) {
    density[q]! *= weighStatements(variant.statements, quarterMiddle(axis, q), settings);
    sum += density[q]!;
  }
  return density.map((value) => value / sum);
}

/** The mean of the quarters within SIBLING_YEARS on either side: what lies beyond the axis is lost and made up for. */
function spreadAround(density: Float64Array): Float64Array {
  const reach = 4 * SIBLING_YEARS;
  const spread = new Float64Array(density.length);
  let window = 0;
  let sum = 0;
  for (let q = -reach; q < density.length; q++) {
    window += (density[q + reach] ?? 0) - (density[q - reach - 1] ?? 0);
    if (q >= 0) sum += spread[q] = Math.max(0, window);
  }
  return spread.map((value) => value / sum);
}
