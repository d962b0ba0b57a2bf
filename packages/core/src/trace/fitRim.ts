import type { Point } from '../model/plane.ts';
import { fitCircle, type FittedCircle } from '../photo/fitPoints.ts';

/** Points farther than this many median distances from the circle do not belong to it. */
const STRAY = 3;
const LEAST_MM = 0.02;
const ROUNDS = 4;

/** The circle nearest to points, those left out that lie on something else. */
export function fitRim(points: readonly Point[]): FittedCircle {
  let circle = fitCircle(points);
  for (let round = 0; round < ROUNDS; round++) {
    const { x: cx, y: cy, radius } = circle;
    const off = ({ x, y }: Point) => Math.abs(Math.hypot(x - cx, y - cy) - radius);
    const most = Math.max(LEAST_MM, STRAY * median(points.map(off)));
    circle = fitCircle(points.filter((point) => off(point) <= most));
  }
  return circle;
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}
