import type { LoggedWork, TaskLog } from '../model/task.ts';
import type { TaskAct } from '../model/taskActs.ts';
import { SHARED_ACTS } from './specimenFacts.ts';

/** Acts that say something of a part or joint: what else was done changes no fact. */
export const TELLING_ACTS: readonly TaskAct[] = [
  'open',
  'strip',
  'mend',
  'refill',
  'prime',
  'colour',
  'powder',
  ...SHARED_ACTS,
];

/** Work that was done and not taken back. */
export interface StandingWork {
  readonly entry: TaskLog;
  readonly work: LoggedWork;
}

/**
 * What stands of a log: for each task the last entry that ended it, unless it was begun anew or taken back since. Entries
 * come in the order in which they were written. A task that was declared not needed has no work.
 */
export function selectStandingWork(log: readonly TaskLog[]): StandingWork[] {
  const standing = new Map<string, TaskLog>();
  for (const entry of log) {
    if (entry.act === 'done' || entry.act === 'done otherwise') standing.set(entry.taskId, entry);
    else if (entry.act === 'taken back' || entry.act === 'not needed' || entry.act === 'started')
      standing.delete(entry.taskId);
  }
  return [...standing.values()].map((entry) => ({ entry, work: entry.work }));
}
