import type { Task } from '../model/task.ts';
import type { PlannedTask } from './planTypes.ts';

/** What must be known of a task that is there. */
export type KnownTask = Pick<Task, 'id' | 'key' | 'state'>;

export interface Reconciled<T extends KnownTask> {
  readonly added: readonly PlannedTask[];
  /** Still to do (or set aside before) and asked for. */
  readonly changed: readonly { readonly task: T; readonly planned: PlannedTask }[];
  /** Never begun and no longer asked for: may go. */
  readonly dropped: readonly T[];
  /** Still to do and no longer asked for, but with a log: kept, and taken out of the plan. */
  readonly setAside: readonly T[];
}

/**
 * Compares a fresh plan with the tasks there are. What is under way, done or declared not needed is history: it is neither
 * changed nor dropped, whatever is decided later. Nothing with a log is ever dropped.
 */
export function reconcilePlan<T extends KnownTask>(
  existing: readonly T[],
  planned: readonly PlannedTask[],
  loggedTaskIds: ReadonlySet<string>,
): Reconciled<T> {
  const byKey = new Map(existing.map((task) => [task.key, task]));
  const wanted = new Set(planned.map((task) => task.key));
  const gone = existing.filter((task) => !wanted.has(task.key) && task.state === 'to do');
  const pairs = planned.flatMap((one) => {
    const task = byKey.get(one.key);
    return task ? [{ task, planned: one }] : [];
  });
  return {
    added: planned.filter((task) => !byKey.has(task.key)),
    changed: pairs.filter(({ task }) => !isHistory(task)),
    dropped: gone.filter((task) => !loggedTaskIds.has(task.id)),
    setAside: gone.filter((task) => loggedTaskIds.has(task.id)),
  };
}

/** What is under way or done in another way than would be asked for now: told, not changed. */
export function findDisagreements<T extends Pick<Task, 'key' | 'state' | 'method' | 'way'>>(
  existing: readonly T[],
  planned: readonly PlannedTask[],
): { readonly task: T; readonly was: string; readonly is: string }[] {
  const byKey = new Map(planned.map((one) => [one.key, one]));
  return existing.flatMap((task) => {
    const now = byKey.get(task.key);
    if (!now || (task.state !== 'done' && task.state !== 'doing')) return [];
    const ways = differ(task.way?.key, now.way?.key) ? [task.way!.label, now.way!.label] : null;
    const methods = differ(task.method, now.method) ? [task.method!, now.method!] : null;
    const [was, is] = ways ?? methods ?? [];
    return was === undefined || is === undefined ? [] : [{ task, was, is }];
  });
}

/** Where nobody knows how it was done, nothing disagrees. */
const differ = (was: string | null | undefined, is: string | null | undefined): boolean =>
  was !== null && was !== undefined && is !== null && is !== undefined && was !== is;

/** Under way, done, or declared not needed by a restorer. */
const isHistory = ({ state }: Pick<Task, 'state'>): boolean =>
  state === 'doing' || state === 'done' || state === 'not needed';
