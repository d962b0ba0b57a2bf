import type { Task, TaskLog } from '../model/task.ts';

/**
 * Whether a task is the first irreversible one of its specimen, so that what the model is worth must be settled before it.
 * Once one was begun, or somebody decided to go ahead, the question is closed.
 */
export function needsStopCheck(task: Task, tasksOfSpecimen: readonly Task[], log: readonly TaskLog[]): boolean {
  if (!task.irreversible) return false;
  const own = new Set(tasksOfSpecimen.map(({ id }) => id));
  const isBegun = tasksOfSpecimen.some((one) => one.irreversible && (one.state === 'doing' || one.state === 'done'));
  return !isBegun && !log.some((entry) => entry.act === 'went ahead' && own.has(entry.taskId));
}
