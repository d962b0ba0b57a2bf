import type { Point } from '../model/plane.ts';
import { simplifyLine } from './simplifyLine.ts';

/** A closed line, simplified from its two points that lie farthest apart, so that neither end is lost. */
export function simplifyRing(ring: readonly Point[], tolerance: number): Point[] {
  const far = ring.reduce(
    (best, point, i) => {
      const away = Math.hypot(point.x - ring[0]!.x, point.y - ring[0]!.y);
      return away > best.away ? { i, away } : best;
    },
    { i: 0, away: 0 },
  ).i;
  const [one, two] = [ring.slice(0, far + 1), [...ring.slice(far), ring[0]!]];
  return [...simplifyLine(one, tolerance).slice(0, -1), ...simplifyLine(two, tolerance).slice(0, -1)];
}
