import { computeLab, type Lab } from '../../src/colour/colorimetry.ts';
import { computeDe00 } from '../../src/colour/difference.ts';
import { readStep, type Step } from '../../src/colour/guide/judgeByEye.ts';
import { predictMix } from '../../src/colour/kubelkaMunk.ts';
import type { MatchTarget } from '../../src/colour/match/polish.ts';
import type { Shelf } from '../../src/colour/match/shelfOptics.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';

/** So much of what is in the pot goes in, by how strong the difference looks. */
const HELPING: Readonly<Record<Step, number>> = { none: 0, slight: 0.03, clear: 0.08, strong: 0.2 };
const MOST_PATCHES = 25;
const GOOD_ENOUGH = 2;
const FIRST_ML = 1;

/**
 * A restorer without any help: begins with the nearest pot, reads the difference with the same eye as by words, and adds the
 * pot that lies farthest that way, a helping by how strong the difference looks. Returns patches until within 2, and the ml.
 */
export function simulateByHand(
  shelf: Shelf,
  target: MatchTarget,
  strengthSd: number,
  seed: number,
): { patches: number; ml: number } {
  const random = createSeededRandom(seed);
  const factors = shelf.paints.map(() => Math.exp(strengthSd * drawNormal(random)));
  const plain = shelf.paints.map((paint) => computeLab(predictMix([paint], [1])));
  const volumes = shelf.paints.map(() => 0);
  const start = plain.reduce(
    (best, lab, i) => (computeDe00(lab, target.d65) < computeDe00(plain[best]!, target.d65) ? i : best),
    0,
  );
  volumes[start] = FIRST_ML;
  for (let patch = 1; patch <= MOST_PATCHES; patch++) {
    const used = volumes.flatMap((ml, id) => (ml > 0 ? [id] : []));
    const now = computeLab(
      predictMix(
        used.map((id) => shelf.paints[id]!),
        used.map((id) => volumes[id]! * factors[id]!),
      ),
    );
    const ml = volumes.reduce((sum, one) => sum + one, 0);
    if (computeDe00(now, target.d65) <= GOOD_ENOUGH) return { patches: patch, ml };
    const wanted = target.d65.map((one, i) => {
      const off = one - now[i]!;
      return off + (0.4 + 0.25 * Math.abs(off)) * drawNormal(random);
    }) as unknown as Lab;
    const way = plain.map((lab) => cosine(lab.map((one, i) => one - now[i]!) as unknown as Lab, wanted));
    const helper = way.reduce((best, one, i) => (one > way[best]! ? i : best), 0);
    const { step } = readStep(Math.max(...wanted.map(Math.abs)));
    volumes[helper]! += ml * Math.max(HELPING.slight, HELPING[step]);
  }
  return { patches: MOST_PATCHES, ml: volumes.reduce((sum, one) => sum + one, 0) };
}

function cosine(a: Lab, b: Lab): number {
  const dot = a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  return dot / (Math.hypot(...a) * Math.hypot(...b) + 1e-9);
}
