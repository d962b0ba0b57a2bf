import { listSessions } from '../calendar/sessions.ts';
import type { Restorer } from '../model/work.ts';

export interface TonightJob {
  readonly number: string;
  readonly nextTask: { readonly title: string; readonly handsOnMin: number } | null;
  readonly waitsFor: string | null;
}

export interface Tonight {
  /** Minutes of bench time in the next session. */
  readonly minutes: number;
  readonly sentence: string;
}

/** The next bench session from now on: the restorer's name, when it starts, and how much of it is left. */
export interface NextSession {
  readonly who: string;
  readonly startsAt: Date;
  readonly minutesLeft: number;
  readonly underWay: boolean;
}

/** The first session of any restorer that has not ended yet, within a week; hours are local ones of the bench's zone. */
export function findNextSession(
  restorers: readonly Pick<Restorer, 'name' | 'sessions'>[],
  now: Date,
  zone: string,
): NextSession | null {
  const [next] = listSessions(restorers, now, zone);
  if (!next) return null;
  const { who, startsAt, endsAt } = next;
  const minutesLeft = Math.round((endsAt.getTime() - Math.max(startsAt.getTime(), now.getTime())) / 60_000);
  return { who, startsAt, minutesLeft, underWay: startsAt <= now };
}

/** What hands can do in the session, in the order of the jobs given, and what waits. */
export function describeTonight(jobs: readonly TonightJob[], session: NextSession | null): Tonight {
  const ready = jobs.filter((job) => job.nextTask);
  const waiting = jobs.filter((job) => !job.nextTask && job.waitsFor);
  const minutes = session?.minutesLeft ?? 0;
  let used = 0;
  const fits: TonightJob[] = [];
  for (const job of ready) {
    if (used + job.nextTask!.handsOnMin > minutes) continue;
    used += job.nextTask!.handsOnMin;
    fits.push(job);
  }
  const waits = waiting.length ? ` ${waiting.map((job) => `${job.number} waits for ${job.waitsFor}`).join('; ')}.` : '';
  if (!session)
    return {
      minutes,
      sentence: `Nobody has bench hours this week. ${ready.length} ${ready.length === 1 ? 'job has' : 'jobs have'} a next step.${waits}`,
    };
  const first = fits[0]?.nextTask;
  if (!first) return { minutes, sentence: `Nothing is ready for hands in the next ${minutes} minutes.${waits}` };
  const more =
    fits.length > 1
      ? `, then ${fits.length - 1} more ${fits.length === 2 ? 'step fits' : 'steps fit'} into ${minutes} minutes`
      : '';
  return { minutes, sentence: `Start with ${fits[0]!.number}: ${lowerFirst(first.title)}${more}.${waits}` };
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
