import type { ProductionSpan } from '../model/catalogue.ts';
import type { Certainty } from '../model/workpiece.ts';

/** What identification needs of a catalogue: features with their states, and what each variant is known with. */
export interface IdentifyCatalogue {
  readonly features: readonly IdentifyFeature[];
  readonly variants: readonly IdentifyVariant[];
}

export interface IdentifyFeature {
  readonly id: string;
  readonly label: string;
  readonly howToLook: string;
  /** 1 a glance to 8 needs opening. */
  readonly effort: number;
  readonly castIn: boolean;
  /** a_f: chance that the feature was altered after it left the factory. */
  readonly alteredChance: number;
  readonly states: readonly IdentifyState[];
}

export interface IdentifyState {
  readonly id: string;
  readonly label: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  /** Ids of states of the same feature that it is easily taken for. */
  readonly lookAlikes: readonly string[];
}

export interface IdentifyVariant {
  readonly id: string;
  readonly name: string;
  readonly castingId: string;
  readonly span: ProductionSpan;
  /** featureId -> stateId -> share. A feature that is absent is "not recorded". */
  readonly states: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

/** One answer about a specimen. stateId is null when there is no state to name (cannot see, missing). */
export interface Answer {
  readonly featureId: string;
  readonly stateId: string | null;
  readonly certainty: Certainty;
}

/** Planning estimates; a restorer may change them. */
export interface IdentifySettings {
  readonly readingRight: Readonly<Record<'sure' | 'likely' | 'unsure', number>>;
  readonly nonePrior: number;
}

export const DEFAULT_SETTINGS: IdentifySettings = {
  readingRight: { sure: 0.98, likely: 0.85, unsure: 0.6 },
  nonePrior: 0.02,
};
