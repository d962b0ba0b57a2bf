/** One measured number with what is wanted of it and what it is measured against. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** "at most 16", "at least 500". */
  readonly goal: { readonly kind: 'at most' | 'at least'; readonly value: number };
  readonly yardstick: string;
}

/** A topic of the bench: which figures it gives, and how to measure them. */
export interface Topic {
  readonly names: readonly string[];
  readonly measure: () => Promise<Figure[]>;
}

export const isMet = ({ value, goal }: Figure) => (goal.kind === 'at most' ? value <= goal.value : value >= goal.value);

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
