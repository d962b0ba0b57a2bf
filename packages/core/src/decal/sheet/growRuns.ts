import type { Point } from '../../model/plane.ts';

/** A shape cut into rows of one height: of each row the spans that it touches, [from, to, from, to, ...], sorted and apart, mm. */
export interface Runs {
  readonly rows: readonly Float64Array[];
  /** Of the box round it. */
  readonly width: number;
  readonly height: number;
}

/**
 * A closed outline grown on all sides by a radius, in rows of `pitch` mm from the top of its box; x counts from the box's left. A row
 * holds all that the shape touches anywhere in it, so that two shapes whose rows do not meet do not meet.
 *
 * Every edge grows to a band with round ends, which is convex: its span in a row is that of its parts. What lies inside is in the row's
 * middle line, or beyond an edge that the row shows. An outline without room (fewer than three points) is a line or a dot, and grows
 * as one.
 */
export function growRuns(outline: readonly Point[], radius: number, pitch: number): Runs {
  const [left, top] = [Math.min(...outline.map(({ x }) => x)), Math.min(...outline.map(({ y }) => y))];
  const points = outline.map(({ x, y }) => ({ x: x - left + radius, y: y - top + radius }));
  const width = Math.max(...points.map(({ x }) => x)) + radius;
  const height = Math.max(...points.map(({ y }) => y)) + radius;
  const count = Math.max(1, Math.ceil(height / pitch - 1e-9));
  const rows = Array.from({ length: count }, (_, row) => spansBetween(points, radius, row * pitch, (row + 1) * pitch));
  return { rows, width, height };
}

/** Lines that a grown area is summed over, mm apart. */
const LINE = 0.05;

/** Area of a closed outline grown on all sides by a radius, mm2, within about a thousandth. */
export function computeGrownArea(outline: readonly Point[], radius: number): number {
  const top = Math.min(...outline.map(({ y }) => y)) - radius;
  const bottom = Math.max(...outline.map(({ y }) => y)) + radius;
  const lines = Math.max(1, Math.ceil((bottom - top) / LINE));
  const step = (bottom - top) / lines;
  let area = 0;
  for (let i = 0; i < lines; i++) {
    const y = top + (i + 0.5) * step;
    const spans = spansBetween(outline, radius, y, y);
    for (let s = 0; s < spans.length; s += 2) area += (spans[s + 1]! - spans[s]!) * step;
  }
  return area;
}

/** What a grown outline takes up between two heights. */
function spansBetween(points: readonly Point[], radius: number, top: number, bottom: number): Float64Array {
  const spans = crossAt(points, (top + bottom) / 2);
  points.forEach((from, i) => {
    const to = points[(i + 1) % points.length]!;
    if (Math.min(from.y, to.y) - radius > bottom || Math.max(from.y, to.y) + radius < top) return;
    const span = spanOfBand(from, to, radius, top, bottom);
    if (span) spans.push(...span);
  });
  return joinSpans(spans);
}

/** What a band of a radius round a straight piece takes up between two heights; null where it is not there. */
function spanOfBand(from: Point, to: Point, radius: number, top: number, bottom: number): [number, number] | null {
  let [least, most] = [Infinity, -Infinity];
  const meet = (a: number, b: number) => {
    least = Math.min(least, a);
    most = Math.max(most, b);
  };
  for (const { x, y } of [from, to]) {
    const away = y < top ? top - y : y > bottom ? y - bottom : 0;
    if (away > radius) continue;
    const half = Math.sqrt(radius * radius - away * away);
    meet(x - half, x + half);
  }
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  if (length > 0) {
    const [nx, ny] = [(-dy / length) * radius, (dx / length) * radius];
    const corners = [
      { x: from.x + nx, y: from.y + ny },
      { x: to.x + nx, y: to.y + ny },
      { x: to.x - nx, y: to.y - ny },
      { x: from.x - nx, y: from.y - ny },
    ];
    corners.forEach((a, i) => {
      const b = corners[(i + 1) % corners.length]!;
      const clipped = clipEdge(a, b, top, bottom);
      if (clipped) meet(Math.min(...clipped), Math.max(...clipped));
    });
  }
  return most >= least ? [least, most] : null;
}

/** Where a straight piece enters and leaves between two heights. */
function clipEdge(a: Point, b: Point, top: number, bottom: number): [number, number] | null {
  if (Math.max(a.y, b.y) < top || Math.min(a.y, b.y) > bottom) return null;
  const at = (y: number) => (a.y === b.y ? b.x : a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
  const of = (point: Point) => (point.y < top ? at(top) : point.y > bottom ? at(bottom) : point.x);
  return [of(a), of(b)];
}

/** What a line at a height crosses of a ring, from and to in turn (even-odd). */
function crossAt(ring: readonly Point[], y: number): number[] {
  const crossings: number[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    if (a.y > y !== b.y > y) crossings.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
  });
  return crossings.sort((a, b) => a - b);
}

function joinSpans(flat: readonly number[]): Float64Array {
  const pairs = Array.from({ length: flat.length / 2 }, (_, i): [number, number] => [flat[2 * i]!, flat[2 * i + 1]!]);
  pairs.sort((a, b) => a[0] - b[0]);
  const joined: number[] = [];
  for (const [from, to] of pairs) {
    if (joined.length > 0 && from <= joined.at(-1)!) joined[joined.length - 1] = Math.max(joined.at(-1)!, to);
    else joined.push(from, to);
  }
  return Float64Array.from(joined);
}
