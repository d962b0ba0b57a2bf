import type { Point } from '../model/plane.ts';

export interface FittedLine {
  readonly at: Point;
  /** Of length 1, to the right or straight down. */
  readonly along: Point;
}

export interface FittedCircle extends Point {
  readonly radius: number;
}

/** The line with the least squared distances from the points: through their middle, along their main direction. */
export function fitLine(points: readonly Point[]): FittedLine {
  const at = middleOf(points);
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of points) {
    xx += (x - at.x) ** 2;
    xy += (x - at.x) * (y - at.y);
    yy += (y - at.y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { at, along: { x: Math.cos(angle), y: Math.sin(angle) } };
}

/**
 * Circle x² + y² + D x + E y + F = 0 by normal equations about the middle (I. Kåsa, A circle fitting procedure and its error
 * analysis, IEEE TIM 25, 1976).
 */
export function fitCircle(points: readonly Point[]): FittedCircle {
  const middle = middleOf(points);
  let [uu, uv, vv, uz, vz, z] = [0, 0, 0, 0, 0, 0];
  for (const point of points) {
    const [u, v] = [point.x - middle.x, point.y - middle.y];
    const square = u * u + v * v;
    uu += u * u;
    uv += u * v;
    vv += v * v;
    uz += u * square;
    vz += v * square;
    z += square;
  }
  const determinant = 2 * (uu * vv - uv * uv);
  const x = (uz * vv - vz * uv) / determinant;
  const y = (vz * uu - uz * uv) / determinant;
  return { x: middle.x + x, y: middle.y + y, radius: Math.sqrt(x * x + y * y + z / points.length) };
}

const middleOf = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
  y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
});
