import type { Restorer, Task } from '../model/work.ts';
import type { Refusal } from './checkStart.ts';

/**
 * What is watched ends, cooling included, inside a bench session, and one person stays with it. Refused when nobody's
 * session of today lasts so long from now; it may be begun all the same by somebody who says that they stay.
 *
 * Sessions are in the local time of `now`.
 */
export function checkBenchHours(
  task: Pick<Task, 'title' | 'handsOnMin' | 'watchedMin'>,
  restorers: readonly Pick<Restorer, 'name' | 'sessions'>[],
  now: Date,
): Refusal[] {
  if (task.watchedMin <= 0 || restorers.length === 0) return [];
  const minutes = task.handsOnMin + task.watchedMin;
  const left = Math.max(0, ...restorers.flatMap((one) => one.sessions.map((session) => countLeft(session, now))));
  if (left >= minutes) return [];
  const until = left > 0 ? `the bench is staffed for ${Math.floor(left)} min more` : 'nobody is down for the bench now';
  return [
    {
      code: 'outside-bench-hours',
      message: `"${task.title}" is watched for ${minutes} min, and ${until}. It is never left alone: begin it only if you stay until it is over.`,
    },
  ];
}

/** Minutes left of a session; 0 when it is not now. */
function countLeft({ weekday, startHour, minutes }: Restorer['sessions'][number], now: Date): number {
  if (now.getDay() !== weekday) return 0;
  const at = now.getHours() * 60 + now.getMinutes() + now.getSeconds() / 60;
  const from = startHour * 60;
  return at >= from && at < from + minutes ? from + minutes - at : 0;
}
