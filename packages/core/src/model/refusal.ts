/** A legitimate no: what is refused, why, and what would change it. Every gate answers with a list of these. */
export interface Refusal {
  readonly code: RefusalCode;
  /** A whole sentence for the restorer. */
  readonly message: string;
  /** The field of a request that is at fault. */
  readonly field?: string;
  /** From when it may, ISO; only where waiting is all it takes. */
  readonly from?: string;
  /** The task that stands in the way. */
  readonly taskId?: string;
}

export type RefusalCode =
  | 'predecessor-open'
  | 'still-waiting'
  | 'too-late'
  | 'already-done'
  | 'not-needed'
  | 'spark-beside-vapour'
  | 'vapour-beside-spark'
  | 'outside-bench-hours'
  | 'dry-day'
  | 'tool-not-ready'
  | 'gun-not-clean'
  | 'not-stripped'
  | 'bare-metal'
  | 'temperature'
  | 'before-the-last'
  | 'coat-order'
  | 'still-drying'
  | 'in-gap'
  | 'window-shut'
  | 'never-over'
  | 'barrier-first'
  | 'not-cured'
  | 'over-relief'
  | 'not-outermost'
  | 'needs-no-key'
  | 'no-photo'
  | 'no-colour'
  | 'no-coat'
  | 'no-measure'
  | 'axle-short'
  | 'wheel-stuck'
  | 'in-use'
  | 'no-amount'
  | 'no-half'
  | 'no-job'
  | 'not-there'
  | 'kept-back'
  | 'not-ordered'
  | 'want-open'
  | 'no-origin'
  | 'soaking'
  | 'coat-on'
  | 'rests-on'
  | 'not-begun'
  | 'task-open'
  | 'record-lacks';
