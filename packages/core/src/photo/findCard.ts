import { InvalidInputError } from '../model/errors.ts';
import type { ControlPoint, Point } from '../model/plane.ts';
import { CARD_DOTS } from './benchCard.ts';
import { readGrey, type Picture } from './picture.ts';
import { mapPoint, solveHomography } from './solveHomography.ts';

/** A dot must be this much darker than what lies round it, of 255. */
const LEAST_CONTRAST = 40;

/**
 * The middle of the dark dot nearest to a pixel that was pointed at, to a fraction of a pixel: the centroid of the darkness
 * below half way between the darkest and the border of the window, taken twice, so that the second window is centred. null
 * when nothing dark is there. radiusPx is about the dot's own radius.
 */
export function refineDot(picture: Picture, at: Point, radiusPx: number): Point | null {
  const once = findCentroid(picture, at, Math.ceil(2.4 * radiusPx));
  return once && findCentroid(picture, once, Math.ceil(1.8 * radiusPx));
}

function findCentroid(picture: Picture, at: Point, reach: number): Point | null {
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
  let [sum, sumX, sumY] = [0, 0, 0];
  for (let i = 0; i < grey.length; i++) {
    // A soft step keeps the edge pixels' share: that is where the fraction of a pixel comes from.
    const weight = Math.min(1, Math.max(0, (limit + 0.25 * (bright - dark) - grey[i]!) / (0.5 * (bright - dark))));
    sum += weight;
    sumX += weight * (i % size);
    sumY += weight * Math.floor(i / size);
  }
  return sum > 0 ? { x: left + sumX / sum, y: top + sumY / sum } : null;
}

/**
 * The bench card in a picture from its four corner dots, pointed at roughly and clockwise from the upper left one: each is
 * refined, the others are looked for where they must be.
 *
 * Throws InvalidInputError where no dot is found near a corner that was pointed at. Other dots that cannot be seen are left
 * out.
 */
export function findCard(picture: Picture, corners: readonly Point[]): ControlPoint[] {
  const mm = CARD_DOTS.slice(0, 4);
  const rough = solveHomography(mm.map((place, i) => ({ pixel: place, mm: corners[i]! })));
  const radiusAt = ({ x, y }: Point) => {
    const [middle, edge] = [mapPoint(rough, { x, y }), mapPoint(rough, { x: x + 1.5, y })];
    return Math.hypot(edge.x - middle.x, edge.y - middle.y);
  };
  const found = mm.map((place, i): ControlPoint => {
    const pixel = refineDot(picture, corners[i]!, radiusAt(place));
    if (!pixel)
      throw new InvalidInputError(
        'no-dot',
        `No dark dot lies near corner ${i + 1} of the card: point at its dots, clockwise from the upper left.`,
        'corners',
        { corner: i + 1 },
      );
    return { pixel, mm: place };
  });
  const better = solveHomography(found.map(({ pixel, mm: place }) => ({ pixel: place, mm: pixel })));
  const others = CARD_DOTS.slice(4).flatMap((place): ControlPoint[] => {
    const pixel = refineDot(picture, mapPoint(better, place), radiusAt(place));
    return pixel ? [{ pixel, mm: place }] : [];
  });
  return [...found, ...others];
}

const percentile = (list: number[], share: number): number =>
  list.sort((a, b) => a - b)[Math.floor(share * list.length)]!;
const median = (list: number[]): number => percentile(list, 0.5);
