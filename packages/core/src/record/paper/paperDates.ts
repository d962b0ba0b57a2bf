import { convertToLocalTime } from '../../calendar/localTime.ts';
import { sayDay } from '../../words/sayDay.ts';
import type { PaperDates } from './paper.ts';

const two = (number: number) => String(number).padStart(2, '0');

/** "9 January 2027" and "9 January 2027, 19:05" by the clock on the wall of the bench; a zone nobody knows is UTC. */
export function createPaperDates(zone: string): PaperDates {
  const local = (iso: string) => convertToLocalTime(new Date(iso), zone || 'UTC');
  const dayOf = (iso: string) => {
    const { year, month, day } = local(iso);
    return sayDay(`${year}-${two(month)}-${two(day)}`);
  };
  return {
    // A day by itself is no moment that a zone could move.
    day: (iso) => (iso.length === 10 ? sayDay(iso) : dayOf(iso)),
    moment: (iso) => {
      const { minuteOfDay } = local(iso);
      const minute = Math.floor(minuteOfDay);
      return `${dayOf(iso)}, ${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
    },
  };
}
