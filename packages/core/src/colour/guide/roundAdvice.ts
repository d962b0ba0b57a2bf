import type { MixStep, MixWay } from '../../model/colour.ts';
import type { Lab } from '../colorimetry.ts';
import type { Surface } from '../kubelkaMunk.ts';
import type { DryingShift } from '../wetToDry.ts';
import type { MatchTarget } from '../match/polish.ts';
import type { Shelf } from '../match/shelfOptics.ts';
import type { Strengths } from './estimateStrengths.ts';
import type { Eyes } from './listReadings.ts';
import type { AdditionLimits } from './planAddition.ts';
import type { CupReading } from './readCup.ts';
import type { MixState } from './replayMix.ts';

/** What is to be poured from one pot in this round, and how much of it is in already. */
export interface PlannedPour {
  readonly productId: string;
  readonly ml: number;
  readonly pouredMl: number;
  /** A strong paint: so much of it first, then stir and look, for more cannot be taken out. null where nothing can go wrong. */
  readonly cautiousMl: number | null;
  /** The pot holds less than that. */
  readonly isShort: boolean;
}

/** What one way of going on costs. */
export interface Path {
  readonly kind: 'own pots' | 'one pot more' | 'begin again';
  readonly totalMl: number;
  /** Mixed beyond the need, or thrown away. */
  readonly wastedMl: number;
  /** Predicted dE00 at its end; null for a new start, which its own patches will tell. */
  readonly de: number | null;
  readonly deSd: number | null;
}

export interface RoundAdvice {
  /** Pour what is planned; paint a patch; it may be there, and another patch would tell; it is good; or no addition reaches it. */
  readonly kind: 'pour' | 'patch' | 'unsure' | 'stop' | 'beyond';
  readonly state: MixState;
  readonly pours: readonly PlannedPour[];
  /** What the mix in the cup looks like: as read, or by strengths and bias as learned; null while nothing is in it. */
  readonly labNow: Lab | null;
  /** The mix in the cup as its patches read; null while none of it was painted. */
  readonly read: CupReading | null;
  /** How sure that reading is within the tolerance, a share of 1. */
  readonly sureness: number | null;
  /** After what is planned, with one standard deviation. */
  readonly deNext: number;
  readonly deNextSd: number;
  readonly totalMl: number;
  readonly paths: readonly Path[];
  readonly strengths: Strengths | null;
}

export interface RoundQuestion {
  readonly shelf: Shelf;
  readonly recipe: readonly { readonly productId: string; readonly ml: number }[];
  readonly steps: readonly MixStep[];
  readonly target: MatchTarget;
  readonly surface: Surface;
  readonly limits: AdditionLimits;
  readonly way: MixWay;
  /** What a wet film of this mix becomes when it dries. */
  readonly drying: DryingShift;
  readonly eyes: Eyes;
}
