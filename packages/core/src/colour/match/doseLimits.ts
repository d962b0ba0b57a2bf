/** A batch in whole doses. */
export interface DoseLimits {
  /** Whole doses of the batch, exactly. */
  readonly total: number;
  /** ml of one dose. */
  readonly doseMl: number;
}
