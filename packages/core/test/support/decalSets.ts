import type { CutPiece } from '../../src/decal/sheet/cutPiece.ts';
import type { Point } from '../../src/model/plane.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

/**
 * Cut lines as decals have them: bands and panels, crests, pennants, angles, chevrons, shields; of each artwork one for each side of a
 * model or of several models, twice where a spare set is wanted.
 */
export function createDecalSet(most: number, random: RandomSource): CutPiece[] {
  const pieces: CutPiece[] = [];
  while (pieces.length < most) {
    const outline = createOutline(random);
    const copies = (1 + Math.floor(2 * random())) * (random() < 0.7 ? 2 : 1);
    for (let i = 0; i < copies && pieces.length < most; i++) pieces.push({ id: `p${pieces.length}`, outline });
  }
  return pieces;
}

const between = (least: number, most: number, random: RandomSource) => least + (most - least) * random();

function createOutline(random: RandomSource): Point[] {
  const size = (least: number, most: number) => between(least, most, random);
  const kind = random();
  if (kind < 0.3) return box(size(20, 65), size(3, 9));
  if (kind < 0.5) return box(size(5, 24), size(4, 16));
  if (kind < 0.7) return ellipse(size(3, 12), size(3, 9));
  const [w, h, t] = [size(9, 26), size(7, 16), size(2.5, 5)];
  if (kind < 0.8) return toPoints([0, 0, t, 0, t, h - t, w, h - t, w, h, 0, h]);
  if (kind < 0.9) return toPoints([0, 0, w / 2, h / 2, w, 0, w, t, w / 2, h / 2 + t, 0, t]);
  return toPoints([0, 0, w, 0, w, 0.6 * h, w / 2, h, 0, 0.6 * h]);
}

const toPoints = (flat: readonly number[]): Point[] =>
  Array.from({ length: flat.length / 2 }, (_, i) => ({ x: flat[2 * i]!, y: flat[2 * i + 1]! }));

const box = (w: number, h: number) => toPoints([0, 0, w, 0, w, h, 0, h]);

const ellipse = (a: number, b: number) =>
  Array.from({ length: 40 }, (_, i) => ({ x: a * Math.cos((i * Math.PI) / 20), y: b * Math.sin((i * Math.PI) / 20) }));
