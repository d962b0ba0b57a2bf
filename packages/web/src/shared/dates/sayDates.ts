import { differenceInCalendarDays, parseISO } from 'date-fns';

/*
 * With its neighbours the one place where the page reads and says days and moments. They are local: of the clock on the wall beside the screen,
 * as the core's bench hours are of the clock on the wall of the bench.
 */

const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
const MOMENT = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** A day (YYYY-MM-DD, or a moment of it) in the reader's own way of writing. */
export const formatDay = (day: string) => DAY.format(parseISO(day.slice(0, 10)));

export const formatMoment = (iso: string) => MOMENT.format(parseISO(iso));

const HOUR = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });

/** "19:20", "tomorrow 19:20", "14 Mar, 19:20": as short as it can be said on that day. */
export function formatSoon(at: number, now: Date): string {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return HOUR.format(at);
  if (days === 1) return `tomorrow ${HOUR.format(at)}`;
  return days === -1 ? `yesterday ${HOUR.format(at)}` : MOMENT.format(at);
}

const EVENING = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' });

/** "Thu 3 Dec": a day of the plan. */
export const formatEvening = (at: number | string): string =>
  EVENING.format(typeof at === 'string' ? parseISO(at) : at);

/** "18:05". */
export const formatHour = (at: number): string => HOUR.format(at);

/** What everything waits for, and until when where that is known. */
export const sayBlocked = ({ title, from }: { readonly title: string; readonly from: string | null }) =>
  from === null ? title : `“${title}” until ${formatMoment(from)}`;

/** "today", "in 5 days", "3 days late". */
export function formatDue(day: string, now: Date): string {
  const days = differenceInCalendarDays(parseISO(day), now);
  if (days === 0) return 'today';
  if (days > 0) return days === 1 ? 'tomorrow' : `in ${days} days`;
  return days === -1 ? '1 day late' : `${-days} days late`;
}

/** "opened today", "opened 5 months ago", "opened 2 years ago"; a pot that was never opened says so. */
export function formatAge(openedOn: string | null, now: Date): string {
  if (!openedOn) return 'never opened';
  const days = differenceInCalendarDays(now, parseISO(openedOn));
  const count = (n: number, word: string) => `opened ${n} ${word}${n === 1 ? '' : 's'} ago`;
  if (days < 1) return 'opened today';
  if (days < 60) return count(days, 'day');
  if (days < 730) return count(Math.round(days / 30.4), 'month');
  return count(Math.floor(days / 365), 'year');
}
