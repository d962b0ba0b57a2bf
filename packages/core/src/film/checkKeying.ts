import type { Refusal } from '../model/refusal.ts';
import { sayMinutes } from '../words/sayMinutes.ts';
import type { FilmSpans } from './answerArea.ts';
import { judgeSpans } from './judgeSpans.ts';

/** A coat that somebody wants to rub dull for the next one. */
export interface KeyedCoat {
  readonly name: string;
  readonly isOutermost: boolean;
  /** null where nobody knows when it went on, or out of which pot. */
  readonly spans: FilmSpans | null;
}

/** Why it is not keyed now: another lies on it, it takes a coat as it is, or it would tear. */
export function checkKeying({ name, isOutermost, spans }: KeyedCoat, now: Date): Refusal[] {
  if (!isOutermost) return [{ code: 'not-outermost', message: `${name} is covered: what lies on it is keyed.` }];
  if (!spans) return [];
  const at = now.getTime();
  const { state, from } = judgeSpans(spans.recoat, at);
  if (state === 'open')
    return [{ code: 'needs-no-key', message: `${name} takes another coat as it is: it needs no keying.` }];
  // Its window has shut: it is hard enough when it may be taken in hand.
  const waits = from ?? judgeSpans(spans.handle, at).from;
  if (waits === null) return [];
  return [
    {
      ...{ code: 'still-drying', from: new Date(waits).toISOString() },
      message: `${name} is soft and tears under abrasive: it takes another coat, or bears rubbing, in ${sayMinutes((waits - at) / 60_000)}.`,
    },
  ];
}
