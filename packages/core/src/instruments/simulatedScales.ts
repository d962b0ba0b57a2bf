import type { RandomSource } from '../numeric/seededRandom.ts';

/** A hand at a dropper over simulated scales: what is in the cup, and what it still means to pour. */
export interface ScalesState {
  /** Truly in the cup since the last tare, g. */
  readonly grams: number;
  /** The hand stops when it believes that so much is in; null while nobody pours. */
  readonly aimG: number | null;
}

export const EMPTY_SCALES: ScalesState = { grams: 0, aimG: null };

/** A drop of the hand's dropper, g, and drops a second. */
const DROP_G = 0.012;
const DROPS_PER_S = 6;
/** Far from its aim the hand lets it run. */
const RUNNING_G_PER_S = 0.35;
const SLOW_FROM_G = 0.12;
/** Scales show hundredths. */
const SCALES_STEP_G = 0.01;
const NOISE_G = 0.002;

/** The hand begins to pour so much more, g: less than a drop does not leave the dropper. */
export const beginPour = (state: ScalesState, grams: number): ScalesState => ({
  ...state,
  aimG: state.grams + Math.max(grams, DROP_G),
});

/** The hand so many seconds later: it runs, slows down, drips, and stops with the drop that reaches its aim. */
export function pourOn(state: ScalesState, seconds: number, random: RandomSource): ScalesState {
  if (state.aimG === null) return state;
  let { grams } = state;
  for (let left = Math.round(seconds * DROPS_PER_S); left > 0; left--) {
    const missing = state.aimG - grams;
    if (missing <= DROP_G / 2) return { grams, aimG: null };
    const drop = DROP_G * (0.9 + 0.2 * random());
    grams +=
      missing > SLOW_FROM_G
        ? Math.min(RUNNING_G_PER_S / DROPS_PER_S, missing - SLOW_FROM_G / 2)
        : Math.min(drop, missing);
  }
  return { grams, aimG: state.aimG };
}

/** What the display shows: hundredths of a gram, a little restless. */
export const showGrams = ({ grams }: ScalesState, random: RandomSource): number =>
  Math.round((grams + NOISE_G * (random() - 0.5)) / SCALES_STEP_G) * SCALES_STEP_G;
