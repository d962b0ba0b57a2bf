import type { BenchSession, Restorer } from '../model/work.ts';
import { convertFromLocalTime, convertToLocalTime } from './localTime.ts';

/** A bench session of a restorer, at its real time. */
export interface SessionTime {
  readonly who: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** Longest that is watched at a stretch where no calendar says otherwise, minutes (planning estimate). */
const USUAL_SESSION_MIN = 120;

/** The longest session of anybody; without a calendar the usual length counts. */
export function findLongestSession(restorers: readonly Pick<Restorer, 'sessions'>[]): number {
  const minutes = restorers.flatMap(({ sessions }) => sessions.map((session) => session.minutes));
  return minutes.length ? Math.max(...minutes) : USUAL_SESSION_MIN;
}

/** Every session that has not ended yet and begins within a week, soonest first. Hours are local ones of the zone. */
export function listSessions(
  restorers: readonly Pick<Restorer, 'name' | 'sessions'>[],
  now: Date,
  zone: string,
): SessionTime[] {
  const sessions = restorers.flatMap(({ name, sessions: own }) =>
    own.flatMap((session) =>
      // One that began before midnight may still be under way.
      [-1, 0, 1, 2, 3, 4, 5, 6, 7].flatMap((days): SessionTime[] => {
        const time = placeSession(name, session, new Date(now.getTime() + days * DAY_MS), zone);
        return time && time.endsAt > now ? [time] : [];
      }),
    ),
  );
  return sessions.sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime());
}

function placeSession(
  who: string,
  { weekday, startHour, minutes }: BenchSession,
  on: Date,
  zone: string,
): SessionTime | null {
  const day = convertToLocalTime(on, zone);
  if (day.weekday !== weekday) return null;
  const startsAt = convertFromLocalTime({ ...day, minuteOfDay: startHour * 60 }, zone);
  return { who, startsAt, endsAt: new Date(startsAt.getTime() + minutes * MINUTE_MS) };
}
