import type { LabColour } from './reading.ts';
import type { Versioned } from './catalogue.ts';

/** What holds for every job of the house. */
export interface HouseStyle extends Versioned {
  /** Expected loss, in rarity points, from which an irreversible step is held back (planning estimate). */
  readonly lossThreshold: number;
  /** Time zone of the bench, as the IANA database names it: bench hours are hours of it. */
  readonly zone: string;
  /** The house's own colour card as it was measured: 28 fields, then its white; null: as it was designed. */
  readonly colourCard: readonly LabColour[] | null;
  /** Rates of alteration and misreading are those that settled models taught, not the stated ones. */
  readonly learnsRates: boolean;
  /** From one batch of a factory paint to the next, standard deviation of each Lab coordinate (planning estimate). */
  readonly colourBatchSd: number;
  /** How far an open face fades, scale of the half-normal law, Lab units (planning estimate). */
  readonly colourFadingSd: number;
}

export const DEFAULT_LOSS_THRESHOLD = 1;
