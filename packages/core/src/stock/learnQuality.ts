import { normalQuantile } from '../numeric/normal.ts';

/** What share of a supplier's lines came as wanted. */
export interface QualityLearned {
  readonly share: number;
  /** The 90 % interval. */
  readonly low: number;
  readonly high: number;
  readonly lines: number;
}

const Z = normalQuantile(0.95);

/** Share with its spread (score interval, Wilson 1927): honest after two lines as after two hundred. */
export function learnQuality(good: number, lines: number): QualityLearned {
  if (lines === 0) return { share: 1, low: 0, high: 1, lines };
  const share = good / lines;
  const centre = (share + Z ** 2 / (2 * lines)) / (1 + Z ** 2 / lines);
  const half = (Z / (1 + Z ** 2 / lines)) * Math.sqrt((share * (1 - share)) / lines + Z ** 2 / (4 * lines ** 2));
  return { share, low: Math.max(0, centre - half), high: Math.min(1, centre + half), lines };
}
