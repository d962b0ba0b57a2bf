import type { ControlPoint, Point } from '../model/plane.ts';
import { fitCircle, fitLine } from './fitPoints.ts';
import { mapPoint, solveHomography, type Homography } from './solveHomography.ts';

/** A measured value with the standard deviation that the pointing leaves in it. */
export interface Measured {
  readonly value: number;
  readonly sd: number;
  /** 95 % interval, taking the error as normal. */
  readonly low: number;
  readonly high: number;
}

/** Standard deviations of pointing at a pixel, by axis, and of the known places, mm. */
export interface PointingError {
  readonly pixelSd: number;
  /** Of the control points, where they were found better than by hand. */
  readonly controlPixelSd?: number;
  readonly controlMmSd: number;
}

const NORMAL_95 = 1.959964;

/** Length between two pixels, mm, in the plane of the control points. */
export const measureLength = (control: readonly ControlPoint[], a: Point, b: Point, error: PointingError): Measured =>
  propagate(control, [a, b], error, (h, [p, q]) => distance(mapPoint(h, p!), mapPoint(h, q!)));

/** Angle at `corner` between two arms, degrees, 0 to 180. */
export const measureAngle = (
  control: readonly ControlPoint[],
  corner: Point,
  arms: readonly [Point, Point],
  error: PointingError,
): Measured =>
  propagate(control, [corner, ...arms], error, (h, points) => {
    const [at, one, other] = points.map((point) => mapPoint(h, point)) as [Point, Point, Point];
    const turn = direction(at, other) - direction(at, one);
    return Math.abs(wrap(turn, 360));
  });

/** Diameter of the circle through at least three pixels of its rim, mm: least squares in the plane (I. Kasa, IEEE IM-25, 1976). */
export const measureDiameter = (
  control: readonly ControlPoint[],
  rim: readonly Point[],
  error: PointingError,
): Measured =>
  propagate(control, rim, error, (h, points) => 2 * fitCircle(points.map((point) => mapPoint(h, point))).radius);

/**
 * Twist of the chassis, degrees: from the front axle's line to the rear one's, in an end view. Each line runs through two
 * points or more (total least squares). The axles lie at different
 * depths, but lines that are parallel to the plane keep their direction when it is rectified, so depth does no harm.
 */
export const measureTwist = (
  control: readonly ControlPoint[],
  front: readonly Point[],
  rear: readonly Point[],
  error: PointingError,
): Measured =>
  propagate(control, [...front, ...rear], error, (h, points) => {
    const plane = points.map((point) => mapPoint(h, point));
    return wrap(fitDirection(plane.slice(front.length)) - fitDirection(plane.slice(0, front.length)), 180);
  });

/**
 * A length in a plane that lies `nearerMm` nearer to the lens than the control points, at `distanceMm` from it, reads too
 * long by nearer / (distance - nearer); this is what it is.
 */
export const correctForDepth = (lengthMm: number, nearerMm: number, distanceMm: number): number =>
  (lengthMm * (distanceMm - nearerMm)) / distanceMm;

/**
 * First-order propagation (JCGM 100:2008, 5.1.2): every coordinate of every point is moved by one standard deviation to
 * both sides; what the value moves by is added up in squares. Pointing errors are independent.
 */
function propagate(
  control: readonly ControlPoint[],
  pixels: readonly Point[],
  { pixelSd, controlPixelSd = pixelSd, controlMmSd }: PointingError,
  compute: (h: Homography, pixels: readonly Point[]) => number,
): Measured {
  const value = compute(solveHomography(control), pixels);
  let variance = 0;
  const add = (sd: number, moved: (by: number) => number) => {
    if (sd > 0) variance += ((moved(sd) - moved(-sd)) / 2) ** 2;
  };
  for (const axis of ['x', 'y'] as const) {
    const move = (point: Point, by: number): Point => ({ ...point, [axis]: point[axis] + by });
    const replace = <T>(list: readonly T[], at: number, by: T): T[] => list.map((one, i) => (i === at ? by : one));
    const h = solveHomography(control);
    pixels.forEach((pixel, i) => add(pixelSd, (by) => compute(h, replace(pixels, i, move(pixel, by)))));
    control.forEach((point, i) => {
      add(controlPixelSd, (by) =>
        compute(solveHomography(replace(control, i, { ...point, pixel: move(point.pixel, by) })), pixels),
      );
      add(controlMmSd, (by) =>
        compute(solveHomography(replace(control, i, { ...point, mm: move(point.mm, by) })), pixels),
      );
    });
  }
  const sd = Math.sqrt(variance);
  return { value, sd, low: value - NORMAL_95 * sd, high: value + NORMAL_95 * sd };
}

const distance = (a: Point, b: Point) => Math.hypot(b.x - a.x, b.y - a.y);
const direction = (a: Point, b: Point) => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;

/** Of the line through points, degrees. */
function fitDirection(points: readonly Point[]): number {
  const { along } = fitLine(points);
  return (Math.atan2(along.y, along.x) * 180) / Math.PI;
}

/** Into (-period / 2, period / 2]. */
const wrap = (angle: number, period: number) => angle - period * Math.ceil(angle / period - 0.5);
