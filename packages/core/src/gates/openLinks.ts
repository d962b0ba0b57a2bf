import { isSettled, type Task, type TaskLink } from '../model/task.ts';

/** A link of a task that still holds it up. */
export interface OpenLink {
  readonly link: TaskLink;
  readonly before: LinkedTask;
  /** Not done yet; done, but what it left is still wet; done too long ago. */
  readonly kind: 'open' | 'waiting' | 'too late';
  /** From when the wait is over, ISO; null where waiting does not help. */
  readonly from: string | null;
}

export type LinkedTask = Pick<Task, 'id' | 'key' | 'specimenId' | 'title' | 'state' | 'doneAt' | 'lookedAt'>;

const MINUTE_MS = 60_000;

/**
 * What a task still waits for: tasks that are not done, waits that are not over, and what was done too long ago. Somebody
 * who looked ends a wait, and makes what is too late count anew from then. What was declared not needed leaves nothing to
 * wait for.
 */
export function selectOpenLinks(
  task: Pick<Task, 'after' | 'specimenId'>,
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
    if (link.waitMin > 0 && !hasLooked && now.getTime() < over)
      return [{ link, before, kind: 'waiting', from: new Date(over).toISOString() }];
    const since = hasLooked ? looked : done;
    if (link.latestMin !== null && now.getTime() > since + link.latestMin * MINUTE_MS)
      return [{ link, before, kind: 'too late', from: null }];
    return [];
  });
}
