import type { Point } from '../model/plane.ts';
import { readGrey, type Picture } from './picture.ts';

/** A dot must be this much darker than what lies round it, of 255. */
const LEAST_CONTRAST = 40;

/**
 * The middle of the dark dot nearest to a pixel that was pointed at, to a fraction of a pixel: the centroid of the darkness
 * below half way between the darkest and the border of the window, taken twice, so that the second window is centred. null
 * when nothing dark is there. radiusPx is about the dot's own radius.
 */
export function refineDot(picture: Picture, at: Point, radiusPx: number): Point | null {
  const once = findCentroid(picture, at, Math.ceil(2.4 * radiusPx));
  const twice = once && findCentroid(picture, once, Math.ceil(1.8 * radiusPx));
  return twice && { x: twice.x, y: twice.y };
}

/** Of the border of a dot's window so much is light; else something lies over the dot or against it. */
const LIGHT_BORDER = 0.85;
/** What is dark there, of the area of a whole dot: less is half covered, more has something against it. */
const WHOLE = { least: 0.6, most: 1.6 } as const;

/**
 * The same for a dot whose place is known to a fraction of its size: the window is small, so that it stays on the card seen
 * at a slant. null also where something dark touches the window's border, or where what is dark is not as large as the dot.
 */
export function centreDot(picture: Picture, at: Point, radiusPx: number): Point | null {
  const found = findCentroid(picture, at, Math.max(3, Math.ceil(1.7 * radiusPx)), LIGHT_BORDER);
  const share = (found?.area ?? 0) / (Math.PI * radiusPx * radiusPx);
  return !found || share < WHOLE.least || share > WHOLE.most ? null : { x: found.x, y: found.y };
}

interface Centroid extends Point {
  /** Of what is dark, square pixels. */
  readonly area: number;
}

function findCentroid(picture: Picture, at: Point, reach: number, lightBorder = 0): Centroid | null {
  const [left, top] = [Math.round(at.x) - reach, Math.round(at.y) - reach];
  const size = 2 * reach + 1;
  const grey = Float64Array.from({ length: size * size }, (_, i) =>
    readGrey(picture, left + (i % size), top + Math.floor(i / size)),
  );
  const border = [...grey.keys()].filter((i) => {
    const [x, y] = [i % size, Math.floor(i / size)];
    return x === 0 || y === 0 || x === size - 1 || y === size - 1;
  });
  const bright = median(border.map((i) => grey[i]!));
  const dark = percentile([...grey], 0.03);
  if (bright - dark < LEAST_CONTRAST) return null;
  const limit = (bright + dark) / 2;
  if (border.filter((i) => grey[i]! > limit).length < lightBorder * border.length) return null;
  let [sum, sumX, sumY] = [0, 0, 0];
  for (let i = 0; i < grey.length; i++) {
    // A soft step keeps the edge pixels' share: that is where the fraction of a pixel comes from.
    const weight = Math.min(1, Math.max(0, (limit + 0.25 * (bright - dark) - grey[i]!) / (0.5 * (bright - dark))));
    sum += weight;
    sumX += weight * (i % size);
    sumY += weight * Math.floor(i / size);
  }
  return sum > 0 ? { x: left + sumX / sum, y: top + sumY / sum, area: sum } : null;
}

const percentile = (list: number[], share: number): number =>
  list.sort((a, b) => a - b)[Math.floor(share * list.length)]!;
const median = (list: number[]): number => percentile(list, 0.5);
