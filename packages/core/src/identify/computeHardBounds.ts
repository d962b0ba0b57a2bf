import type { DatedAnswer } from './computeDateWeights.ts';

export interface Bound {
  readonly year: number;
  /** Label of the feature and state that sets it. */
  readonly setBy: string;
  readonly featureId: string;
}

export interface HardBounds {
  readonly notBefore: Bound | null;
  readonly notAfter: Bound | null;
  readonly conflict: { readonly later: Bound; readonly earlier: Bound } | null;
}

/**
 * Hard bounds come from sure readings of what cannot be exchanged. The conflicting pair is looked for among all dated
 * answers: for spans on a line, a set that cannot share one date always has a pair that cannot, the latest start and the
 * earliest end.
 */
export function computeHardBounds(dated: readonly DatedAnswer[]): HardBounds {
  const hard = dated.filter((answer) => answer.isHard);
  const later = latestStart(dated);
  const earlier = earliestEnd(dated);
  return {
    notBefore: latestStart(hard),
    notAfter: earliestEnd(hard),
    conflict: later && earlier && later.year > earlier.year ? { later, earlier } : null,
  };
}

function latestStart(dated: readonly DatedAnswer[]): Bound | null {
  return pickBound(
    dated,
    (answer) => answer.state.fromYear,
    (a, b) => a > b,
  );
}

function earliestEnd(dated: readonly DatedAnswer[]): Bound | null {
  return pickBound(
    dated,
    (answer) => answer.state.toYear,
    (a, b) => a < b,
  );
}

function pickBound(
  dated: readonly DatedAnswer[],
  yearOf: (answer: DatedAnswer) => number | null,
  isTighter: (a: number, b: number) => boolean,
): Bound | null {
  let best: Bound | null = null;
  for (const answer of dated) {
    const year = yearOf(answer);
    if (year === null || (best && !isTighter(year, best.year))) continue;
    best = { year, setBy: `${answer.feature.label}: ${answer.state.label}`, featureId: answer.feature.id };
  }
  return best;
}
