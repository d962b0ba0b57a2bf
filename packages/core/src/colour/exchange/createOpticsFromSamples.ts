import type { OpticsRecord } from '../../model/colour.ts';
import { fitPaint } from '../fitPaint.ts';
import { computeQ, removeSurface, type PaintOptics, type Surface } from '../kubelkaMunk.ts';
import type { SpectralSample } from './cgats.ts';

/** Scattering that is assumed where no tint was measured, 1/mm (planning estimate). */
const ASSUMED_S = 60;

/**
 * K and S of a paint from its measured samples: fitted where tints in a known white are among them; from the masstone alone
 * only their ratio is known, and scattering is assumed. null without any sample that says so much.
 */
export function createOpticsFromSamples(
  samples: readonly SpectralSample[],
  white: PaintOptics | null,
  surface: Surface,
): OpticsRecord | null {
  const tints = samples.filter((sample) => sample.share < 1);
  if (white && tints.length > 0 && samples.length > 1) {
    const drawdowns = samples.map(({ share, spectrum }) => ({ share, measured: spectrum }));
    const { k, s } = fitPaint(drawdowns, white, surface);
    return { k: [...k], s: [...s], basis: 'drawdowns' };
  }
  const masstone = samples.find((sample) => sample.share === 1);
  if (!masstone) return null;
  const k = masstone.spectrum.map((one) => ASSUMED_S * computeQ(removeSurface(one, surface)));
  return { k, s: k.map(() => ASSUMED_S), basis: 'masstone' };
}
