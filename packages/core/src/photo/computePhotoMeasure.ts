import { InvalidInputError } from '../model/errors.ts';
import type { ControlPoint } from '../model/plane.ts';
import type { PhotoControl, PhotoMeasure, PhotoMeasureKind } from '../model/workpiece.ts';
import { solveLens, straightenControl, straightenPoint, type Lens, type PictureSize } from './lens.ts';
import {
  correctForDepth,
  measureAngle,
  measureDiameter,
  measureLength,
  measureTwist,
  type Measured,
} from './measureOnPhoto.ts';

/** Spread of pointing at a picture on the screen, px (planning estimate). */
const POINTING_PX = 1;
/** Spread of a dot that was found by its darkness, px (planning estimate; on rendered pictures it is smaller). */
const FOUND_PX = 0.2;
/** Spread of the known places of a printed card or rule, mm (planning estimate). */
const CONTROL_MM = 0.05;
/** Spread of how much nearer a plane lies, mm, and of the lens's distance, as a share (planning estimates). */
const NEARER_MM = 0.5;
const DISTANCE_SHARE = 0.05;

const LEAST_POINTS: Readonly<Record<PhotoMeasureKind, number>> = { length: 2, diameter: 3, angle: 3, twist: 4 };

/** How many points of the picture a measure needs at least. */
export const countPointsNeeded = (kind: PhotoMeasureKind): number => LEAST_POINTS[kind];

/** A picture's plane: its control points without the lens's distortion. */
export function preparePlane(
  control: PhotoControl,
  size: PictureSize,
): { readonly lens: Lens | null; readonly points: readonly ControlPoint[] } {
  const lens = solveLens(control.points, size);
  return { lens, points: straightenControl(lens, control.points) };
}

/**
 * One measure on a photograph, in mm or degrees, with its spread. A length or diameter in a plane nearer to the lens than the
 * card is corrected by the distance, with the spread of both (angles need no correction). Eight control points or more also
 * take the lens's distortion out.
 *
 * Throws InvalidInputError when points are missing, when the control points do not span a plane, or when the plane is
 * nearer and nobody knows the distance of the lens.
 */
export function computePhotoMeasure(
  control: PhotoControl,
  size: PictureSize,
  { kind, points: pixels, nearerMm, distanceMm }: Pick<PhotoMeasure, 'kind' | 'points' | 'nearerMm' | 'distanceMm'>,
): Measured {
  if (pixels.length < LEAST_POINTS[kind])
    throw new InvalidInputError('too-few-points', `This needs ${LEAST_POINTS[kind]} points.`, 'points', {
      given: pixels.length,
    });
  const plane = preparePlane(control, size);
  const { lens } = plane;
  const points = lens ? pixels.map((pixel) => straightenPoint(lens, pixel)) : pixels;
  // Dots of the card are found by the machine; four corners were pointed at.
  const error = {
    pixelSd: POINTING_PX,
    controlPixelSd: plane.lens ? FOUND_PX : POINTING_PX,
    controlMmSd: CONTROL_MM,
  };
  const [a, b, c] = points;
  const half = Math.floor(points.length / 2);
  if (kind === 'angle') return measureAngle(plane.points, a!, [b!, c!], error);
  if (kind === 'twist') return measureTwist(plane.points, points.slice(0, half), points.slice(half), error);
  const flat =
    kind === 'length' ? measureLength(plane.points, a!, b!, error) : measureDiameter(plane.points, points, error);
  if (nearerMm === 0) return flat;
  if (distanceMm === null || distanceMm <= nearerMm)
    throw new InvalidInputError(
      'depth-unknown',
      'This lies nearer to the lens than the card and reads too long: give the distance from the lens to the card, or lay the card in its plane.',
      'distanceMm',
      { nearerMm },
    );
  return correctMeasured(flat, nearerMm, distanceMm);
}

/** First order in all three: the reading, how much nearer, and how far. */
function correctMeasured({ value, sd }: Measured, nearerMm: number, distanceMm: number): Measured {
  const corrected = correctForDepth(value, nearerMm, distanceMm);
  const own = (sd * (distanceMm - nearerMm)) / distanceMm;
  const byNearer = (value / distanceMm) * NEARER_MM;
  const byDistance = ((value * nearerMm) / distanceMm) * DISTANCE_SHARE;
  const total = Math.hypot(own, byNearer, byDistance);
  return { value: corrected, sd: total, low: corrected - 1.959964 * total, high: corrected + 1.959964 * total };
}
