import { answerAt, type Answer, type Span } from './computeSpans.ts';
import { COAT_ACTS, type CoatAct } from '../model/drying.ts';

/** A coat that stands on an area, with what it bears and when (computeSpans). */
export interface StandingCoat {
  readonly layerId: string;
  readonly spans: FilmSpans;
}

/** When what may be done. */
export type FilmSpans = Readonly<Record<CoatAct, readonly Span[]>>;

/** What may be done with an area now, when that changes, and which coat says so. */
export interface AreaAnswer extends Answer {
  readonly act: CoatAct;
  readonly spans: readonly Span[];
  /** The coat that holds it back; null where nothing does. */
  readonly heldBy: string | null;
}

/**
 * Everything that may be done with an area, by all coats that stand on it: wet in wet they are one film, which shuts with its first
 * coat and opens with its last. An area without a coat is held back by nothing.
 *
 * @param now ms since 1970
 */
export function answerArea(coats: readonly StandingCoat[], now: number): AreaAnswer[] {
  return COAT_ACTS.map((act) => {
    const spans = coats.reduce<readonly Span[]>((all, coat) => intersectSpans(all, coat.spans[act]), ALWAYS);
    const answer = answerAt(spans, now);
    const holding = coats.filter((coat) => !answerAt(coat.spans[act], now).isAllowed);
    return { act, spans, ...answer, heldBy: holding.at(-1)?.layerId ?? null };
  });
}

const ALWAYS: readonly Span[] = [{ from: -Infinity, to: null }];

/** When both hold; in order of time where both lists are. */
export function intersectSpans(a: readonly Span[], b: readonly Span[]): Span[] {
  return a.flatMap((one) =>
    b.flatMap((other) => {
      const from = Math.max(one.from, other.from);
      const to = one.to === null ? other.to : other.to === null ? one.to : Math.min(one.to, other.to);
      return to === null || to > from ? [{ from, to }] : [];
    }),
  );
}
