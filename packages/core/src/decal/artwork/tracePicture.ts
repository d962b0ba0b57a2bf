import { contours } from 'd3-contour';
import { enclose } from '../../drawing/computeOutlineArea.ts';
import type { Artwork, InkShape } from '../../model/decal.ts';
import { InvalidInputError } from '../../model/errors.ts';
import type { Point } from '../../model/plane.ts';
import type { Picture } from '../../photo/picture.ts';
import { simplifyRing } from '../../trace/simplifyRing.ts';
import { readFlatInks, type FlatPicture } from './readFlatInks.ts';

/** A pixel larger than this shows its steps in print, mm (about 250 dots an inch). */
const MOST_PIXEL_MM = 0.1;
/** An outline may be so far off, pixels. */
const TOLERANCE_PX = 0.35;
/** Less than this is a speck of the scan, pixels. */
const SPECK_PX = 4;
const MOST_PIXELS = 16_000_000;

/**
 * A picture of pixels becomes shapes of flat ink: what is printed of it is so many mm wide, paper round it is left out. Each ink is drawn
 * with all that lies on it, the ink with the most of it below: no hair of paint shows between two. Throws InvalidInputError for a picture
 * that is too coarse, too large, of shades or of nothing.
 */
export function tracePicture(picture: Picture, widthMm: number, isWhitePaper: boolean): Artwork {
  if (!(widthMm > 0)) throw new InvalidInputError('size', 'Say how wide what is printed is, mm.', 'widthMm');
  if (picture.width * picture.height > MOST_PIXELS)
    throw new InvalidInputError('large', `The picture has more than ${MOST_PIXELS / 1e6} million pixels.`, 'file');
  const flat = readFlatInks(picture, isWhitePaper);
  const outlines = flat.inks.map((_, rank) => outlineInk(flat, rank));
  const corners = outlines.flat(2);
  if (corners.length === 0)
    throw new InvalidInputError('empty', 'Nothing of this picture is more than specks.', 'file');
  const [left, right] = findEnds(corners.map(({ x }) => x));
  const [top, bottom] = findEnds(corners.map(({ y }) => y));
  const pixelMm = widthMm / (right - left);
  if (pixelMm > MOST_PIXEL_MM)
    throw new InvalidInputError(
      'coarse',
      `So wide a pixel of it is ${pixelMm.toFixed(2)} mm, and its steps are seen: at most ${MOST_PIXEL_MM} mm. What is printed takes at least ${Math.ceil(widthMm / MOST_PIXEL_MM)} pixels across; here it has ${Math.round(right - left)}.`,
      'widthMm',
    );
  const toMm = ({ x, y }: Point): Point => ({ x: (x - left) * pixelMm, y: (y - top) * pixelMm });
  const shapes = flat.inks.flatMap((fill, rank): InkShape[] => {
    const d = outlines[rank]!.map((ring) => drawRing(ring.map(toMm))).join('');
    return d === '' ? [] : [{ d, fill, isEvenOdd: true, stroke: null, strokeMm: 0 }];
  });
  return { widthMm, heightMm: (bottom - top) * pixelMm, shapes };
}

/** All that is of this ink or lies on it, in pixels. */
function outlineInk({ cells, width, height }: FlatPicture, rank: number): Point[][] {
  const mask = Array.from(cells, (cell) => (cell > rank ? 1 : 0));
  const [shape] = contours().size([width, height]).thresholds([0.5])(mask);
  return shape!.coordinates
    .flat()
    .map((ring) => ring.slice(0, -1).map(([x, y]) => ({ x: x!, y: y! })))
    .filter((ring) => Math.abs(enclose(ring)) >= SPECK_PX)
    .map((ring) => simplifyRing(ring, TOLERANCE_PX));
}

const findEnds = (values: readonly number[]): readonly [number, number] =>
  values.reduce(([least, most], value) => [Math.min(least, value), Math.max(most, value)] as const, [
    Infinity,
    -Infinity,
  ] as readonly [number, number]);

const drawRing = (ring: readonly Point[]): string =>
  `${ring.map(({ x, y }, i) => `${i ? 'L' : 'M'}${+x.toFixed(4)} ${+y.toFixed(4)}`).join('')}Z`;
