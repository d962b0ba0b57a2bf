import type { OpticsRecord } from '../../model/colour.ts';
import { fitPaint } from '../fitPaint.ts';
import type { PaintOptics, Surface } from '../kubelkaMunk.ts';
import { assumeScattering } from '../paintOptics.ts';
import type { SpectralSample } from './cgats.ts';

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
  return { ...assumeScattering(masstone.spectrum, surface), basis: 'masstone' };
}
