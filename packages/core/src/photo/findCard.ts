import { InvalidInputError } from '../model/errors.ts';
import type { ControlPoint, Point } from '../model/plane.ts';
import { BENCH_CARD, CARD_DOTS } from './benchCard.ts';
import { findDots, type Dot } from './findDots.ts';
import { solveLens, straightenControl, type PictureSize } from './lens.ts';
import { computeAspect, LEAST_ASPECT, matchCard } from './matchCard.ts';
import { readGrey, type Picture } from './picture.ts';
import { centreDot, refineDot } from './refineDot.ts';
import { mapPoint, solveHomography, type Homography } from './solveHomography.ts';

/** A card that is found by itself shows at least so many of its twelve dots. */
const LEAST_DOTS = 9;
/** What speaks for a way of laying the card is so much more than what speaks for any other: then it is clearly the best. */
const CLEARLY = 2;
/** Ways that are looked at closely. */
const MOST_WAYS = 6;
/** A dot may lie off its place by this, mm, and by this of a pixel: what lies farther off is half covered or something else. */
const OFF = { mm: 0.25, px: 0.35 } as const;
/** Beside a dot there is paper, mm from its middle; this bright, of the paper elsewhere, a place is clean. */
const PAPER_MM = 2.6;
const PAPER_SHARE = 0.85;
/** Spots outside the corners that were pointed at, farther than this share of their distance, are not the card's. */
const ROUND_CORNERS = 0.25;

/**
 * The bench card in a picture, found by itself at any angle, or near its four corner dots that were pointed at clockwise,
 * roughly, from any of them. Every way of laying the card on the dark spots is tried, turned ones too, and the best must be
 * clearly best; its dots are then refined to fractions of a pixel, and those that do not lie in one plane with the others are
 * left out.
 *
 * Throws InvalidInputError where no card is found, where two ways fit about as well, and where no dot lies near a corner that
 * was pointed at.
 */
export function findCard(picture: Picture, corners?: readonly Point[]): ControlPoint[] {
  const dots = findDots(picture);
  const own = corners ? dots.filter((dot) => isWithin(dot, corners)) : dots;
  const ways = matchCard(own)
    .slice(0, MOST_WAYS)
    .map(({ toPicture }) => layCard(picture, toPicture))
    .sort((a, b) => b.score - a.score);
  const [best, second] = ways;
  if (best && best.control.length >= LEAST_DOTS) {
    if (!second || second.score + CLEARLY <= best.score) return layUpright(best.control, corners?.[0]);
    throw new InvalidInputError('two-cards', 'Two ways of laying the card fit about as well: clear its dots.', 'card');
  }
  if (corners) return layUpright(findFromCorners(picture, corners), corners[0]);
  throw new InvalidInputError(
    'no-card',
    'The card was not found. Point at its four corner dots, clockwise from the upper left one.',
    'card',
  );
}

interface LaidCard {
  readonly control: readonly ControlPoint[];
  /** Dots that are there, less the places where one should be and there is clean paper. */
  readonly score: number;
}

function layCard(picture: Picture, toPicture: Homography): LaidCard {
  const control = refineAll(picture, toPicture);
  const isThere = (mm: Point) => control.some((one) => one.mm === mm);
  const read = (place: Point) => {
    const { x, y } = mapPoint(toPicture, place);
    return readGrey(picture, Math.round(x), Math.round(y));
  };
  // Paper beside each dot that is there; a hand or a wheel over the card is darker.
  const paper = control.map(({ mm }) => read({ x: mm.x, y: mm.y + PAPER_MM })).sort((a, b) => a - b);
  const white = paper[Math.floor(paper.length / 2)] ?? 255;
  const missing = CARD_DOTS.filter((mm) => {
    const { x, y } = mapPoint(toPicture, mm);
    const isInside = x >= 0 && y >= 0 && x < picture.width && y < picture.height;
    return isInside && !isThere(mm) && read(mm) > PAPER_SHARE * white;
  });
  return { control, score: control.length - missing.length };
}

function isWithin(dot: Dot, corners: readonly Point[]): boolean {
  const middle = averageOf(corners);
  const reach =
    (1 + ROUND_CORNERS) * Math.max(...corners.map((corner) => Math.hypot(corner.x - middle.x, corner.y - middle.y)));
  return Math.hypot(dot.x - middle.x, dot.y - middle.y) < reach;
}

const averageOf = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
  y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
});

/** All dots where they must be, without those that are covered or lie off the plane of the others. */
function refineAll(picture: Picture, toPicture: Homography): ControlPoint[] {
  const found = CARD_DOTS.flatMap((mm): ControlPoint[] => {
    const at = mapPoint(toPicture, mm);
    const pixel = centreDot(picture, at, radiusAt(toPicture, mm));
    return pixel && Math.hypot(pixel.x - at.x, pixel.y - at.y) < 1.5 * radiusAt(toPicture, mm) ? [{ pixel, mm }] : [];
  });
  return dropStrays(found, { widthPx: picture.width, heightPx: picture.height });
}

/** Takes the dot that lies farthest off out, until all lie in one plane. */
function dropStrays(control: readonly ControlPoint[], size: PictureSize): ControlPoint[] {
  if (control.length <= 4) return [...control];
  const straight = straightenControl(solveLens(control, size), control);
  const off = computeOff(straight);
  if (off === null) return [];
  const worst = off.indexOf(Math.max(...off));
  if (off[worst]! <= 1) return [...control];
  return dropStrays(
    control.filter((_, i) => i !== worst),
    size,
  );
}

/** How far each dot lies from its place, of what is let pass; null where they fix no plane. */
function computeOff(control: readonly ControlPoint[]): number[] | null {
  try {
    const toPicture = solveHomography(control.map(({ pixel, mm }) => ({ pixel: mm, mm: pixel })));
    return control.map(({ pixel, mm }) => {
      const at = mapPoint(toPicture, mm);
      const pixelsPerMm = radiusAt(toPicture, mm) / (BENCH_CARD.dotMm / 2);
      return Math.hypot(at.x - pixel.x, at.y - pixel.y) / (OFF.mm * pixelsPerMm + OFF.px);
    });
  } catch (error) {
    if (error instanceof InvalidInputError) return null;
    throw error;
  }
}

function radiusAt(toPicture: Homography, { x, y }: Point): number {
  const middle = mapPoint(toPicture, { x, y });
  const edges = [
    mapPoint(toPicture, { x: x + BENCH_CARD.dotMm / 2, y }),
    mapPoint(toPicture, { x, y: y + BENCH_CARD.dotMm / 2 }),
  ];
  return Math.sqrt(edges.reduce((product, edge) => product * Math.hypot(edge.x - middle.x, edge.y - middle.y), 1));
}

/** From four corner dots alone: the card lies as it was pointed at, or crosswise. */
function findFromCorners(picture: Picture, corners: readonly Point[]): readonly ControlPoint[] {
  const rough = layAlong(corners, 0);
  const pixels = corners.map((corner, i) => {
    const pixel = refineDot(picture, corner, radiusAt(rough, CARD_DOTS[i]!));
    if (pixel) return pixel;
    throw new InvalidInputError(
      'no-dot',
      `No dark dot lies near corner ${i + 1} of the card: point at its dots, clockwise from the upper left.`,
      'corners',
      { corner: i + 1 },
    );
  });
  const ways = [0, 1]
    .map((turn) => layAlong(pixels, turn))
    .filter((way) => computeAspect(way) >= LEAST_ASPECT)
    .map((way) => layCard(picture, way))
    .sort((a, b) => b.score - a.score);
  const [best, other] = ways;
  if (!best || best.control.length < 4 || (other && other.score + CLEARLY > best.score))
    throw new InvalidInputError(
      'two-cards',
      'The card could lie lengthwise or crosswise by these corners: clear its other dots.',
      'corners',
    );
  return best.control;
}

const layAlong = (pixels: readonly Point[], turn: number): Homography =>
  solveHomography(pixels.map((mm, i) => ({ pixel: CARD_DOTS[(i + turn) % 4]!, mm })));

/** The card is the same turned by 180 degrees: its first corner is the one that was pointed at first, or lies upper left. */
function layUpright(control: readonly ControlPoint[], first: Point = { x: 0, y: 0 }): ControlPoint[] {
  const toPicture = solveHomography(control.map(({ pixel, mm }) => ({ pixel: mm, mm: pixel })));
  const away = (place: Point) => {
    const at = mapPoint(toPicture, place);
    return Math.hypot(at.x - first.x, at.y - first.y);
  };
  const [upper, , lower] = CARD_DOTS as [Point, Point, Point];
  if (away(upper) <= away(lower)) return [...control];
  return control.map(({ pixel, mm }) => ({ pixel, mm: OPPOSITE.get(mm)! }));
}

/** The dot that lies where another one is when the card is turned by 180 degrees. */
const OPPOSITE = new Map(
  CARD_DOTS.map((dot) => {
    const [x, y] = [BENCH_CARD.widthMm - dot.x, BENCH_CARD.heightMm - dot.y];
    return [dot, CARD_DOTS.find((one) => Math.hypot(one.x - x, one.y - y) < 0.01)!];
  }),
);
