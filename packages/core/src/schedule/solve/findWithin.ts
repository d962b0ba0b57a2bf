import { findFirst } from '../../numeric/findFirst.ts';
import type { Span } from './workshop.ts';

/** The first moment from `at` on from which so many minutes lie in one of the spans; Infinity where none is long enough. */
export function findWithin(spans: readonly Span[], at: number, minutes: number): number {
  const first = findFirst(spans.length, (i) => spans[i]!.to >= at + minutes);
  for (let i = first; i < spans.length; i++) {
    const begins = Math.max(at, spans[i]!.from);
    if (begins + minutes <= spans[i]!.to) return begins;
  }
  return Infinity;
}
