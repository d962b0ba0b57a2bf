import type { Lab } from '../colorimetry.ts';
import { splitDe00 } from '../difference.ts';
import { idsOf, LEVEL_COUNT, readShares, type ComboTable } from './comboTable.ts';

/** Combos whose nearest approach is judged by the slope of the table. */
const SURVEYED = 12_000;

/**
 * The combos with a point nearest to a colour, by the metric of CIEDE2000 at that colour, and that point. Only what `admits`
 * lets in; where shares are bounded by `most`, points beyond the bounds count only for combos that have no other.
 */
export function selectNearest(
  table: ComboTable,
  target: Lab,
  count: number,
  admits: (combo: number) => boolean,
  most: Float64Array | null,
): { readonly combo: number; readonly point: number }[] {
  const { labs, starts } = table;
  const m = createMetric(target);
  const combos = starts.length - 1;
  const nearest = new Float32Array(combos);
  const points = new Uint16Array(combos);
  for (let combo = 0; combo < combos; combo++) {
    let best = Infinity;
    let point = 0;
    const isIn = admits(combo);
    const within = most && isIn ? listWithin(table, combo, most) : null;
    if (isIn)
      for (let at = starts[combo]!; at < starts[combo + 1]!; at++) {
        if (within && !within[at - starts[combo]!]) continue;
        const l = labs[3 * at]! - target[0];
        const a = labs[3 * at + 1]! - target[1];
        const b = labs[3 * at + 2]! - target[2];
        const u = m[0]! * l + m[1]! * a + m[2]! * b;
        const v = m[3]! * l + m[4]! * a + m[5]! * b;
        const w = m[6]! * l + m[7]! * a + m[8]! * b;
        const d = u * u + v * v + w * w;
        if (d < best) {
          best = d;
          point = at - starts[combo]!;
        }
      }
    nearest[combo] = best;
    points[combo] = point;
  }
  // Between its points a combo comes nearer than at them: how near is judged by the slope of the table there.
  const near = selectLowest(nearest, Math.min(SURVEYED, combos));
  const estimates = Float32Array.from(near, (combo) => estimateNearest(table, combo, points[combo]!, target, m));
  return [...selectLowest(estimates, Math.min(count, near.length))].map((place) => {
    const combo = near[place]!;
    return { combo, point: points[combo]! };
  });
}

/** A point may be so much beyond a bound and still be a start. */
const BEYOND = 1.05;

/** Which points of a combo ask no pot for more than it holds; null where all do, or none. */
function listWithin(table: ComboTable, combo: number, most: Float64Array): boolean[] | null {
  const ids = idsOf(table, combo);
  if (ids.every((id) => most[id]! >= 1)) return null;
  const points = table.starts[combo + 1]! - table.starts[combo]!;
  const within = Array.from({ length: points }, (_, point) =>
    readShares(table, combo, point).every((share, i) => share <= BEYOND * most[ids[i]!]!),
  );
  return within.includes(true) ? within : null;
}

/** Places of the lowest values, in the order they stand. */
function selectLowest(values: Float32Array, count: number): Uint32Array {
  const limit = Float32Array.from(values).sort()[count - 1]!;
  const chosen: number[] = [];
  for (let i = 0; i < values.length && chosen.length < count; i++)
    if (values[i]! <= limit && Number.isFinite(values[i]!)) chosen.push(i);
  return Uint32Array.from(chosen);
}

/** A step along the table is trusted so far. */
const FARTHEST = 0.8;
const here = new Float64Array(3);
const alongFirst = new Float64Array(3);
const alongSecond = new Float64Array(3);

/** What is left of the difference when a combo moves from its nearest point along the slope of the table, squared. */
function estimateNearest(table: ComboTable, combo: number, point: number, target: Lab, m: Float64Array): number {
  const { labs, starts, paints } = table;
  const at = starts[combo]! + point;
  const side = LEVEL_COUNT;
  const isPair = paints[3 * combo + 2]! < 0;
  for (let row = 0; row < 3; row++) {
    let sum = 0;
    for (let c = 0; c < 3; c++) sum += m[3 * row + c]! * (labs[3 * at + c]! - target[c]!);
    here[row] = sum;
  }
  const second = isPair ? -1 : point % side;
  const first = isPair ? point : Math.floor(point / side);
  measureSlope(labs, at, first, isPair ? 1 : side, m, alongFirst);
  if (isPair) alongSecond.fill(0);
  else measureSlope(labs, at, second, 1, m, alongSecond);
  const aa = dot(alongFirst, alongFirst) + 1e-9;
  const bb = dot(alongSecond, alongSecond) + 1e-9;
  const ab = dot(alongFirst, alongSecond);
  const ra = -dot(alongFirst, here);
  const rb = -dot(alongSecond, here);
  const det = aa * bb - ab * ab;
  const clamp = (step: number) => Math.max(-FARTHEST, Math.min(FARTHEST, step));
  const stepA = clamp(det > 1e-12 ? (ra * bb - rb * ab) / det : ra / aa);
  // With the first step cut off, the second one is chosen anew.
  const stepB = clamp((rb - ab * stepA) / bb);
  let left = 0;
  for (let row = 0; row < 3; row++) left += (here[row]! + stepA * alongFirst[row]! + stepB * alongSecond[row]!) ** 2;
  return left;
}

/** Change of the difference by one step of the table, from the neighbours on both sides or on the one there is. */
function measureSlope(
  labs: Float32Array,
  at: number,
  level: number,
  stride: number,
  m: Float64Array,
  into: Float64Array,
) {
  const up = level < LEVEL_COUNT - 1 ? at + stride : at;
  const down = level > 0 ? at - stride : at;
  const steps = (up - down) / stride;
  for (let row = 0; row < 3; row++) {
    let sum = 0;
    for (let c = 0; c < 3; c++) sum += m[3 * row + c]! * (labs[3 * up + c]! - labs[3 * down + c]!);
    into[row] = sum / steps;
  }
}

const dot = (a: Float64Array, b: Float64Array) => a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!;

/** CIEDE2000 near a colour as a linear map of the change of Lab. */
function createMetric(target: Lab): Float64Array {
  const metric = new Float64Array(9);
  const parts = new Float64Array(3);
  for (let c = 0; c < 3; c++) {
    const moved: [number, number, number] = [target[0], target[1], target[2]];
    moved[c]! += 0.5;
    splitDe00(target, moved, parts);
    for (let row = 0; row < 3; row++) metric[3 * row + c] = parts[row]! / 0.5;
  }
  return metric;
}
