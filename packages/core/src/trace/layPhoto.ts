import { InvalidInputError } from '../model/errors.ts';
import type { Point } from '../model/plane.ts';
import type { PhotoFit } from '../model/trace.ts';

/** Places of a straightened photograph that say how it lies, in its plane's mm. */
export interface LaidBy {
  /** The end that is left in the drawing (the front), and the other. */
  readonly ends: readonly [front: Point, rear: Point];
  /** Two places on one level line: under the front wheel and under the rear one. */
  readonly level: readonly [front: Point, rear: Point];
}

/**
 * Lays a photograph under a drawing: the level line becomes level at `levelMm`, the front end comes to x = 0 and, where
 * the length is known, the rear end to it. A plane nearer to the lens than the card looks larger: the known length takes
 * that out. Taken from the other side, it is mirrored.
 *
 * Throws InvalidInputError when the places do not span a level line, or the ends do not lie along it.
 */
export function layPhoto(photoId: string, { ends, level }: LaidBy, levelMm: number, lengthMm: number | null): PhotoFit {
  const along = { x: level[1].x - level[0].x, y: level[1].y - level[0].y };
  const run = Math.hypot(along.x, along.y);
  const [ux, uy] = [along.x / run, along.y / run];
  const coordinate = ({ x, y }: Point) => x * ux + y * uy;
  const length = coordinate(ends[1]) - coordinate(ends[0]);
  if (!(run > 1) || !(length > 1))
    throw new InvalidInputError(
      'not-level',
      'The two places on the ground must lie apart, front and rear as the two ends do.',
      'level',
      { run, length },
    );
  // Above the ground is up in the drawing: the ends say which side of the level line the model stands on.
  const side = ends.reduce((sum, { x, y }) => sum + (x - level[0].x) * -uy + (y - level[0].y) * ux, 0);
  const isMirrored = side > 0;
  const m = isMirrored ? -1 : 1;
  const scale = lengthMm === null ? 1 : lengthMm / length;
  const [a, b] = [scale * ux, scale * -uy * m];
  const fit = { photoId, a, b, dx: 0, dy: 0, isMirrored };
  const front = mapToDrawing(fit, ends[0]);
  const ground = mapToDrawing(fit, level[0]);
  return { ...fit, dx: -front.x, dy: levelMm - ground.y };
}

/** A point of the photograph's plane in the drawing. */
export function mapToDrawing({ a, b, dx, dy, isMirrored }: PhotoFit, { x: u, y: v }: Point): Point {
  const m = isMirrored ? -1 : 1;
  return { x: a * u - m * b * v + dx, y: b * u + m * a * v + dy };
}

/** The inverse: a point of the drawing in the photograph's plane. */
export function mapToPhoto({ a, b, dx, dy, isMirrored }: PhotoFit, { x, y }: Point): Point {
  const m = isMirrored ? -1 : 1;
  const square = a * a + b * b;
  const [p, q] = [x - dx, y - dy];
  return { x: (a * p + b * q) / square, y: (m * (a * q - b * p)) / square };
}
