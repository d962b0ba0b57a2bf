import type { Task } from '../model/work.ts';
import type { PlannedTask } from './planTypes.ts';

/** What must be known of a task that is there. */
export type KnownTask = Pick<Task, 'id' | 'key' | 'state'>;

export interface Reconciled<T extends KnownTask> {
  readonly added: readonly PlannedTask[];
  readonly changed: readonly { readonly task: T; readonly planned: PlannedTask }[];
  /** Never begun and no longer asked for: may go. */
  readonly dropped: readonly T[];
  /** Begun or logged, no longer asked for: kept and marked. */
  readonly keptAside: readonly T[];
}

/** Compares a fresh plan with the tasks there are. What is under way or done stays; nothing logged is ever dropped. */
export function reconcilePlan<T extends KnownTask>(
  existing: readonly T[],
  planned: readonly PlannedTask[],
  loggedTaskIds: ReadonlySet<string>,
): Reconciled<T> {
  const byKey = new Map(existing.map((task) => [task.key, task]));
  const wanted = new Set(planned.map((task) => task.key));
  const gone = existing.filter((task) => !wanted.has(task.key));
  return {
    added: planned.filter((task) => !byKey.has(task.key)),
    changed: planned.flatMap((task) => {
      const before = byKey.get(task.key);
      return before ? [{ task: before, planned: task }] : [];
    }),
    dropped: gone.filter((task) => task.state === 'to do' && !loggedTaskIds.has(task.id)),
    keptAside: gone.filter((task) => task.state !== 'to do' || loggedTaskIds.has(task.id)),
  };
}
