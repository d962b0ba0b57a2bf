import type { DayOutlook, EveningsReport, EveningTask, JobOutlook, LeftOutBecause, MoveReason } from '@sardonyx/core';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { formatMinutes, lowerFirst } from '../../shared/format.ts';

/** Numbers of jobs and titles of tasks, by id. */
export interface Names {
  readonly jobs: ReadonlyMap<string, string>;
  readonly tasks: ReadonlyMap<string, EveningTask>;
  readonly restorers: ReadonlyMap<string, string>;
}

export const sayStep = (id: string | null, { jobs, tasks }: Names): string => {
  const task = id === null ? undefined : tasks.get(id);
  return task ? `${jobs.get(task.jobId) ?? ''} ${lowerFirst(task.title)}` : 'something else';
};

/** The verdict over all evenings. */
export function sayVerdict({ jobs }: EveningsReport, names: Names): string {
  const due = jobs.filter(({ dueAt }) => dueAt !== null);
  const late = due.filter(({ lateMin }) => lateMin > 0).sort((a, b) => b.lateMin - a.lateMin);
  const open = due.filter(({ readyAt }) => readyAt === null);
  if (due.length === 0) return jobs.length === 0 ? 'Nothing is on the bench.' : 'Nothing is promised by a day.';
  const inTime = due.length - late.length - open.length;
  const all = inTime === due.length;
  const [worst] = late;
  return (
    [
      all
        ? `All ${due.length} promised models are ready in time`
        : `${inTime} of ${due.length} promised models are ready in time`,
      ...(worst ? [`${names.jobs.get(worst.jobId)} is ${formatMinutes(worst.lateMin)} late`] : []),
      ...(open.length > 0 ? [`${open.length} cannot be planned to the end`] : []),
    ].join('; ') + '.'
  );
}

/** What can be ready by a day, and what is proven of it. */
export function sayDay({ on, ready, cannot, most }: DayOutlook, count: number, names: Names): string {
  const list = (ids: readonly string[]) => ids.map((id) => names.jobs.get(id)).join(', ');
  const proven =
    ready.length >= most
      ? 'More is not possible: the hands that there are by then have no more hours.'
      : `Whether ${most === ready.length + 1 ? 'one more' : `up to ${most - ready.length} more`} could be is not known.`;
  const never =
    cannot.length > 0 ? ` ${list(cannot)} cannot be, whatever is planned: waits and hours alone take longer.` : '';
  return `By ${formatEvening(on)} ${ready.length} of ${count} can be ready.${ready.length < count ? ` ${proven}` : ''}${never}`;
}

export function sayOutlook({ readyAt, dueAt, lateMin }: JobOutlook): string {
  if (readyAt === null) return 'not planned to its end';
  if (dueAt === null) return `ready ${formatEvening(readyAt)}`;
  if (lateMin > 0) return `${formatMinutes(lateMin)} late`;
  return `${formatMinutes((dueAt - readyAt) / 60_000)} to spare`;
}

const LEFT_OUT: Readonly<Record<LeftOutBecause, string>> = {
  'no session is long enough': 'it must be watched longer than anybody’s session lasts',
  'nobody does it': 'nobody at this bench does such work, or has hours',
  'never dries here': 'what it waits for does not dry in a room as cold as this',
  'what goes before': 'what goes before it has no place',
  'no oven': 'the oven cannot be used',
};
export const sayLeftOut = (because: LeftOutBecause): string => LEFT_OUT[because];

/** Why something is no longer where it was, or cannot be where somebody wants it. */
export function sayReason({ kind, taskId }: MoveReason, names: Names): string {
  const step = `“${sayStep(taskId, names)}”`;
  const other = taskId === null ? 'something' : step;
  switch (kind) {
    case 'not theirs':
      return 'they leave such work to others';
    case 'nobody there':
      return 'nobody has the bench then, or not for long enough';
    case 'rain':
      return 'it is not dry then';
    case 'post':
      return 'what it needs has not come by then';
    case 'window':
      return 'what it goes on is not ready then, or no longer';
    case 'too soon':
      return `${step} comes first, with its wait`;
    case 'too late':
      return `it must follow ${step} sooner`;
    case 'hands':
      return `${other} has the hands then`;
    case 'gun':
      return `${other} has the gun then`;
    case 'place':
      return `${other} takes the place up`;
    case 'air':
      return taskId === null ? 'a clock keeps vapour or heat in the room' : `${step} must not share the room with it`;
    case 'past':
      return 'its time went by and it is not done';
    case 'room':
      return 'it made room for others';
  }
}
