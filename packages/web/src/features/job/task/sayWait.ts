import type { OpenLink } from '@sardonyx/core';
import { formatMoment } from '../../../shared/dates/sayDates.ts';

/** What a step waits for, and until when. */
export function sayWait({ link, before: { title }, kind, from }: OpenLink): string {
  switch (kind) {
    case 'open':
      return `Waits for “${title}”: ${link.because}`;
    case 'waiting':
      return from === null
        ? `“${title}” does not dry in a room as cold as this one: warm it, and read the thermometer`
        : `“${title}” needs time until ${formatMoment(from)}`;
    case 'in the gap':
      return `The coat of “${title}” lifts under another one until ${formatMoment(from!)}`;
    case 'shut':
      return `The window of “${title}” has shut: key the coat at Finish, then go on`;
    case 'too late':
      return `“${title}” was done too long ago: ${link.because}`;
  }
}
