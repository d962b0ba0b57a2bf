import type { Versioned } from './catalogue.ts';

/** What a touch asks of a coat. */
export const TOUCH_TESTS = ['touch', 'handle', 'recoat'] as const;
export type TouchTest = (typeof TOUCH_TESTS)[number];

/** Somebody touched a coat, and it was ready for this, or not yet: "still tacky at 14:20". */
export interface CoatTouch extends Versioned {
  readonly layerId: string;
  readonly test: TouchTest;
  readonly isReady: boolean;
  readonly at: string;
  readonly who: string;
}
