import type { Task, TaskLog } from '../model/task.ts';
import type { JobRecord, RecordOpenStep, RecordWork } from './jobRecord.ts';
import type { RecordNames } from './recordNames.ts';

/** An entry of the log, as it was written. */
export function describeEntry({ who, at, act, note, work }: TaskLog): RecordWork {
  return {
    task: work.title,
    parts: work.partNames,
    by: work.way?.label ?? work.method ?? '',
    because: work.because,
    products: work.products,
    measures: work.measures,
    ...{ who, at, act, note },
  };
}

/** What was planned and not done; what somebody said is not needed stands among the exceptions. */
export function listNotDone(tasks: readonly Task[], names: RecordNames): RecordOpenStep[] {
  return tasks.flatMap(({ specimenId, title, partKeys, state, because }) =>
    state === 'done' || state === 'not needed'
      ? []
      : [{ task: title, parts: partKeys.map((key) => names.partOfKey(specimenId, key)), state, because }],
  );
}

/** What stands of them: a step that was taken up again after all is no exception. */
export function listExceptions(log: readonly TaskLog[]): JobRecord['exceptions'] {
  const last = new Map<string, TaskLog>();
  for (const entry of log) if (entry.act !== 'note' && entry.act !== 'looked') last.set(entry.taskId, entry);
  return [...last.values()]
    .filter(({ act }) => act === 'not needed' || act === 'done otherwise')
    .map(({ work, act, note }) => ({ task: work.title, act, reason: note }));
}
