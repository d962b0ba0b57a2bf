import type {
  DecidingEvening,
  EveningsInput,
  EveningsPlan,
  EveningsReport,
  MoveReason,
  PlannedStart,
  PlanMove,
  SupposedPlans,
  Supposition,
} from '@sardonyx/core';

/** 'repair': the kept plan as it can still stand. 'search': a better one than that. 'move': that one with a task elsewhere.
 * 'decide': the evenings that cannot be lost. 'suppose': what would be, beside what is. */
export interface EveningsRequest {
  readonly id: number;
  readonly act: 'repair' | 'search' | 'move' | 'decide' | 'suppose';
  readonly input: EveningsInput;
  readonly kept: EveningsPlan | null;
  /** Of a move. */
  readonly to?: PlannedStart;
  /** Of a decision: the local day. */
  readonly on?: string;
  readonly supposed?: Supposition;
}

export interface FoundEvenings {
  readonly report: EveningsReport;
  /** What moves against the kept plan, and why. */
  readonly moves: readonly PlanMove[];
  /** It is another plan than the kept one. */
  readonly isChanged: boolean;
}

export interface SupposedEvenings extends SupposedPlans {
  readonly supposed: Supposition;
}

export type EveningsReply =
  | { readonly id: number; readonly kind: 'share'; readonly share: number }
  | { readonly id: number; readonly kind: 'found'; readonly found: FoundEvenings }
  | { readonly id: number; readonly kind: 'refused'; readonly because: readonly MoveReason[] }
  | { readonly id: number; readonly kind: 'decided'; readonly deciding: readonly DecidingEvening[] }
  | { readonly id: number; readonly kind: 'supposed'; readonly supposed: SupposedEvenings }
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };
