import { listSessions } from '../calendar/sessions.ts';
import type { Restorer } from '../model/work.ts';

/** The next bench session from now on: the restorer's name, when it starts, and how much of it is left. */
export interface NextSession {
  readonly who: string;
  readonly startsAt: Date;
  readonly minutesLeft: number;
  readonly underWay: boolean;
}

/** The first session of any restorer that has not ended yet, within a week; hours are local ones of the bench's zone. */
export function findNextSession(
  restorers: readonly Pick<Restorer, 'name' | 'sessions' | 'exceptions'>[],
  now: Date,
  zone: string,
): NextSession | null {
  const [next] = listSessions(restorers, now, zone);
  if (!next) return null;
  const { who, startsAt, endsAt } = next;
  const minutesLeft = Math.round((endsAt.getTime() - Math.max(startsAt.getTime(), now.getTime())) / 60_000);
  return { who, startsAt, minutesLeft, underWay: startsAt <= now };
}
