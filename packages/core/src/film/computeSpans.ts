import type { DryingClock } from './dryingClock.ts';
import { COAT_ACTS, type CoatAct, type DryingSheet, type SheetSpan } from './dryingSheet.ts';
import { computeReadyTime, type LearnedTime } from './learnDrying.ts';

/** Moments between which something may be done with a coat, ms since 1970. */
export interface Span {
  readonly from: number;
  /** null: it does not end. */
  readonly to: number | null;
}

/** A product's times over those of its sheet, so late and so early that the next coat is ready, or not yet, for sure. */
export interface Margins {
  readonly late: number;
  readonly early: number;
}

export interface DryingCoat {
  readonly appliedAt: number;
  /** Its film over the film of its sheet. */
  readonly filmShare: number;
  readonly sheet: DryingSheet;
  readonly margins: Margins;
  /** At the least and at the most dried. */
  readonly clocks: { readonly least: DryingClock; readonly most: DryingClock };
}

/** Something may be done when it is so sure that the coat is ready, and no more when it may be too late by as much. */
const SURE = 0.95;

/** Once for a product: it takes longer than everything after it. `learned` is over the sheet's time: learnDrying(1, ...). */
export const computeMargins = (learned: LearnedTime): Margins => ({
  late: computeReadyTime(learned, SURE),
  early: computeReadyTime(learned, 1 - SURE),
});

/**
 * When what may be done with a coat. A beginning is taken late and an end early, by what is known of the product: a coat of
 * which nothing was touched yet has all of its sheet's spread. A thicker film dries with the square of its thickness (diffusion
 * through the film); a thinner one is given no start before its sheet, but its window shuts sooner.
 */
export function computeSpans(coat: DryingCoat): Readonly<Record<CoatAct, readonly Span[]>> {
  const { late, early } = coat.margins;
  const spanOf = ({ fromMin, toMin }: SheetSpan, i: number, all: readonly SheetSpan[]): Span[] => {
    // Wet in wet: the next coat wants the solvents gone, not the film dry.
    const isWet = i === 0 && all.length > 1;
    const begins = fromMin * (isWet ? 1 : late) * Math.max(1, coat.filmShare) ** 2;
    const from = coat.clocks.least.until(coat.appliedAt, begins);
    // In a room that is too cold it does not come.
    if (from === null) return [];
    if (toMin === null) return [{ from, to: null }];
    const to = coat.clocks.most.until(coat.appliedAt, toMin * early * Math.min(1, coat.filmShare) ** 2)!;
    return to > from ? [{ from, to }] : [];
  };
  return Object.fromEntries(COAT_ACTS.map((act) => [act, coat.sheet.spans[act].flatMap(spanOf)])) as unknown as Record<
    CoatAct,
    Span[]
  >;
}

/** What holds at a moment, and when that changes. */
export interface Answer {
  readonly isAllowed: boolean;
  /** When it changes next; null: it stays so, or nobody can say. */
  readonly changesAt: number | null;
}

export function answerAt(spans: readonly Span[], now: number): Answer {
  const open = spans.find(({ from, to }) => from <= now && (to === null || now < to));
  if (open) return { isAllowed: true, changesAt: open.to };
  const later = spans.map(({ from }) => from).filter((from) => from > now);
  return { isAllowed: false, changesAt: later.length ? Math.min(...later) : null };
}
