import type { Answer, DatedStatement, IdentifyCatalogue, IdentifyReport, Question } from '@sardonyx/core';

/** What the page asks of the worker. The catalogue travels only when it is another one than before. */
export interface IdentifyRequest {
  readonly id: number;
  readonly catalogue: IdentifyCatalogue | null;
  readonly answers: readonly Answer[];
  readonly statements: readonly DatedStatement[];
  readonly threshold: number;
  readonly question: Question;
}

export interface IdentifyAnswer {
  readonly id: number;
  readonly report: IdentifyReport | null;
  /** Why there is no report. */
  readonly problem: string | null;
}
