import { InvalidInputError } from '../model/errors.ts';
import type { ControlPoint, Point } from '../model/plane.ts';
import { smallestEigenvector } from '../numeric/symmetricEigen.ts';

/** From pixels to millimetres of one plane: nine entries row by row, up to a factor. */
export type Homography = readonly number[];

/** Below this share of the largest a spread counts as none: the points lie on one line. */
const FLAT = 1e-6;

/**
 * Rectifies a plane from at least four points: normalised direct linear transformation (R. I. Hartley, In defense of the
 * eight-point algorithm, IEEE PAMI 19, 1997). With more points the algebraic error is least.
 *
 * Throws InvalidInputError for fewer than four points, or when three of only four (or all) lie on one line.
 */
export function solveHomography(points: readonly ControlPoint[]): Homography {
  if (points.length < 4)
    throw new InvalidInputError('too-few-points', 'Four points are needed to straighten a picture.', 'points', {
      given: points.length,
    });
  assertSpread(points);
  const from = normalise(points.map((point) => point.pixel));
  const to = normalise(points.map((point) => point.mm));
  const normal = new Float64Array(81);
  points.forEach((_, i) => {
    const { x, y } = from.points[i]!;
    const { x: u, y: v } = to.points[i]!;
    addRowInPlace(normal, [-x, -y, -1, 0, 0, 0, u * x, u * y, u]);
    addRowInPlace(normal, [0, 0, 0, -x, -y, -1, v * x, v * y, v]);
  });
  const h = smallestEigenvector(normal, 9);
  return multiply(multiply(invertSimilarity(to), h), similarityMatrix(from));
}

/** Where a pixel lies in the plane, mm. */
export function mapPoint(h: Homography, { x, y }: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
}

/** From the plane back to the picture: the adjugate, which is the inverse up to a factor. */
export function invertHomography(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h as [number, number, number, number, number, number, number, number, number];
  return [
    ...[e * j - f * i, c * i - b * j, b * f - c * e],
    ...[f * g - d * j, a * j - c * g, c * d - a * f],
    ...[d * i - e * g, b * g - a * i, a * e - b * d],
  ];
}

interface Normalised {
  readonly points: readonly Point[];
  readonly centre: Point;
  readonly scale: number;
}

/** Centre at the origin, mean distance from it the root of two. */
function normalise(points: readonly Point[]): Normalised {
  const centre = {
    x: points.reduce((sum, point) => sum + point.x, 0) / points.length,
    y: points.reduce((sum, point) => sum + point.y, 0) / points.length,
  };
  const distance = points.reduce((sum, { x, y }) => sum + Math.hypot(x - centre.x, y - centre.y), 0) / points.length;
  const scale = Math.SQRT2 / distance;
  return {
    points: points.map(({ x, y }) => ({ x: (x - centre.x) * scale, y: (y - centre.y) * scale })),
    centre,
    scale,
  };
}

const similarityMatrix = ({ centre, scale }: Normalised) => [
  ...[scale, 0, -scale * centre.x],
  ...[0, scale, -scale * centre.y],
  ...[0, 0, 1],
];
const invertSimilarity = ({ centre, scale }: Normalised) => [
  ...[1 / scale, 0, centre.x],
  ...[0, 1 / scale, centre.y],
  ...[0, 0, 1],
];

const multiply = (a: ArrayLike<number>, b: ArrayLike<number>): number[] =>
  Array.from({ length: 9 }, (_, at) => {
    const [row, column] = [Math.floor(at / 3), at % 3];
    return a[row * 3]! * b[column]! + a[row * 3 + 1]! * b[3 + column]! + a[row * 3 + 2]! * b[6 + column]!;
  });

function addRowInPlace(normal: Float64Array, row: readonly number[]): void {
  for (let i = 0; i < 9; i++) for (let j = 0; j < 9; j++) normal[i * 9 + j]! += row[i]! * row[j]!;
}

/** At least four points, no three of them on a line, in the picture and in the plane. */
function assertSpread(points: readonly ControlPoint[]): void {
  for (const plane of ['pixel', 'mm'] as const) {
    const list = points.map((point) => point[plane]);
    const isSpread = list.some((_, a) =>
      list.slice(a + 1).some((__, b) => {
        const rest = list.filter((___, i) => i !== a && i !== a + 1 + b);
        return rest.some((c, i) => rest.slice(i + 1).some((d) => isQuadrangle([list[a]!, list[a + 1 + b]!, c, d])));
      }),
    );
    if (!isSpread)
      throw new InvalidInputError('flat-points', 'Three of the points lie on one line: choose corners.', 'points', {
        plane,
      });
  }
}

function isQuadrangle(four: readonly Point[]): boolean {
  const size = Math.max(...four.map(({ x, y }) => Math.hypot(x - four[0]!.x, y - four[0]!.y)));
  return four.every((_, skipped) => {
    const [a, b, c] = four.filter((__, i) => i !== skipped) as [Point, Point, Point];
    return Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) > FLAT * size * size;
  });
}
