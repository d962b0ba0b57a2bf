import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { drawNormal } from '../../numeric/drawNormal.ts';
import type { Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { isSameMix, type Patch } from './patch.ts';

/** What the patches say of one mix, without any model of its paints. */
export interface CupReading {
  readonly lab: Lab;
  /** Standard deviation of each coordinate. */
  readonly sd: Lab;
  /** dE00 from what is wanted: the one figure of distance, on the page and in the record. */
  readonly de: number;
  /** Patches that stand behind it. */
  readonly patches: number;
}

/**
 * The mean of the last patches of one and the same mix, each weighed by its spread. What an eye always sees wrong does not
 * grow less with looking again.
 */
export function readCup(patches: readonly Patch[], target: Lab): CupReading | null {
  const last = patches.at(-1);
  if (!last) return null;
  const same = patches.filter((one) => isSameMix(one, last));
  const coordinates = [0, 1, 2].map((c) => {
    const weights = same.map((one) => 1 / one.sd[c]! ** 2);
    const sum = weights.reduce((all, one) => all + one, 0);
    const mean = same.reduce((all, one, i) => all + weights[i]! * one.lab[c]!, 0) / sum;
    const common = Math.min(...same.map((one) => one.eyeSd?.[c] ?? 0));
    return { mean, sd: Math.hypot(Math.sqrt(1 / sum), common) };
  });
  const lab = coordinates.map((one) => one.mean) as unknown as Lab;
  const sd = coordinates.map((one) => one.sd) as unknown as Lab;
  return { lab, sd, de: computeDe00(target, lab), patches: same.length };
}

const DRAWS = 500;
const draws = (() => {
  const random = createSeededRandom(500);
  return Array.from({ length: DRAWS }, () => [drawNormal(random), drawNormal(random), drawNormal(random)] as const);
})();

/** How sure it is that a colour read so lies within a tolerance: a share of 1, from the same 1,000 points every time. */
export function computeSureness({ lab, sd }: Pick<CupReading, 'lab' | 'sd'>, target: Lab, tolerance: number): number {
  let within = 0;
  for (const draw of draws)
    for (const side of [1, -1]) {
      const at = (c: number) => lab[c]! + side * draw[c]! * sd[c]!;
      if (computeDe00(target, [at(0), at(1), at(2)]) <= tolerance) within++;
    }
  return within / (2 * DRAWS);
}
