import type { Artwork, DrawnDecal, DrawnElement, DrawnPoint, InkShape } from '../../model/decal.ts';
import { InvalidInputError } from '../../model/errors.ts';
import svgpath from 'svgpath';
import { outlineText } from '../text/outlineText.ts';
import { boundPath } from './boundPath.ts';

/**
 * What somebody traced as shapes, from the corner of all that is printed. Throws InvalidInputError where nothing would be, or an element
 * is none; its path names the element.
 */
export function drawDecal({ elements }: DrawnDecal): Artwork {
  const shapes = elements.map((element, i) => {
    try {
      return drawElement(element);
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      throw new InvalidInputError(error.code, error.message, `elements[${i}].${error.path}`, error.details);
    }
  });
  const printed = shapes.filter(({ d }) => d !== '');
  const boxes = printed.map(({ d, stroke, strokeMm }) => {
    const [left, top, right, bottom] = boundPath(d);
    const half = stroke === null ? 0 : strokeMm / 2;
    return [left - half, top - half, right + half, bottom + half] as const;
  });
  if (boxes.length === 0) throw new InvalidInputError('empty', 'Nothing is traced yet.', 'elements');
  const [left, top] = [Math.min(...boxes.map((box) => box[0])), Math.min(...boxes.map((box) => box[1]))];
  return {
    widthMm: Math.max(...boxes.map((box) => box[2])) - left,
    heightMm: Math.max(...boxes.map((box) => box[3])) - top,
    shapes: printed.map((shape) => ({ ...shape, d: svgpath(shape.d).translate(-left, -top).round(4).toString() })),
  };
}

/** One element where it was traced. */
export function drawElement(element: DrawnElement): InkShape {
  const plain = { isEvenOdd: false, stroke: null, strokeMm: 0 };
  if (element.kind === 'text') return { ...plain, d: outlineText(element), fill: element.ink };
  const isClosed = element.kind === 'area';
  const d = traceLine(element.points, isClosed);
  return isClosed
    ? { ...plain, d, fill: element.ink }
    : { ...plain, d, fill: null, stroke: element.ink, strokeMm: element.strokeMm };
}

/** Straight from corner to corner, or in an arc through the bend between two. Throws where there are too few corners. */
export function traceLine(points: readonly DrawnPoint[], isClosed: boolean): string {
  const corners = points.flatMap(({ isBend }, i) => (isBend ? [] : [i]));
  if (corners.length < 2 || (isClosed && points.length < 3))
    throw new InvalidInputError(
      'points',
      isClosed ? 'An area has at least three points.' : 'A line has two ends.',
      'points',
    );
  if (points.some(({ isBend }, i) => isBend && points[(i + 1) % points.length]!.isBend))
    throw new InvalidInputError('points', 'Between two corners there is one bend at most.', 'points');
  if (!isClosed && (points[0]!.isBend || points.at(-1)!.isBend))
    throw new InvalidInputError('points', 'A line begins and ends with a corner.', 'points');
  const first = corners[0]!;
  // From a corner on, once round.
  const round = [...points.slice(first), ...points.slice(0, first)];
  const way = isClosed ? [...round, round[0]!] : round;
  let d = `M${way[0]!.x} ${way[0]!.y}`;
  for (let i = 1; i < way.length; i++) {
    const to = way[i]!;
    if (to.isBend) continue;
    const bend = way[i - 1]!.isBend ? way[i - 1]! : null;
    d += bend ? arcThrough(way[i - 2]!, bend, to) : `L${to.x} ${to.y}`;
  }
  return isClosed ? `${d}Z` : d;
}

/** Flatter than this an arc is a straight stretch, mm. */
const FLAT_MM = 1e-3;

/** The circle through three points, from the first by the second to the third. */
function arcThrough(a: DrawnPoint, b: DrawnPoint, c: DrawnPoint): string {
  const cross = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
  const chord = Math.hypot(c.x - a.x, c.y - a.y);
  if (Math.abs(cross) <= FLAT_MM * chord) return `L${c.x} ${c.y}`;
  const [ab, bc] = [Math.hypot(b.x - a.x, b.y - a.y), Math.hypot(c.x - b.x, c.y - b.y)];
  const radius = (ab * bc * chord) / (2 * Math.abs(cross));
  // The larger part of the circle where the bend sees its chord under less than a right angle.
  const isLarge = ab ** 2 + bc ** 2 > chord ** 2;
  return `A${+radius.toFixed(5)} ${+radius.toFixed(5)} 0 ${Number(isLarge)} ${Number(cross > 0)} ${c.x} ${c.y}`;
}

/** The same, so many times as large. */
export function scaleDrawn({ widthMm, heightMm, elements }: DrawnDecal, scale: number): DrawnDecal {
  return {
    ...{ widthMm: widthMm * scale, heightMm: heightMm * scale },
    elements: elements.map((element) =>
      element.kind === 'text'
        ? {
            ...element,
            ...{ x: element.x * scale, y: element.y * scale, heightMm: element.heightMm * scale },
            widthMm: element.widthMm === null ? null : element.widthMm * scale,
          }
        : {
            ...element,
            points: element.points.map((point) => ({ ...point, x: point.x * scale, y: point.y * scale })),
            strokeMm: element.strokeMm * scale,
          },
    ),
  };
}
