import { answerAt, type Span } from './computeSpans.ts';

/**
 * 'open': it may; 'not yet': it has not begun; 'gap': the first window has shut and another one opens; 'shut': the last one has;
 * 'never': in a room like this it does not come.
 */
export type SpanState = 'open' | 'not yet' | 'gap' | 'shut' | 'never';

export interface SpanVerdict {
  readonly state: SpanState;
  /** When it opens, ms since 1970; null where it is open, or nobody can say. */
  readonly from: number | null;
  /** When the window that is open, or opens next, shuts again; null where it stays open. */
  readonly until: number | null;
}

/** What the windows of a coat, or of all coats of an area, mean at a moment: log, steps, station and page ask here. */
export function judgeSpans(spans: readonly Span[], now: number): SpanVerdict {
  const { isAllowed, changesAt } = answerAt(spans, now);
  if (isAllowed) return { state: 'open', from: null, until: changesAt };
  const hasShut = spans.some(({ to }) => to !== null && to <= now);
  if (changesAt === null) return { state: hasShut ? 'shut' : 'never', from: null, until: null };
  const until = spans.find(({ from }) => from === changesAt)!.to;
  return { state: hasShut ? 'gap' : 'not yet', from: changesAt, until };
}
