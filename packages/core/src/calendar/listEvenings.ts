import type { SessionException } from '../model/evenings.ts';
import type { BenchSession } from '../model/work.ts';
import { convertFromLocalTime, convertToLocalTime } from './localTime.ts';

/** A stretch at the bench, ms since 1970. */
export interface Evening {
  readonly from: number;
  readonly to: number;
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/**
 * A restorer's sessions that end after `now`, for so many days, soonest first; those that touch are one. What is said of a day takes
 * the place of its weekday. Hours are local ones of the zone.
 */
export function listEvenings(
  {
    sessions,
    exceptions,
  }: { readonly sessions: readonly BenchSession[]; readonly exceptions: readonly SessionException[] },
  now: number,
  days: number,
  zone: string,
): Evening[] {
  const first = convertToLocalTime(new Date(now), zone);
  // Noon of each day, counted without a zone: summer time neither doubles nor drops one.
  const noon = Date.UTC(first.year, first.month - 1, first.day, 12);
  const evenings: Evening[] = [];
  // One that began before midnight may still be under way.
  for (let i = -1; i < days; i++) {
    const day = new Date(noon + i * DAY_MS);
    const on = day.toISOString().slice(0, 10);
    const said = exceptions.filter((one) => one.on === on);
    const own = said.length > 0 ? said : sessions.filter(({ weekday }) => weekday === day.getUTCDay());
    for (const { startHour, minutes } of own) {
      const from = convertFromLocalTime(
        {
          ...{ year: day.getUTCFullYear(), month: day.getUTCMonth() + 1, day: day.getUTCDate() },
          minuteOfDay: startHour * 60,
        },
        zone,
      ).getTime();
      const to = from + minutes * MINUTE_MS;
      if (to > now && minutes > 0) evenings.push({ from, to });
    }
  }
  evenings.sort((a, b) => a.from - b.from);
  return evenings.reduce<Evening[]>((joined, one) => {
    const last = joined.at(-1);
    if (last && one.from <= last.to) joined[joined.length - 1] = { from: last.from, to: Math.max(last.to, one.to) };
    else joined.push(one);
    return joined;
  }, []);
}

/** The first moment of a local day; of the next one with `days` 1. */
export function findDayStart(on: string, zone: string, days = 0): number {
  const [year, month, day] = on.split('-').map(Number) as [number, number, number];
  const at = new Date(Date.UTC(year, month - 1, day + days));
  return convertFromLocalTime(
    { year: at.getUTCFullYear(), month: at.getUTCMonth() + 1, day: at.getUTCDate(), minuteOfDay: 0 },
    zone,
  ).getTime();
}
