import type { Task, TaskLog } from '../model/task.ts';
import type { TaskTag } from '../model/taskTags.ts';

/** What hours go into: the work itself, keeping tools clean, finding a colour, staying in the room. */
export const HOUR_KINDS = ['work', 'cleaning', 'matching', 'watching'] as const;
export type HourKind = (typeof HOUR_KINDS)[number];

export interface HoursOfKind {
  /** Of all steps that are not set aside or left out, minutes (planning estimates). */
  readonly plannedMin: number;
  /** Of those that are done, as they were planned. */
  readonly doneMin: number;
  /** Of those that were logged from their start to their end: as planned, and as it took. */
  readonly timedPlannedMin: number;
  readonly timedMin: number;
}

export interface Hours {
  readonly kinds: Readonly<Record<HourKind, HoursOfKind>>;
  readonly doneSteps: number;
  /** So many of them have a start and an end in the log. */
  readonly timedSteps: number;
}

type HourTask = Pick<Task, 'id' | 'tags' | 'act' | 'handsOnMin' | 'watchedMin' | 'state'>;
type HourLog = Pick<TaskLog, 'taskId' | 'seq' | 'act' | 'at'>;

/** A step that stood open for longer was left lying: nobody knows how long it took (planning estimate). */
const LONGEST_MIN = 12 * 60;
const CLEANING: readonly TaskTag[] = ['gun ready', 'gun rinsed', 'gun cleaned', 'clean brush'];

/**
 * Hours by kind, planned beside logged. A step counts as logged when its start and its end stand in the log; what was ticked only is done
 * and nobody knows how long it took. Its watched minutes are taken to be as planned, the rest is hands.
 */
export function sumHours(tasks: readonly HourTask[], log: readonly HourLog[]): Hours {
  const sums = Object.fromEntries(
    HOUR_KINDS.map((kind) => [kind, { plannedMin: 0, doneMin: 0, timedPlannedMin: 0, timedMin: 0 }]),
  ) as Record<HourKind, { -readonly [K in keyof HoursOfKind]: number }>;
  const lasted = measureSteps(log);
  let [doneSteps, timedSteps] = [0, 0];
  for (const task of tasks) {
    if (task.state === 'set aside' || task.state === 'not needed') continue;
    const kind = kindOf(task);
    const minutes = { [kind]: task.handsOnMin, watching: task.watchedMin };
    const took = task.state === 'done' ? lasted.get(task.id) : undefined;
    if (task.state === 'done') doneSteps++;
    if (took !== undefined) timedSteps++;
    for (const [name, planned] of Object.entries(minutes) as [HourKind, number][]) {
      const sum = sums[name];
      sum.plannedMin += planned;
      if (task.state === 'done') sum.doneMin += planned;
      if (took === undefined) continue;
      sum.timedPlannedMin += planned;
      const watched = Math.min(task.watchedMin, took);
      sum.timedMin += name === 'watching' ? watched : took - watched;
    }
  }
  return { kinds: sums, doneSteps, timedSteps };
}

function kindOf({ tags, act }: HourTask): Exclude<HourKind, 'watching'> {
  if (CLEANING.some((tag) => tags.includes(tag))) return 'cleaning';
  return tags.includes('colour') || act === 'capture-colour' ? 'matching' : 'work';
}

/** Minutes from the last start of a step to its end, by task; none where it was taken back, or lay open too long. */
function measureSteps(log: readonly HourLog[]): Map<string, number> {
  const begun = new Map<string, number>();
  const lasted = new Map<string, number>();
  for (const { taskId, act, at } of [...log].sort((a, b) => a.seq - b.seq)) {
    if (act === 'started') begun.set(taskId, Date.parse(at));
    if (act === 'taken back' || act === 'started') lasted.delete(taskId);
    if (act !== 'done' && act !== 'done otherwise') continue;
    const start = begun.get(taskId);
    const minutes = start === undefined ? NaN : (Date.parse(at) - start) / 60_000;
    if (minutes >= 0 && minutes <= LONGEST_MIN) lasted.set(taskId, minutes);
  }
  return lasted;
}
