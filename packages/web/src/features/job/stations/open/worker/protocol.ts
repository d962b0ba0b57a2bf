import type { ChosenOpening, JointReason, OpeningAlternative, OpeningQuestion } from '@sardonyx/core';

/** The opening of a model: the plan, the reason for every joint, and what else could be done. */
export interface OpeningAnswer {
  readonly question: OpeningQuestion;
  readonly chosen: ChosenOpening;
  readonly reasons: readonly JointReason[];
  readonly alternatives: readonly OpeningAlternative[];
}

export interface OpeningRequest {
  readonly id: number;
  readonly question: OpeningQuestion;
}

export type OpeningReply =
  | { readonly id: number; readonly answer: OpeningAnswer; readonly problem: null }
  | { readonly id: number; readonly answer: null; readonly problem: string };
