import type { Point } from '../model/plane.ts';

/** Points farther than this many median distances from the circle do not belong to it. */
const STRAY = 3;
const ROUNDS = 4;

/** The circle nearest to points (I. Kåsa, A circle fitting procedure and its error analysis, IEEE TIM 25, 1976), strays left out. */
export function fitCircle(points: readonly Point[]): {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
} {
  let own = points;
  let circle = fitOnce(own);
  for (let round = 0; round < ROUNDS; round++) {
    const off = ({ x, y }: Point) => Math.abs(Math.hypot(x - circle.x, y - circle.y) - circle.radius);
    const most = Math.max(0.02, STRAY * median(points.map(off)));
    own = points.filter((point) => off(point) <= most);
    circle = fitOnce(own);
  }
  return circle;
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}

function fitOnce(points: readonly Point[]) {
  const count = points.length;
  const mx = points.reduce((sum, { x }) => sum + x, 0) / count;
  const my = points.reduce((sum, { y }) => sum + y, 0) / count;
  let [uu, uv, vv, ur, vr] = [0, 0, 0, 0, 0];
  for (const { x, y } of points) {
    const [u, v] = [x - mx, y - my];
    const r = u * u + v * v;
    uu += u * u;
    uv += u * v;
    vv += v * v;
    ur += u * r;
    vr += v * r;
  }
  const twice = 2 * (uu * vv - uv * uv);
  const [cx, cy] = [(vv * ur - uv * vr) / twice, (uu * vr - uv * ur) / twice];
  return { x: mx + cx, y: my + cy, radius: Math.sqrt(cx * cx + cy * cy + (uu + vv) / count) };
}
