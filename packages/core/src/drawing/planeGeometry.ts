import type { Point } from '../model/plane.ts';

/** A closed line; the last point is joined to the first. */
export type Ring = readonly Point[];

/** Inside any of the rings, each by the even-odd rule. */
export const isInside = ({ x, y }: Point, rings: readonly Ring[]): boolean =>
  rings.some((ring) => {
    let inside = false;
    for (const [i, a] of ring.entries()) {
      const b = ring[(i + 1) % ring.length]!;
      if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
    }
    return inside;
  });

/** The point of a straight piece that lies nearest. */
export function nearestOn({ x, y }: Point, from: Point, to: Point): Point {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const square = dx * dx + dy * dy;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - from.x) * dx + (y - from.y) * dy) / square));
  return { x: from.x + t * dx, y: from.y + t * dy };
}

export const distanceBetween = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Of a point from the straight piece between two others. */
export const awayFrom = (at: Point, from: Point, to: Point): number => distanceBetween(at, nearestOn(at, from, to));
