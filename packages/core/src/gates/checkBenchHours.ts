import { listSessions } from '../calendar/sessions.ts';
import type { Refusal } from '../model/refusal.ts';
import type { Task } from '../model/task.ts';
import type { Restorer } from '../model/work.ts';

/**
 * What is watched ends, cooling included, inside a bench session, and one person stays with it. Refused when nobody's
 * session lasts so long from now; it may be begun all the same by somebody who says that they stay.
 *
 * Sessions are in the local time of the bench's zone.
 */
export function checkBenchHours(
  task: Pick<Task, 'title' | 'handsOnMin' | 'watchedMin' | 'needs'>,
  restorers: readonly Pick<Restorer, 'name' | 'sessions' | 'exceptions'>[],
  now: Date,
  zone: string,
): Refusal[] {
  if (!task.needs.stays || restorers.length === 0) return [];
  const minutes = task.handsOnMin + task.watchedMin;
  const ends = listSessions(restorers, now, zone)
    .filter(({ startsAt }) => startsAt <= now)
    .map(({ endsAt }) => (endsAt.getTime() - now.getTime()) / 60_000);
  const left = Math.max(0, ...ends);
  if (left >= minutes) return [];
  const until = left > 0 ? `the bench is staffed for ${Math.floor(left)} min more` : 'nobody is down for the bench now';
  return [
    {
      code: 'outside-bench-hours',
      message: `"${task.title}" is watched for ${minutes} min, and ${until}. It is never left alone: begin it only if you stay until it is over.`,
    },
  ];
}
