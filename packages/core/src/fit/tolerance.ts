import type { Reading } from './reading.ts';

/** One length of a chain: added to the gap, or taken from it. */
export interface Link extends Reading {
  readonly sign: 1 | -1;
}

export const FITS = ['good', 'tight', 'loose', 'no'] as const;
export type Fit = (typeof FITS)[number];

/** What is wanted between two parts, mm. */
export interface Play {
  readonly least: number;
  readonly most: number;
}

/** Calipers are off by no more than so many standard deviations. */
const LIMIT_SD = 2;

export interface Gap {
  readonly mm: number;
  /** By so much it may be wider or narrower, all errors one way. */
  readonly worstCase: number;
  /** The same where errors are independent: root of the sum of squares. */
  readonly rootSumSquare: number;
  /** By the root of the sum of squares: what to expect. */
  readonly fit: Fit;
  /** By the worst case: what can be promised. */
  readonly worstFit: Fit;
}

/**
 * The gap that a chain of lengths leaves, against the play that is wanted: good where all of it lies within, no where nothing goes in
 * even so, tight where it may bind, loose where it may rattle.
 */
export function judgeGap(chain: readonly Link[], play: Play): Gap {
  let mm = 0;
  let worstCase = 0;
  let squares = 0;
  for (const link of chain) {
    const limit = LIMIT_SD * link.sd;
    mm += link.sign * link.mm;
    worstCase += limit;
    squares += limit * limit;
  }
  const rootSumSquare = Math.sqrt(squares);
  const [fit, worstFit] = [nameFit(mm, rootSumSquare, play), nameFit(mm, worstCase, play)];
  return { mm, worstCase, rootSumSquare, fit, worstFit };
}

function nameFit(mm: number, spread: number, { least, most }: Play): Fit {
  if (mm + spread < 0) return 'no';
  const [short, over] = [least - (mm - spread), mm + spread - most];
  if (short <= 0 && over <= 0) return 'good';
  return short >= over ? 'tight' : 'loose';
}
