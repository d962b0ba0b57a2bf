import { awayFrom } from '../drawing/planeGeometry.ts';
import type { Point } from '../model/plane.ts';

/**
 * The fewest of its points that a line stays within a tolerance of (D. H. Douglas, T. K. Peucker, Algorithms for the reduction
 * of the number of points required to represent a digitized line, Cartographica 10, 1973). Both ends stay.
 */
export function simplifyLine(points: readonly Point[], toleranceMm: number): Point[] {
  if (points.length < 3) return [...points];
  const [first, last] = [points[0]!, points.at(-1)!];
  let [farthest, most] = [0, 0];
  for (let i = 1; i < points.length - 1; i++) {
    const away = awayFrom(points[i]!, first, last);
    if (away > most) [farthest, most] = [i, away];
  }
  if (most <= toleranceMm) return [first, last];
  const head = simplifyLine(points.slice(0, farthest + 1), toleranceMm);
  return [...head.slice(0, -1), ...simplifyLine(points.slice(farthest), toleranceMm)];
}
