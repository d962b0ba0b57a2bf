import { BANDS } from './cieTables.ts';
import type { Spectrum } from './colorimetry.ts';

/** Surface reflection between paint and air; k1 is left out where the gloss is (45/0, specular excluded, dropped highlights). */
export interface Surface {
  readonly k1: number;
  readonly k2: number;
  readonly hasGloss: boolean;
}

/** Paint in air, index about 1.5, measured with its gloss (Saunderson 1942). */
export const USUAL_SURFACE: Surface = { k1: 0.04, k2: 0.6, hasGloss: true };

/** Absorption and scattering of a paint on 31 bands, relative to one unit of film unless they were made absolute, 1/mm. */
export interface PaintOptics {
  readonly k: Spectrum;
  readonly s: Spectrum;
}

/** Reflectance of a film so thick that more changes nothing; q = K/S, in the form that stays exact for small and large q. */
export const computeInfinite = (q: number): number => 1 / (1 + q + Math.sqrt(q * q + 2 * q));

/** K/S of an infinitely thick film of that internal reflectance. */
export const computeQ = (r: number): number => (1 - r) ** 2 / (2 * r);

/** What an instrument sees of an internal reflectance. */
export function addSurface(r: number, { k1, k2, hasGloss }: Surface = USUAL_SURFACE): number {
  return (hasGloss ? k1 : 0) + ((1 - k1) * (1 - k2) * r) / (1 - k2 * r);
}

/** The internal reflectance behind a measured one; never below a hundred-thousandth, where noise would turn it negative. */
export function removeSurface(measured: number, { k1, k2, hasGloss }: Surface = USUAL_SURFACE): number {
  const net = measured - (hasGloss ? k1 : 0);
  return Math.min(0.99999, Math.max(1e-5, net / ((1 - k1) * (1 - k2) + k2 * net)));
}

/** K and S of a mix: both add by volume share (Duncan 1940). Shares need not sum to 1; only their proportions count. */
export function mixOptics(
  paints: readonly PaintOptics[],
  shares: ArrayLike<number>,
): { k: Float64Array; s: Float64Array } {
  const k = new Float64Array(BANDS);
  const s = new Float64Array(BANDS);
  paints.forEach((paint, p) => {
    const share = shares[p]!;
    for (let i = 0; i < BANDS; i++) {
      k[i]! += share * paint.k[i]!;
      s[i]! += share * paint.s[i]!;
    }
  });
  return { k, s };
}

/** Measured reflectance of an infinitely thick film of a mix. */
export function predictMix(
  paints: readonly PaintOptics[],
  shares: ArrayLike<number>,
  surface: Surface = USUAL_SURFACE,
): Float64Array {
  const { k, s } = mixOptics(paints, shares);
  return Float64Array.from(k, (one, i) => addSurface(computeInfinite(one / s[i]!), surface));
}

/**
 * Internal reflectance of a film of thickness x over a ground of internal reflectance `ground` (Kubelka 1948):
 * a = 1 + K/S, b = sqrt(a^2 - 1), R = (1 - Rg (a - b coth(bSx))) / (a - Rg + b coth(bSx)). Without absorption b coth(bSx)
 * is 1/(Sx); without scattering the film is a filter: Rg exp(-2Kx).
 */
export function computeFilm(k: number, s: number, x: number, ground: number): number {
  if (x <= 0) return ground;
  if (s <= 0) return ground * Math.exp(-2 * k * x);
  const a = 1 + k / s;
  const b = Math.sqrt(Math.max(0, a * a - 1));
  const bsx = b * s * x;
  // Beyond this the film is as thick as it can look.
  if (bsx > 30) return 1 / (a + b);
  const bCoth = bsx < 1e-6 ? 1 / (s * x) : b / Math.tanh(bsx);
  return (1 - ground * (a - bCoth)) / (a - ground + bCoth);
}

/** Measured reflectance of a film over a measured ground: surfaces off the ground, on the result once. */
export function predictOver(
  { k, s }: PaintOptics,
  thickness: number,
  ground: Spectrum,
  surface: Surface = USUAL_SURFACE,
): Float64Array {
  return Float64Array.from({ length: BANDS }, (_, i) =>
    addSurface(computeFilm(k[i]!, s[i]!, thickness, removeSurface(ground[i]!, surface)), surface),
  );
}
