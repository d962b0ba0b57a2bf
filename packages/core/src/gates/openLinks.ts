import { chooseCoatAct, type CoatAsker } from '../film/chooseCoatAct.ts';
import { judgeSpans, type SpanState } from '../film/judgeSpans.ts';
import type { FilmSpans } from '../film/answerArea.ts';
import { isSettled, type Task, type TaskLink } from '../model/task.ts';

/** A link of a task that still holds it up. */
export interface OpenLink {
  readonly link: TaskLink;
  readonly before: LinkedTask;
  /**
   * Not done yet; done, but what it left is still wet; its coat lifts under the next one until it is dry through; its window has
   * shut; done too long ago.
   */
  readonly kind: 'open' | 'waiting' | 'in the gap' | 'shut' | 'too late';
  /** From when the wait is over, ISO; null where waiting does not help. */
  readonly from: string | null;
}

export type LinkedTask = Pick<
  Task,
  'id' | 'key' | 'specimenId' | 'title' | 'state' | 'doneAt' | 'lookedAt' | 'partKeys' | 'of' | 'tags'
> & {
  /** When the coats that it left bear what (spansOfTask); absent where it left none, or nobody knows when they went on. */
  readonly film?: FilmSpans | null;
};

const MINUTE_MS = 60_000;

/**
 * What a task still waits for: tasks that are not done, waits that are not over, and what was done too long ago. Somebody
 * who looked ends a wait, and makes what is too late count anew from then; where coats were put on, they themselves say when
 * they bear it. What was declared not needed leaves nothing to wait for.
 */
export function selectOpenLinks(
  task: Pick<Task, 'after' | 'specimenId'> & CoatAsker,
  tasks: readonly LinkedTask[],
  now: Date,
): OpenLink[] {
  return task.after.flatMap((link): OpenLink[] => {
    const before = tasks.find((one) => one.key === link.key && one.specimenId === task.specimenId);
    if (!before) return [];
    if (!isSettled(before)) return [{ link, before, kind: 'open', from: null }];
    if (before.state !== 'done' || before.doneAt === null) return [];
    const done = Date.parse(before.doneAt);
    const looked = before.lookedAt === null ? null : Date.parse(before.lookedAt);
    const hasLooked = looked !== null && looked >= done;
    const over = done + link.waitMin * MINUTE_MS;
    if (link.waitMin > 0 && before.film) {
      const { state, from } = judgeSpans(before.film[chooseCoatAct(task, before)], now.getTime());
      if (state !== 'open')
        return [{ link, before, kind: HELD[state], from: from === null ? null : new Date(from).toISOString() }];
    } else if (link.waitMin > 0 && !hasLooked && now.getTime() < over)
      return [{ link, before, kind: 'waiting', from: new Date(over).toISOString() }];
    const since = hasLooked ? looked : done;
    if (link.latestMin !== null && now.getTime() > since + link.latestMin * MINUTE_MS)
      return [{ link, before, kind: 'too late', from: null }];
    return [];
  });
}

const HELD: Readonly<Record<Exclude<SpanState, 'open'>, OpenLink['kind']>> = {
  'not yet': 'waiting',
  never: 'waiting',
  gap: 'in the gap',
  shut: 'shut',
};
