import { BANDS } from '../colour/cieTables.ts';
import type { Geometry } from '../model/reading.ts';
import { drawNormal } from '../numeric/drawNormal.ts';
import type { RandomSource } from '../numeric/seededRandom.ts';

/** A white calibration holds so long (of the simulated instrument; a real one says its own). */
export const CALIBRATION_HOLDS_MIN = 30;
/** Noise of one band, and drift of all bands by the minute since the calibration, as shares. */
const NOISE = 0.0025;
const DRIFT_PER_MIN = 0.0002;

export interface SpectralReading {
  readonly spectrum: readonly number[];
  readonly geometry: Geometry;
  /** One standard deviation of each of L*, a*, b* that the noise is likely to make. */
  readonly sd: readonly [l: number, a: number, b: number];
  /** Minutes since the white calibration. */
  readonly sinceCalibrationMin: number;
}

/**
 * What a simulated spectrophotometer reads of a true reflectance (gloss left out): noise on each band, a slow drift since its
 * last white calibration. null when that calibration is too old or was never made: then it has to see its white tile first.
 */
export function readSpectrum(
  truth: ArrayLike<number>,
  sinceCalibrationMin: number | null,
  random: RandomSource,
): SpectralReading | null {
  if (sinceCalibrationMin === null || sinceCalibrationMin > CALIBRATION_HOLDS_MIN) return null;
  const drift = 1 + DRIFT_PER_MIN * sinceCalibrationMin;
  const spectrum = Array.from({ length: BANDS }, (_, i) =>
    Math.min(1.1, Math.max(0, truth[i]! * drift + NOISE * drawNormal(random))),
  );
  return { spectrum, geometry: 'gloss left out', sd: [0.15, 0.25, 0.25], sinceCalibrationMin };
}
