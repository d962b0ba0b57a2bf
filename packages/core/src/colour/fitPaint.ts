import { InvalidInputError } from '../model/errors.ts';
import { BANDS } from './cieTables.ts';
import type { Spectrum } from './colorimetry.ts';
import { computeQ, removeSurface, USUAL_SURFACE, type PaintOptics, type Surface } from './kubelkaMunk.ts';

/** A thick film of a paint mixed with the reference white, drawn down and measured. */
export interface Drawdown {
  /** Volume share of the paint; 1 is the masstone. */
  readonly share: number;
  readonly measured: Spectrum;
}

export interface FittedPaint extends PaintOptics {
  readonly k: Float64Array;
  readonly s: Float64Array;
  /** Root mean square of what is left in measured reflectance. */
  readonly residual: number;
}

const ROUNDS = 4;
const LEAST = 1e-5;

/**
 * K and S of a paint from its masstone and tints, relative to a white whose own are known: least squares band by band. Each
 * drawdown says c K + (1-c) Kw = q (c S + (1-c) Sw), weighed by what an error of the reflectance does to it; weights from the
 * fit before.
 *
 * Throws InvalidInputError when there is no tint: the masstone alone says only K/S.
 */
export function fitPaint(
  drawdowns: readonly Drawdown[],
  white: PaintOptics,
  surface: Surface = USUAL_SURFACE,
): FittedPaint {
  if (drawdowns.length < 2 || drawdowns.every((one) => one.share >= 1))
    throw new InvalidInputError('no-tint', 'At least one tint with white is needed beside the masstone.', 'drawdowns');
  const k = new Float64Array(BANDS).fill(1);
  const s = new Float64Array(BANDS).fill(0.3);
  for (let i = 0; i < BANDS; i++)
    for (let round = 0; round < ROUNDS; round++) fitBand(drawdowns, white, surface, i, k, s);
  return { k, s, residual: computeResidual(drawdowns, white, surface, k, s) };
}

function fitBand(
  drawdowns: readonly Drawdown[],
  white: PaintOptics,
  surface: Surface,
  band: number,
  k: Float64Array,
  s: Float64Array,
): void {
  let kk = 0;
  let ks = 0;
  let ss = 0;
  let rk = 0;
  let rs = 0;
  for (const { share, measured } of drawdowns) {
    const r = removeSurface(measured[band]!, surface);
    const q = computeQ(r);
    const scatter = share * s[band]! + (1 - share) * white.s[band]!;
    // What an error of the reflectance does to q, times the scattering of the mix.
    const weight = 1 / (scatter * ((1 - r * r) / (2 * r * r) + 1e-6)) ** 2;
    const right = (1 - share) * (q * white.s[band]! - white.k[band]!);
    kk += weight * share * share;
    ks -= weight * share * share * q;
    ss += weight * share * share * q * q;
    rk += weight * share * right;
    rs -= weight * share * q * right;
  }
  const det = kk * ss - ks * ks;
  if (Math.abs(det) < 1e-30) return;
  k[band] = Math.max(LEAST, (rk * ss - rs * ks) / det);
  s[band] = Math.max(LEAST, (rs * kk - rk * ks) / det);
}

function computeResidual(
  drawdowns: readonly Drawdown[],
  white: PaintOptics,
  surface: Surface,
  k: Float64Array,
  s: Float64Array,
): number {
  let sum = 0;
  for (const { share, measured } of drawdowns)
    for (let i = 0; i < BANDS; i++) {
      const q = (share * k[i]! + (1 - share) * white.k[i]!) / (share * s[i]! + (1 - share) * white.s[i]!);
      const r = 1 / (1 + q + Math.sqrt(q * q + 2 * q));
      sum += (r - removeSurface(measured[i]!, surface)) ** 2;
    }
  return Math.sqrt(sum / (drawdowns.length * BANDS));
}
