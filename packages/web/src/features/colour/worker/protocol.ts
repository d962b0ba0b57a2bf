import type {
  AdditionLimits,
  Geometry,
  MatchTarget,
  Proposal,
  ProposalLimits,
  RoundAdvice,
  RoundQuestion,
  ShelfPaint,
  TrainerStep,
} from '@sardonyx/core';

/** The pots that may be mixed, and how colours are seen; the table of their mixes is kept until one of these changes. */
export interface Pots {
  readonly paints: readonly ShelfPaint[];
  readonly geometry: Geometry;
}

/** What the page asks. */
export type ColourQuestion =
  | {
      readonly kind: 'propose';
      readonly pots: Pots;
      readonly target: MatchTarget;
      readonly limits: ProposalLimits;
      readonly leftoverIds: readonly string[];
    }
  | { readonly kind: 'advise'; readonly pots: Pots; readonly question: Omit<RoundQuestion, 'shelf' | 'surface'> }
  | { readonly kind: 'solve round'; readonly pots: Pots; readonly seed: number; readonly limits: AdditionLimits };

export type ColourRequest = ColourQuestion & { readonly id: number };

export type ColourAnswer =
  /** The table is being built; a share of 1. */
  | { readonly id: number; readonly kind: 'progress'; readonly share: number }
  | {
      readonly id: number;
      readonly kind: 'proposals';
      readonly proposals: readonly Proposal[];
      readonly tookMs: number;
    }
  | { readonly id: number; readonly kind: 'advice'; readonly advice: RoundAdvice }
  | { readonly id: number; readonly kind: 'solved'; readonly steps: readonly TrainerStep[] }
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };
