import { InvalidInputError } from '../../model/errors.ts';
import type { ControlPoint, Point } from '../../model/plane.ts';
import { BENCH_CARD, CARD_DOTS } from '../../photo/benchCard.ts';
import { findCard } from '../../photo/findCard.ts';
import { readGrey, type Picture } from '../../photo/picture.ts';
import { mapPoint, solveHomography } from '../../photo/solveHomography.ts';

/** Pixels of the small picture's longer side. */
const SMALL = 240;
/** Shares of the brightest that count as the card's white, tried from the top. */
const LEVELS = [0.93, 0.88, 0.82, 0.76, 0.7] as const;
const LEAST_DOTS = 10;
/** The card covers at least this part of the picture. */
const LEAST_AREA = 0.01;

/**
 * Finds the card by itself: the bright area whose four outermost points, taken as the card's corners, have dark dots where
 * the card has them.
 *
 * Throws InvalidInputError where none is found: then its four corner dots are pointed at.
 */
export function locateCard(picture: Picture): ControlPoint[] {
  const { grey, width, height, scale } = shrink(picture);
  const peak = [...grey].sort((a, b) => a - b)[Math.floor(0.995 * grey.length)]!;
  for (const level of LEVELS)
    for (const area of findAreas(grey, width, height, level * peak)) {
      const found = tryCorners(
        picture,
        area.map(({ x, y }) => ({ x: (x + 0.5) * scale, y: (y + 0.5) * scale })),
      );
      if (found) return found;
    }
  throw new InvalidInputError(
    'no-card',
    'The card was not found. Point at its four corner dots, clockwise from the upper left one.',
    'card',
  );
}

function shrink(picture: Picture) {
  const scale = Math.max(picture.width, picture.height) / SMALL;
  const [width, height] = [Math.floor(picture.width / scale), Math.floor(picture.height / scale)];
  const grey = new Float64Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = { x: Math.round((x + 0.5) * scale), y: Math.round((y + 0.5) * scale) };
      let sum = 0;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) sum += Math.min(255, readGrey(picture, at.x + dx, at.y + dy));
      grey[y * width + x] = sum / 9;
    }
  return { grey, width, height, scale };
}

/** Outermost points (towards the four corners of the picture) of each connected bright area, largest first. */
function findAreas(grey: Float64Array, width: number, height: number, level: number): Point[][] {
  const seen = new Uint8Array(grey.length);
  const areas: { size: number; corners: Point[] }[] = [];
  for (let start = 0; start < grey.length; start++) {
    if (seen[start] || grey[start]! < level) continue;
    const stack = [start];
    seen[start] = 1;
    const outermost = [
      { reach: -Infinity, x: 0, y: 0 },
      { reach: -Infinity, x: 0, y: 0 },
      { reach: -Infinity, x: 0, y: 0 },
      { reach: -Infinity, x: 0, y: 0 },
    ];
    let size = 0;
    while (stack.length > 0) {
      const at = stack.pop()!;
      const [x, y] = [at % width, Math.floor(at / width)];
      size++;
      [-x - y, x - y, x + y, y - x].forEach((reach, i) => {
        if (reach > outermost[i]!.reach) outermost[i] = { reach, x, y };
      });
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width])
        if (next >= 0 && next < grey.length && !seen[next] && grey[next]! >= level) {
          seen[next] = 1;
          stack.push(next);
        }
    }
    if (size >= LEAST_AREA * grey.length) areas.push({ size, corners: outermost.map(({ x, y }) => ({ x, y })) });
  }
  return areas.sort((a, b) => b.size - a.size).map(({ corners }) => corners);
}

function tryCorners(picture: Picture, corners: readonly Point[]): ControlPoint[] | null {
  const { widthMm, heightMm } = BENCH_CARD;
  const edge = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ];
  try {
    const toPicture = solveHomography(edge.map((place, i) => ({ pixel: place, mm: corners[i]! })));
    const found = findCard(
      picture,
      CARD_DOTS.slice(0, 4).map((dot) => mapPoint(toPicture, dot)),
    );
    return found.length >= LEAST_DOTS ? found : null;
  } catch (error) {
    if (error instanceof InvalidInputError) return null;
    throw error;
  }
}
