/** "25 min", "1 h 30 min", "3 days": a length of time in the coarsest words that are still true. */
export function formatMinutes(minutes: number): string {
  if (minutes < 1) return 'under 1 min';
  if (minutes < 60) return `${Math.round(minutes)} min`;
  if (minutes < 1440) {
    const hours = Math.floor(minutes / 60);
    const rest = Math.round(minutes % 60);
    return rest ? `${hours} h ${rest} min` : `${hours} h`;
  }
  const days = Math.round(minutes / 144) / 10;
  return `${days} ${days === 1 ? 'day' : 'days'}`;
}

/** A clock face: 4:05 or 1:04:05; below zero it counts up as "late". */
export function formatClock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds));
  const pad = (value: number) => String(value).padStart(2, '0');
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  return hours ? `${hours}:${pad(minutes)}:${pad(whole % 60)}` : `${minutes}:${pad(whole % 60)}`;
}

const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
const MOMENT = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** A day (YYYY-MM-DD) in the reader's own way of writing. */
export function formatDay(day: string): string {
  const [year = 0, month = 1, date = 1] = day.slice(0, 10).split('-').map(Number);
  return DAY.format(new Date(year, month - 1, date));
}

export const formatMoment = (iso: string) => MOMENT.format(new Date(iso));

/** What everything waits for, and until when where that is known. */
export const sayBlocked = ({ title, from }: { readonly title: string; readonly from: string | null }) =>
  from === null ? title : `“${title}” until ${formatMoment(from)}`;

/** "today", "in 5 days", "3 days late". */
export function formatDue(day: string, now: Date): string {
  const today = Date.UTC(now.getFullYear(), now.getMonth(), now.getDate());
  const days = Math.round((Date.parse(day) - today) / 86_400_000);
  if (days === 0) return 'today';
  if (days > 0) return days === 1 ? 'tomorrow' : `in ${days} days`;
  return days === -1 ? '1 day late' : `${-days} days late`;
}

export const capitalise = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The local time as a datetime-local field wants it. */
export function toLocalField(date: Date): string {
  const local = new Date(date.getTime() - date.getTimezoneOffset() * 60_000);
  return local.toISOString().slice(0, 16);
}

/** "opened today", "opened 5 months ago", "opened 2 years ago"; a pot that was never opened says so. */
export function formatAge(openedOn: string | null, now: Date): string {
  if (!openedOn) return 'never opened';
  const days = Math.floor((now.getTime() - Date.parse(openedOn)) / 86_400_000);
  const count = (n: number, word: string) => `opened ${n} ${word}${n === 1 ? '' : 's'} ago`;
  if (days < 1) return 'opened today';
  if (days < 60) return count(days, 'day');
  if (days < 730) return count(Math.round(days / 30.4), 'month');
  return count(Math.floor(days / 365), 'year');
}
