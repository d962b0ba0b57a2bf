import type { Versioned } from './catalogue.ts';

/** What holds for every job of the house. */
export interface HouseStyle extends Versioned {
  /** Expected loss, in rarity points, from which an irreversible step is held back (planning estimate). */
  readonly lossThreshold: number;
}

export const DEFAULT_LOSS_THRESHOLD = 1;
