import type { DryingClock } from './dryingClock.ts';
import { COAT_ACTS, type CoatAct, type DryingSheet, type SheetSpan } from '../model/drying.ts';
import { computeReadyTime, type LearnedTime, type TouchedCoat } from './learnDrying.ts';

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
  /** When it was rubbed dull for the next one, ms since 1970; null while it was not. */
  readonly keyedAt?: number | null;
  /** When the next coat of its area went on over it; null while it is the outermost. */
  readonly coveredAt?: number | null;
  /** At the least and at the most dried. */
  readonly clocks: { readonly least: DryingClock; readonly most: DryingClock };
}

/** Something may be done when it is so sure that the coat is ready, and no more when it may be too late by as much. */
const SURE = 0.95;

/**
 * Once for a product, and for each coat that was touched: it takes longer than everything after it. `learned` is over the sheet's
 * time, learnDrying(1, ...), of the product's other coats.
 */
export const computeMargins = (learned: LearnedTime, own?: TouchedCoat): Margins => ({
  late: computeReadyTime(learned, SURE, own),
  early: computeReadyTime(learned, 1 - SURE, own),
});

/** What is put on a coat, or done to it with heat, keeps to its sheet however quickly it dries here. */
const BY_SHEET: readonly CoatAct[] = ['recoat', 'decal', 'bake'];

/**
 * When what may be done with a coat. A beginning is taken late and an end early, by what is known of the product: a coat of
 * which nothing was touched yet has all of its sheet's spread. A thicker film dries with the square of its thickness (diffusion
 * through the film); a thinner one is given no start before its sheet, but its window shuts sooner.
 */
export function computeSpans(coat: DryingCoat): Readonly<Record<CoatAct, readonly Span[]>> {
  const { late, early } = coat.margins;
  const spanOf = (act: CoatAct, { fromMin, toMin }: SheetSpan, isWet: boolean): Span[] => {
    // Wet in wet: the next coat wants the solvents gone, not the film dry.
    const slower = isWet ? 1 : BY_SHEET.includes(act) ? Math.max(1, late) : late;
    const from = coat.clocks.least.until(coat.appliedAt, fromMin * slower * Math.max(1, coat.filmShare) ** 2);
    // In a room that is too cold it does not come.
    if (from === null) return [];
    if (toMin === null) return [{ from, to: null }];
    const to = coat.clocks.most.until(coat.appliedAt, toMin * early * Math.min(1, coat.filmShare) ** 2)!;
    return to > from ? [{ from, to }] : [];
  };
  const spansOf = (act: CoatAct): Span[] => {
    const sheet = coat.sheet.spans[act];
    const spans = sheet.flatMap((span, i) => spanOf(act, span, i === 0 && sheet.length > 1));
    return act === 'recoat' ? release(reopen(spans, coat.keyedAt ?? null), coat.coveredAt ?? null) : spans;
  };
  return Object.fromEntries(COAT_ACTS.map((act) => [act, spansOf(act)])) as unknown as Record<CoatAct, Span[]>;
}

/** A coat whose last window has shut takes the next one again when it was rubbed dull since. */
function reopen(spans: Span[], keyedAt: number | null): Span[] {
  const shut = spans.at(-1)?.to ?? null;
  if (keyedAt === null || shut === null || keyedAt < shut) return spans;
  // The next coat is logged by the minute: one that goes on in the minute of the rubbing comes after it.
  return [...spans, { from: Math.floor(keyedAt / 60_000) * 60_000, to: null }];
}

/** Covered in its last window it has nothing more to say; covered wet in wet it dries on as one film with what lies on it. */
function release(spans: Span[], coveredAt: number | null): Span[] {
  const last = spans.at(-1);
  if (coveredAt === null || !last || coveredAt < last.from) return spans;
  return [...spans.slice(0, -1), { from: last.from, to: null }];
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
