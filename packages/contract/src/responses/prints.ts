import type { Print, PrintRun, Shrink } from '@sardonyx/core';

/** A part that can be printed, with what was, the last first. */
export interface PrintView extends Print {
  readonly runs: readonly PrintRun[];
  /** What its resin loses, so far as is known. */
  readonly shrink: Shrink;
}

/** A want over all jobs that is to be printed. */
export interface PrintableWant {
  readonly wantId: string;
  readonly what: string;
  readonly jobNumber: string;
}

export interface PrintsView {
  readonly prints: readonly PrintView[];
  readonly wants: readonly PrintableWant[];
}
