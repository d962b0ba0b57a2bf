/** "at most 16", "at least 500", "within 0.885 and 0.915". */
export type Goal =
  | { readonly kind: 'at most' | 'at least'; readonly value: number }
  | { readonly kind: 'within'; readonly least: number; readonly most: number };

/** One measured number with what is wanted of it and what it is measured against. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** null: only printed. */
  readonly goal: Goal | null;
  readonly yardstick: string;
}

/** A topic of the bench: which figures it gives, and how to measure them. */
export interface Topic {
  readonly names: readonly string[];
  readonly measure: () => Promise<Figure[]>;
}

export function isMet({ value, goal }: Figure): boolean {
  if (!goal) return true;
  if (goal.kind === 'within') return value >= goal.least && value <= goal.most;
  return goal.kind === 'at most' ? value <= goal.value : value >= goal.value;
}

export function describeGoal({ goal }: Figure): string {
  if (!goal) return '';
  return goal.kind === 'within' ? `${goal.least} to ${goal.most}` : `${goal.kind} ${goal.value}`;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** The value that a share of all values does not exceed. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)]!;
}
