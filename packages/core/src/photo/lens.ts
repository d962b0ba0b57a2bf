import type { ControlPoint, Point } from '../model/plane.ts';
import { mapPoint, solveHomography } from './solveHomography.ts';

/**
 * Radial distortion of a lens about the middle of the picture, by the division model: a pixel at r half diagonals from the
 * middle is seen at 1 / (1 + k r²) of its distance by a lens without it (A. W. Fitzgibbon, Simultaneous linear estimation of
 * multiple view geometry and lens distortion, CVPR 2001, eq. 5). k < 0: barrel.
 */
export interface Lens {
  readonly k: number;
  readonly middle: Point;
  /** Half diagonal of the picture, px. */
  readonly radius: number;
}

export interface PictureSize {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Fewer points than this say too little of the lens. */
const LEAST_LENS_POINTS = 8;
/** Stronger distortion than any lens for close work has. */
const STRONGEST = 0.35;
const STEPS = 40;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

export const createLens = (k: number, { widthPx, heightPx }: PictureSize): Lens => ({
  k,
  middle: { x: widthPx / 2, y: heightPx / 2 },
  radius: Math.hypot(widthPx, heightPx) / 2,
});

/** Where a pixel would be without the lens's distortion. */
export function straightenPoint({ k, middle, radius }: Lens, { x, y }: Point): Point {
  const [u, v] = [(x - middle.x) / radius, (y - middle.y) / radius];
  const stretch = 1 / (1 + k * (u * u + v * v));
  return { x: middle.x + radius * u * stretch, y: middle.y + radius * v * stretch };
}

/** The inverse of straightenPoint: the smaller root of k r s² - s + r = 0, written so that k = 0 is no exception. */
export function bendPoint({ k, middle, radius }: Lens, { x, y }: Point): Point {
  const [u, v] = [(x - middle.x) / radius, (y - middle.y) / radius];
  const stretch = 2 / (1 + Math.sqrt(Math.max(0, 1 - 4 * k * (u * u + v * v))));
  return { x: middle.x + radius * u * stretch, y: middle.y + radius * v * stretch };
}

/**
 * The distortion that makes the points fit one plane best, found by golden-section search over k. null with fewer than
 * eight points, which then are taken as they are.
 */
export function solveLens(points: readonly ControlPoint[], size: PictureSize): Lens | null {
  if (points.length < LEAST_LENS_POINTS) return null;
  const cost = (k: number) => computeMisfit(straightenControl(createLens(k, size), points));
  let [low, high] = [-STRONGEST, STRONGEST];
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [costA, costB] = [cost(a), cost(b)];
  for (let i = 0; i < STEPS; i++) {
    if (costA < costB) {
      [high, b, costB] = [b, a, costA];
      a = high - GOLDEN * (high - low);
      costA = cost(a);
    } else {
      [low, a, costA] = [a, b, costB];
      b = low + GOLDEN * (high - low);
      costB = cost(b);
    }
  }
  return createLens((low + high) / 2, size);
}

export const straightenControl = (lens: Lens | null, points: readonly ControlPoint[]): ControlPoint[] =>
  lens ? points.map(({ pixel, mm }) => ({ pixel: straightenPoint(lens, pixel), mm })) : [...points];

/** Root mean square distance of the points from where they should be, mm. */
export function computeMisfit(points: readonly ControlPoint[]): number {
  const h = solveHomography(points);
  const sum = points.reduce((total, { pixel, mm }) => {
    const found = mapPoint(h, pixel);
    return total + (found.x - mm.x) ** 2 + (found.y - mm.y) ** 2;
  }, 0);
  return Math.sqrt(sum / points.length);
}
