import type { StripPass } from '../model/workshop.ts';

const DAY_MS = 86_400_000;

/** Planning estimates: air turns caustic into washing soda, paint uses it up. */
const BATH_LIFE = { days: 14, gramsPerSquareDecimetreLayer: 2, spentShare: 0.5 } as const;

export interface BathUse {
  readonly grams: number;
  readonly madeAt: string;
  /** What was stripped in it so far: area times layers, dm². */
  readonly strippedDm2: number;
}

export interface BathState {
  /** Of the caustic put in, 0 to 1. */
  readonly leftShare: number;
  readonly ageDays: number;
  /** Why it should be made anew; null while it is good. */
  readonly spentBecause: string | null;
}

/** How much of a caustic bath is left, and whether it is time for a new one. Old liquor goes to the depot. */
export function judgeBath({ grams, madeAt, strippedDm2 }: BathUse, now: Date): BathState {
  const ageDays = Math.max(0, (now.getTime() - Date.parse(madeAt)) / DAY_MS);
  const leftShare = Math.max(0, 1 - (strippedDm2 * BATH_LIFE.gramsPerSquareDecimetreLayer) / grams);
  const spentBecause =
    leftShare < BATH_LIFE.spentShare
      ? `about ${Math.round((1 - leftShare) * 100)} % is used up by paint (planning estimate)`
      : ageDays > BATH_LIFE.days
        ? `it is ${Math.floor(ageDays)} days old; air has turned much of it into washing soda (planning estimate: ${BATH_LIFE.days} days)`
        : null;
  return { leftShare, ageDays, spentBecause };
}

/** Paint covers about so much of the surface of the box a casting takes up (planning estimate). */
const BOX_FACE_SHARE = 0.7;

/** What the passes of a bath stripped, dm² times layers; parts whose size nobody gave do not count. */
export function estimateStrippedDm2(passes: readonly Pick<StripPass, 'layers' | 'size'>[]): number {
  return passes.reduce((sum, { layers, size }) => {
    if (!size) return sum;
    const { lengthMm, widthMm, heightMm } = size;
    const faces = 2 * (lengthMm * widthMm + lengthMm * heightMm + widthMm * heightMm);
    return sum + (layers * BOX_FACE_SHARE * faces) / 10_000;
  }, 0);
}
