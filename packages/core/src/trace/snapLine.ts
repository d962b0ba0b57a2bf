import type { Point } from '../model/plane.ts';

/** How light it is at a place of the drawing, 0 to 255. */
export type Lightness = (place: Point) => number;

export interface SnapOptions {
  /** How far from the given line the edge may lie, mm. */
  readonly reachMm: number;
  readonly stepMm: number;
}

export interface SnappedLine {
  /** At even steps, both ends among them. */
  readonly points: readonly Point[];
  /** Share of them that lie on an edge. */
  readonly found: number;
}

const SNAP: SnapOptions = { reachMm: 1.2, stepMm: 0.3 };

/** Steps of the offset across the line, mm. */
const FINE_MM = 0.06;
/** The slope of an edge is taken over so much to each side, mm. */
const SLOPE_MM = 0.12;
/** Along the line the profile is averaged over so much to each side, mm. */
const ALONG_MM = 0.15;
/** Grey levels from which an edge is as good as any: a dark line must not pull harder than the rim of a light coat. */
const ENOUGH = 40;
/** Below this there is no edge. */
const LEAST_SLOPE = 6;
/** The edge is no farther from the path than so many steps. */
const MOST_CLIMB = 6;
/** What a step of the offset from one sample to the next costs, and what it costs to be as far off as may be. */
const STIFFNESS = 0.5;
const FARNESS = 0.3;

/**
 * The edge of a picture along a line of short pieces: at every step the line may move across itself, and the path of moves
 * with the least cost is found by dynamic programming (A. A. Amini et al., Using dynamic programming for solving variational
 * problems in vision, IEEE PAMI 12, 1990): steep edges are cheap, jumps and far moves dear. Then each sample goes to the
 * steepest place near it, by a parabola. Both ends may move.
 */
export function snapLine(
  lightness: Lightness,
  line: readonly Point[],
  { reachMm, stepMm }: SnapOptions = SNAP,
): SnappedLine {
  const samples = sampleLine(line, stepMm);
  const count = 2 * Math.round(reachMm / FINE_MM) + 1;
  const middle = (count - 1) / 2;
  const normals = samples.map((_, i) => normalAt(samples, i));
  const slopes = samples.map((place, i) => slopesAcross(lightness, place, normals[i]!, count));
  const far = (o: number) => FARNESS * ((o - middle) / middle) ** 2;
  // What is no edge must not pull: without one the line stays where it was drawn.
  const pull = (slope: number) => (slope < LEAST_SLOPE ? 0 : Math.min(1, slope / ENOUGH));
  const price = (i: number, o: number) => 1 - pull(slopes[i]![o]!) + far(o);
  const cost = samples.map(() => new Float64Array(count));
  const from = samples.map(() => new Int16Array(count));
  for (let o = 0; o < count; o++) cost[0]![o] = price(0, o);
  const jump = Math.max(1, Math.round(stepMm / FINE_MM));
  for (let i = 1; i < samples.length; i++)
    for (let o = 0; o < count; o++) {
      let best = Infinity;
      for (let p = Math.max(0, o - jump); p <= Math.min(count - 1, o + jump); p++) {
        const total = cost[i - 1]![p]! + STIFFNESS * (((o - p) * FINE_MM) / stepMm) ** 2;
        if (total < best) {
          best = total;
          from[i]![o] = p;
        }
      }
      cost[i]![o] = best + price(i, o);
    }
  let at = cost.at(-1)!.reduce((least, value, o, all) => (value < all[least]! ? o : least), 0);
  const offsets = new Float64Array(samples.length);
  let found = 0;
  for (let i = samples.length - 1; i >= 0; i--) {
    if (slopes[i]![at]! >= LEAST_SLOPE) found++;
    const peak = climb(slopes[i]!, at);
    offsets[i] = (peak - middle + peakShift(slopes[i]!, peak)) * FINE_MM;
    at = from[i]![at]!;
  }
  return {
    points: samples.map(({ x, y }, i) => ({
      x: x + offsets[i]! * normals[i]!.x,
      y: y + offsets[i]! * normals[i]!.y,
    })),
    found: found / samples.length,
  };
}

/** How steep the lightness is across the line, at every offset: the difference of two means. */
function slopesAcross(lightness: Lightness, place: Point, normal: Point, count: number): Float64Array {
  const along = { x: -normal.y, y: normal.x };
  const middle = (count - 1) / 2;
  const side = Math.round(SLOPE_MM / FINE_MM);
  const profile = Float64Array.from({ length: count + 2 * side }, (_, j) => {
    const t = (j - side - middle) * FINE_MM;
    let sum = 0;
    for (const s of [-ALONG_MM, 0, ALONG_MM])
      sum += lightness({
        x: place.x + t * normal.x + s * along.x,
        y: place.y + t * normal.y + s * along.y,
      });
    return sum / 3;
  });
  return Float64Array.from({ length: count }, (_, o) => Math.abs(profile[o + 2 * side]! - profile[o]!));
}

/** Steep enough is steep enough for the path; the edge itself is the steepest place near by. */
function climb(slopes: Float64Array, from: number): number {
  if (slopes[from]! < LEAST_SLOPE) return from;
  let at = from;
  for (let step = 0; step < MOST_CLIMB; step++) {
    const [before, after] = [slopes[at - 1] ?? 0, slopes[at + 1] ?? 0];
    if (slopes[at]! >= before && slopes[at]! >= after) break;
    at += after > before ? 1 : -1;
  }
  return at;
}

function peakShift(slopes: Float64Array, at: number): number {
  const [before, peak, after] = [slopes[at - 1], slopes[at]!, slopes[at + 1]];
  if (before === undefined || after === undefined) return 0;
  const curve = before - 2 * peak + after;
  return curve < 0 ? Math.max(-0.5, Math.min(0.5, (0.5 * (before - after)) / curve)) : 0;
}

/** Points along a line at even steps, both ends among them. */
function sampleLine(line: readonly Point[], stepMm: number): Point[] {
  const lengths = line.slice(1).map(({ x, y }, i) => Math.hypot(x - line[i]!.x, y - line[i]!.y));
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  const count = Math.max(1, Math.round(whole / stepMm));
  let [piece, before] = [0, 0];
  return Array.from({ length: count + 1 }, (_, i) => {
    const want = (whole * i) / count;
    while (piece < lengths.length - 1 && before + lengths[piece]! < want) before += lengths[piece++]!;
    const [a, b] = [line[piece]!, line[piece + 1] ?? line[piece]!];
    const share = lengths[piece] ? Math.min(1, (want - before) / lengths[piece]!) : 0;
    return { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
  });
}

function normalAt(samples: readonly Point[], i: number): Point {
  const [a, b] = [samples[Math.max(0, i - 1)]!, samples[Math.min(samples.length - 1, i + 1)]!];
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
}
