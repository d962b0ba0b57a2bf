import type { Restorer } from '../model/work.ts';
import { listEvenings } from './listEvenings.ts';

/** A bench session of a restorer, at its real time. */
export interface SessionTime {
  readonly who: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
}

/** Today, and a week. */
const DAYS = 8;

/** Longest that is watched at a stretch where no calendar says otherwise, minutes (planning estimate). */
const USUAL_SESSION_MIN = 120;

/** The longest session of anybody; without a calendar the usual length counts. */
export function findLongestSession(restorers: readonly Pick<Restorer, 'sessions'>[]): number {
  const minutes = restorers.flatMap(({ sessions }) => sessions.map((session) => session.minutes));
  return minutes.length ? Math.max(...minutes) : USUAL_SESSION_MIN;
}

/** Every session that has not ended yet and begins within a week, soonest first. Hours are local ones of the zone. */
export function listSessions(
  restorers: readonly Pick<Restorer, 'name' | 'sessions' | 'exceptions'>[],
  now: Date,
  zone: string,
): SessionTime[] {
  return restorers
    .flatMap((restorer) =>
      listEvenings(restorer, now.getTime(), DAYS, zone).map(({ from, to }) => ({
        ...{ who: restorer.name, startsAt: new Date(from), endsAt: new Date(to) },
      })),
    )
    .sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime());
}
