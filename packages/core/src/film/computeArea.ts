import { InvalidInputError } from '../model/errors.ts';
import type { AreaSize } from '../model/workpiece.ts';
import type { Estimate } from './estimate.ts';

/** Castings are not all wall: ribs, posts and edges (planning estimate). */
const SHELL_SD = 0.08;
/** One reading with calipers says little of a wall that is thicker at the sill than at the roof (planning estimate). */
const ONE_WALL_SD = 0.15;
const DENSITY_SD = 0.015;
const LETTER_SCALES_SD_G = 0.5;
const MESH_SD = 0.02;

export interface Weighed {
  /** Bare, grams. */
  readonly massG: number;
  /** Of the scales; left out: of letter scales (planning estimate). */
  readonly massSdG?: number;
  readonly densityGPerCm3: number;
  /** Calipers at several places, mm. */
  readonly wallsMm: readonly number[];
}

/** Both faces of a shell: twice its metal's volume over its mean wall. */
export function computeWeighedArea({
  massG,
  massSdG = LETTER_SCALES_SD_G,
  densityGPerCm3,
  wallsMm,
}: Weighed): AreaSize {
  if (!(massG > 0 && densityGPerCm3 > 0) || wallsMm.length === 0 || !wallsMm.every((wall) => wall > 0))
    throw new InvalidInputError('not-a-size', 'Mass, density and wall are above 0.', 'wallsMm', { given: wallsMm });
  const n = wallsMm.length;
  const wall = wallsMm.reduce((sum, one) => sum + one, 0) / n;
  const variance = wallsMm.reduce((sum, one) => sum + (one - wall) ** 2, 0) / Math.max(1, n - 1);
  // Three readings that agree by chance are not three times as good: half the usual spread is always left.
  const wallSd = n === 1 ? ONE_WALL_SD : Math.max(Math.sqrt(variance / n) / wall, ONE_WALL_SD / 2 / Math.sqrt(n));
  return {
    way: 'weighed',
    value: (2 * (massG / densityGPerCm3)) / (wall / 10),
    relativeSd: Math.hypot(massSdG / massG, DENSITY_SD, wallSd, SHELL_SD),
  };
}

/** How much of its box a part's surface is, inside and out (planning estimates). */
const BOX_SHARE: Readonly<Record<'shell' | 'plate' | 'solid', Estimate>> = {
  shell: { value: 1.5, relativeSd: 0.25 },
  plate: { value: 0.95, relativeSd: 0.15 },
  solid: { value: 0.8, relativeSd: 0.2 },
};

/** Millimetres of a part over everything. */
export interface Box {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export function computeBoxArea({ lengthMm, widthMm, heightMm }: Box, shape: keyof typeof BOX_SHARE): AreaSize {
  const box = (2 * (lengthMm * widthMm + lengthMm * heightMm + widthMm * heightMm)) / 100;
  const share = BOX_SHARE[shape];
  return { way: 'box', value: box * share.value, relativeSd: share.relativeSd };
}

/** Said without a word of how it was found (planning estimate of its spread). */
export const computeTypedArea = (cm2: number): AreaSize => ({ way: 'typed', value: cm2, relativeSd: 0.15 });

/** One face of a shell whose both faces were measured: its walls are thin, so half of it. */
export const takeOneFace = (size: AreaSize): AreaSize => ({ ...size, value: size.value / 2 });

/** Castings of one tool differ little (planning estimate); the measuring errs as it did. */
const SAME_TOOL_SD = 0.03;

/** As it was measured on another example of the casting. */
export const takeOverArea = ({ value, relativeSd }: AreaSize): AreaSize => ({
  ...{ way: 'same casting', value, relativeSd: Math.hypot(relativeSd, SAME_TOOL_SD) },
});

/** Triangles as nine numbers each, mm: the corners' x, y and z. */
export function computeMeshArea(triangles: ArrayLike<number>): AreaSize {
  let twice = 0;
  for (let i = 0; i + 9 <= triangles.length; i += 9) {
    const edge = (corner: number) =>
      [0, 1, 2].map((axis) => triangles[i + 3 * corner + axis]! - triangles[i + axis]!) as [number, number, number];
    const [a, b] = [edge(1), edge(2)];
    twice += Math.hypot(a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]);
  }
  return { way: 'mesh', value: twice / 2 / 100, relativeSd: MESH_SD };
}
