import { encodeLab, slopeOfLab } from '../labCurve.ts';
import { BANDS } from '../cieTables.ts';
import { WEIGHTS, type Lab } from '../colorimetry.ts';
import type { Surface } from '../kubelkaMunk.ts';
import type { Shelf } from './shelfOptics.ts';

/** As many as may come together in one pot. */
export const MOST_PAINTS = 8;
/** More than this turn to mud: no recipe has more, and no pot more is advised. */
export const MOST_IN_RECIPE = 5;

/** Room for one evaluation; made once and used again, for it is asked for a hundred thousand times. */
export interface MixRoom {
  /** Under D65, then under A. */
  readonly lab: readonly [Float64Array, Float64Array];
  /** Change of Lab with the logarithm of each share: three rows of n. */
  readonly slope: readonly [Float64Array, Float64Array];
}

export const createMixRoom = (): MixRoom => ({
  lab: [new Float64Array(3), new Float64Array(3)],
  slope: [new Float64Array(3 * MOST_PAINTS), new Float64Array(3 * MOST_PAINTS)],
});

const LIGHTS = [WEIGHTS.D65, WEIGHTS.A] as const;
const xyz = new Float64Array(6);
const dXyz = new Float64Array(6 * MOST_PAINTS);
const change = new Float64Array(MOST_PAINTS);

/**
 * Lab of a mix under both illuminants and, where wanted, how it changes with the logarithm of each share. Shares need not
 * sum to 1. Analytic: q = K/S, dq/dc = (Kj - q Sj)/S, then through the infinite film, the surface and the cube roots.
 */
export function evaluateMix(
  shelf: Shelf,
  ids: ArrayLike<number>,
  shares: ArrayLike<number>,
  surface: Surface,
  room: MixRoom,
  wantsSlope: boolean,
): void {
  const n = ids.length;
  const { k1, k2, hasGloss } = surface;
  const gain = (1 - k1) * (1 - k2);
  const base = hasGloss ? k1 : 0;
  xyz.fill(0);
  if (wantsSlope) dXyz.fill(0);
  for (let i = 0; i < BANDS; i++) {
    let k = 0;
    let s = 0;
    for (let p = 0; p < n; p++) {
      const at = ids[p]! * BANDS + i;
      k += shares[p]! * shelf.k[at]!;
      s += shares[p]! * shelf.s[at]!;
    }
    const q = k / s;
    const root = Math.sqrt(q * q + 2 * q);
    const r = 1 / (1 + q + root);
    const bent = 1 - k2 * r;
    const measured = base + (gain * r) / bent;
    for (let light = 0; light < 2; light++) {
      const { x, y, z } = LIGHTS[light]!;
      xyz[3 * light]! += x[i]! * measured;
      xyz[3 * light + 1]! += y[i]! * measured;
      xyz[3 * light + 2]! += z[i]! * measured;
    }
    if (!wantsSlope) continue;
    // dr/dq = -r^2 (1 + (q + 1)/root); dm/dr = gain / (1 - k2 r)^2; dq/d(ln c) = c (Kj - q Sj)/S.
    const pull = root > 1e-12 ? ((-r * r * (1 + (q + 1) / root)) / s) * (gain / (bent * bent)) : 0;
    for (let p = 0; p < n; p++) {
      const at = ids[p]! * BANDS + i;
      change[p] = pull * shares[p]! * (shelf.k[at]! - q * shelf.s[at]!);
    }
    for (let light = 0; light < 2; light++) {
      const { x, y, z } = LIGHTS[light]!;
      for (let p = 0; p < n; p++) {
        const at = 3 * light * MOST_PAINTS + p;
        dXyz[at]! += x[i]! * change[p]!;
        dXyz[at + MOST_PAINTS]! += y[i]! * change[p]!;
        dXyz[at + 2 * MOST_PAINTS]! += z[i]! * change[p]!;
      }
    }
  }
  for (let light = 0; light < 2; light++) toLab(light, n, room, wantsSlope);
}

function toLab(light: number, n: number, room: MixRoom, wantsSlope: boolean): void {
  const { white } = LIGHTS[light]!;
  const lab = room.lab[light]!;
  const f = [0, 0, 0];
  const df = [0, 0, 0];
  for (let c = 0; c < 3; c++) {
    const t = xyz[3 * light + c]! / white[c]!;
    f[c] = encodeLab(t);
    df[c] = slopeOfLab(t, f[c]!) / white[c]!;
  }
  lab[0] = 116 * f[1]! - 16;
  lab[1] = 500 * (f[0]! - f[1]!);
  lab[2] = 200 * (f[1]! - f[2]!);
  if (!wantsSlope) return;
  const slope = room.slope[light]!;
  for (let p = 0; p < n; p++) {
    const at = 3 * light * MOST_PAINTS + p;
    const fx = df[0]! * dXyz[at]!;
    const fy = df[1]! * dXyz[at + MOST_PAINTS]!;
    const fz = df[2]! * dXyz[at + 2 * MOST_PAINTS]!;
    slope[p] = 116 * fy;
    slope[MOST_PAINTS + p] = 500 * (fx - fy);
    slope[2 * MOST_PAINTS + p] = 200 * (fy - fz);
  }
}

export const readLab = (lab: Float64Array): Lab => [lab[0]!, lab[1]!, lab[2]!];
