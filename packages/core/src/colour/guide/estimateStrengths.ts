import { solveLinear } from '../../numeric/solveLinear.ts';
import type { Lab } from '../colorimetry.ts';
import type { Surface } from '../kubelkaMunk.ts';
import { createMixRoom, evaluateMix, MOST_PAINTS } from '../match/mixModel.ts';
import type { Shelf } from '../match/shelfOptics.ts';
import { isSameMix, type Patch } from './patch.ts';

export interface Strengths {
  /** Multiplier of each paint's share. */
  readonly factors: readonly number[];
  /** Covariance of their logarithms, row by row. */
  readonly covariance: readonly (readonly number[])[];
  /** By how much the model is off here, in Lab: what it says plus this is what is seen. */
  readonly bias: Lab;
}

/** Paints as supplied differ in strength by so much, and the model is off by so much in Lab (planning estimates). */
export const STRENGTH_SD = 0.15;
const BIAS_SD = 0.8;
/** Of an older patch so much less counts: pours since then were not exact. */
const OLDER_WEIGHT = 0.4;
const MOST_ROUNDS = 12;
const room = createMixRoom();

/**
 * Strength of each paint of a mix, and how far the model is off, from all patches so far: most probable under a log-normal
 * and a normal prior, by Gauss-Newton. Only how strengths stand to each other shows in a patch; the prior holds the rest.
 */
export function estimateStrengths(
  shelf: Shelf,
  ids: readonly number[],
  patches: readonly Patch[],
  surface: Surface,
): Strengths {
  const n = ids.length;
  const found = new Array<number>(n + 3).fill(0);
  let normal = gather(shelf, ids, patches, found, surface).normal;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { normal: now, right } = gather(shelf, ids, patches, found, surface);
    normal = now;
    const step = solveLinear(now.map((row, i) => [...row, right[i]!]));
    if (!step) break;
    step.forEach((one, i) => (found[i]! += i < n ? Math.max(-0.5, Math.min(0.5, one)) : one));
    if (Math.max(...step.map(Math.abs)) < 1e-6) break;
  }
  const inverse = invert(normal);
  return {
    factors: found.slice(0, n).map(Math.exp),
    covariance: inverse.slice(0, n).map((row) => row.slice(0, n)),
    bias: [found[n]!, found[n + 1]!, found[n + 2]!],
  };
}

/** Normal equations in the logarithms of the strengths, then the three of the bias. */
function gather(
  shelf: Shelf,
  ids: readonly number[],
  patches: readonly Patch[],
  found: readonly number[],
  surface: Surface,
) {
  const n = ids.length;
  const prior = found.map((_, i) => 1 / (i < n ? STRENGTH_SD : BIAS_SD) ** 2);
  const normal = prior.map((one, p) => prior.map((_, q) => (p === q ? one : 0)));
  const right = found.map((one, i) => -prior[i]! * one);
  const pours = countPoursAfter(patches);
  patches.forEach(({ volumes, lab, sd, eyeSd }, at) => {
    const shares = volumes.map((volume, i) => volume * Math.exp(found[i]!));
    evaluateMix(shelf, ids, shares, surface, room, true);
    const fresh = OLDER_WEIGHT ** pours[at]!;
    for (let c = 0; c < 3; c++) {
      const weight = fresh / (sd[c]! ** 2 + (eyeSd?.[c] ?? 0) ** 2);
      const slopes = found.map((_, p) => (p < n ? room.slope[0][c * MOST_PAINTS + p]! : p - n === c ? 1 : 0));
      const off = lab[c]! - room.lab[0][c]! - found[n + c]!;
      for (let p = 0; p < n + 3; p++) {
        right[p]! += weight * slopes[p]! * off;
        for (let q = 0; q < n + 3; q++) normal[p]![q]! += weight * slopes[p]! * slopes[q]!;
      }
    }
  });
  return { normal, right };
}

/** How many rounds of pouring came after each patch; two patches of one mix are equally fresh. */
function countPoursAfter(patches: readonly Patch[]): number[] {
  const counts: number[] = patches.map(() => 0);
  for (let at = patches.length - 2; at >= 0; at--)
    counts[at] = counts[at + 1]! + (isSameMix(patches[at]!, patches[at + 1]!) ? 0 : 1);
  return counts;
}

function invert(matrix: readonly (readonly number[])[]): number[][] {
  const columns = matrix.map(
    (_, c) => solveLinear(matrix.map((row, r) => [...row, r === c ? 1 : 0])) ?? matrix.map(() => 0),
  );
  return matrix.map((_, r) => columns.map((column) => column[r]!));
}
