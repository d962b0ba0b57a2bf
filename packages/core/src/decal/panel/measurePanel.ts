import type { Reading } from '../../fit/reading.ts';
import type { Point } from '../../model/plane.ts';
import type { PhotoControl, PhotoMeasure } from '../../model/workpiece.ts';
import { computePhotoMeasure, preparePlane } from '../../photo/computePhotoMeasure.ts';
import { bendPoint, type PictureSize } from '../../photo/lens.ts';
import { invertHomography, mapPoint, solveHomography } from '../../photo/solveHomography.ts';

/**
 * Width and height of a panel between two opposite corners that were pressed on the straightened photograph (millimetres of its plane),
 * with the spread that pointing leaves, through the middles of its sides. A panel nearer to the lens than the card is corrected. Throws
 * InvalidInputError as computePhotoMeasure does.
 */
export function measurePanel(
  control: PhotoControl,
  size: PictureSize,
  [one, other]: readonly [Point, Point],
  depth: Pick<PhotoMeasure, 'nearerMm' | 'distanceMm'>,
): { readonly width: Reading; readonly height: Reading } {
  const { lens, points } = preparePlane(control, size);
  const toPixel = invertHomography(solveHomography(points));
  const seen = (x: number, y: number): Point => {
    const straight = mapPoint(toPixel, { x, y });
    return lens ? bendPoint(lens, straight) : straight;
  };
  const [x, y] = [(one.x + other.x) / 2, (one.y + other.y) / 2];
  const lengthOf = (ends: readonly Point[]): Reading => {
    const { value, sd } = computePhotoMeasure(control, size, { kind: 'length', points: ends, ...depth });
    return { mm: value, sd };
  };
  return {
    width: lengthOf([seen(one.x, y), seen(other.x, y)]),
    height: lengthOf([seen(x, one.y), seen(x, other.y)]),
  };
}
