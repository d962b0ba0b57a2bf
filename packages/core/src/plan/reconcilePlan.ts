import type { Task } from '../model/work.ts';
import type { PlannedTask } from './planTypes.ts';

export interface Reconciled {
  readonly added: readonly PlannedTask[];
  readonly changed: readonly { readonly task: Task; readonly planned: PlannedTask }[];
  /** Never begun and no longer asked for: may go. */
  readonly dropped: readonly Task[];
  /** Begun or logged, no longer asked for: kept and marked. */
  readonly keptAside: readonly Task[];
}

/** Compares a fresh plan with the tasks there are. What is under way or done stays; nothing logged is ever dropped. */
export function reconcilePlan(
  existing: readonly Task[],
  planned: readonly PlannedTask[],
  loggedTaskIds: ReadonlySet<string>,
): Reconciled {
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
