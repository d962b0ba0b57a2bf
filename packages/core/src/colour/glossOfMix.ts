import type { Finish } from '../model/work.ts';

/** Gloss units at 60 degrees that a sheen stands for (planning estimates). */
const UNITS: Readonly<Record<'matt' | 'satin' | 'gloss', number>> = { matt: 8, satin: 35, gloss: 85 };
const SPREAD = 0.3;

export interface MixedGloss {
  readonly word: 'matt' | 'satin' | 'gloss';
  readonly units: number;
  /** One standard deviation, as a factor's logarithm would have it: units times this. */
  readonly sd: number;
}

/**
 * Sheen of a mix: the geometric mean by volume, for a matting agent takes more gloss than its share (planning estimate; the
 * dried patch is what counts). Paints outside matt, satin and gloss count as gloss.
 */
export function estimateGloss(parts: readonly { readonly finish: Finish; readonly ml: number }[]): MixedGloss {
  const total = parts.reduce((sum, part) => sum + part.ml, 0);
  const log = parts.reduce((sum, { finish, ml }) => {
    const units = finish === 'matt' || finish === 'satin' ? UNITS[finish] : UNITS.gloss;
    return sum + (ml / Math.max(total, 1e-9)) * Math.log(units);
  }, 0);
  const units = total > 0 ? Math.exp(log) : UNITS.gloss;
  return { word: units < 17 ? 'matt' : units < 55 ? 'satin' : 'gloss', units, sd: SPREAD * units };
}
