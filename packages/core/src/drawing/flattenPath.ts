import svgpath from 'svgpath';
import type { Point } from '../model/plane.ts';

const PIECES = 24;

/** SVG path data as closed rings of points; curves in 24 pieces each (de Casteljau). The last point of a ring is joined to its first. */
export function flattenPath(d: string): Point[][] {
  const rings: Point[][] = [];
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate(([name, ...numbers], _, fromX, fromY) => {
      const n = numbers as number[];
      const ring = rings.at(-1) ?? [];
      if (name === 'M') rings.push([{ x: n[0]!, y: n[1]! }]);
      else if (name === 'L') ring.push({ x: n[0]!, y: n[1]! });
      else if (name === 'H') ring.push({ x: n[0]!, y: fromY });
      else if (name === 'V') ring.push({ x: fromX, y: n[0]! });
      else if (name === 'C' || name === 'Q') ring.push(...flattenCurve([fromX, fromY, ...n]));
    });
  return rings.filter((ring) => ring.length > 1);
}

/** Points along a Bézier curve of [x, y, x, y, ...], its beginning left out. */
function flattenCurve(numbers: readonly number[]): Point[] {
  const points = Array.from({ length: numbers.length / 2 }, (_, i) => ({ x: numbers[2 * i]!, y: numbers[2 * i + 1]! }));
  return Array.from({ length: PIECES }, (_, i) => {
    const t = (i + 1) / PIECES;
    let rest = points;
    while (rest.length > 1)
      rest = rest
        .slice(1)
        .map(({ x, y }, j) => ({ x: rest[j]!.x + t * (x - rest[j]!.x), y: rest[j]!.y + t * (y - rest[j]!.y) }));
    return rest[0]!;
  });
}
