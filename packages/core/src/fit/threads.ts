import { THREADS, type Thread } from '../model/thread.ts';

/** Of a full thread, for a tap turned by hand in zinc. */
export const HAND_TAP_PERCENT = 65;
/** Depth of a full 60 degree thread over its pitch, times two, as tap drill tables have it: 1.299. */
const FULL_DEPTH = 100 / 76.98;
const BIT_STEP = 0.05;

/** The hole for a share of the full thread, mm. */
export const computeTapDrill = (thread: Thread, percent: number = HAND_TAP_PERCENT): number =>
  THREADS[thread].diameter - (percent / 100) * FULL_DEPTH * THREADS[thread].pitch;

/** The share of the full thread that a hole leaves, percent. */
export const computeThreadPercent = (thread: Thread, hole: number): number =>
  (100 * (THREADS[thread].diameter - hole)) / (FULL_DEPTH * THREADS[thread].pitch);

/** The nearest bit of a set, and what it really gives; a screw goes through the clearance hole of what it holds. */
export interface TapHole {
  readonly drill: number;
  readonly bit: number;
  readonly percent: number;
  readonly clearance: number;
}

/** A tenth of the diameter more, as a close fit has it, in steps of a bit. */
const CLEARANCE_SHARE = 0.1;

export function chooseTapHole(thread: Thread, percent: number = HAND_TAP_PERCENT): TapHole {
  const drill = computeTapDrill(thread, percent);
  const bit = roundTo(drill, BIT_STEP);
  const clearance = Math.ceil((THREADS[thread].diameter * (1 + CLEARANCE_SHARE)) / BIT_STEP - 1e-9) * BIT_STEP;
  return { drill, bit, percent: computeThreadPercent(thread, bit), clearance: roundTo(clearance, BIT_STEP) };
}

const roundTo = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(4));
