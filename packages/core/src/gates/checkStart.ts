import type { Task, Timer } from '../model/work.ts';

/** Why a task may not start now. */
export interface Refusal {
  readonly code:
    | 'predecessor-open'
    | 'already-done'
    | 'not-needed'
    | 'spark-beside-vapour'
    | 'vapour-beside-spark'
    | 'outside-bench-hours'
    | 'tool-not-ready'
    | 'gun-not-clean';
  readonly message: string;
}

/** What may start: predecessors done (order rules) and nothing in the room that must not meet it (O37). */
export function checkStart(
  task: Task,
  tasksOfSpecimen: readonly Task[],
  tasksInRoom: readonly Task[],
  timers: readonly Timer[],
  now: Date,
): Refusal[] {
  if (task.state === 'done') return [{ code: 'already-done', message: `"${task.title}" is done already.` }];
  if (task.state === 'not needed')
    return [{ code: 'not-needed', message: `"${task.title}" is no longer in the plan.` }];
  return [...checkPredecessors(task, tasksOfSpecimen), ...checkRoom(task, tasksInRoom, timers, now)];
}

function checkPredecessors(task: Task, tasks: readonly Task[]): Refusal[] {
  return selectOpenLinks(task, tasks).map(({ title, rule, because }) => ({
    code: 'predecessor-open',
    message: `First "${title}": ${because}${/^O\d/.test(rule) ? ` (${rule})` : ''}.`,
  }));
}

/** The links of a task whose predecessor is still open, with its title. */
export function selectOpenLinks(
  task: Task,
  tasks: readonly Task[],
): { readonly title: string; readonly rule: string; readonly because: string }[] {
  return task.after.flatMap((link) => {
    const before = tasks.find((candidate) => candidate.key === link.key && candidate.specimenId === task.specimenId);
    if (!before || before.state === 'done' || before.state === 'not needed') return [];
    return [{ title: before.title, rule: link.rule, because: link.because }];
  });
}

/**
 * O37: flame, spark or heat never shares the room with vapour or a bath. Vapour is there while such a task is being done,
 * while a clock of a bath, soak, flash-off or vapour still runs, and until the room is aired afterwards.
 */
export function checkRoom(task: Task, tasksInRoom: readonly Task[], timers: readonly Timer[], now: Date): Refusal[] {
  const others = tasksInRoom.filter((other) => other.id !== task.id && other.state === 'doing');
  const refusals: Refusal[] = [];
  if (isIgnition(task)) {
    for (const other of others.filter(isVapour)) {
      refusals.push({
        code: 'spark-beside-vapour',
        message: `"${other.title}" is under way: vapour or a bath is in the room. Finish it and air the room before a spark or flame (O37).`,
      });
    }
    for (const timer of timers.filter((candidate) => isVapourTimer(candidate) && isRunning(candidate, now))) {
      refusals.push({
        code: 'spark-beside-vapour',
        message:
          timer.kind === 'airing'
            ? `The room is still being aired after "${timer.label}". Wait, or say that it is aired, before a spark or flame (O37).`
            : `The clock "${timer.label}" still runs: vapour or a bath is in the room. Wait and air before a spark or flame (O37).`,
      });
    }
  }
  if (isVapour(task)) {
    for (const other of others.filter(isIgnition)) {
      refusals.push({
        code: 'vapour-beside-spark',
        message: `"${other.title}" is under way and makes sparks or heat. Finish it before vapour or a bath comes into the room (O37).`,
      });
    }
    for (const timer of timers.filter((candidate) => candidate.kind === 'heat' && isRunning(candidate, now))) {
      refusals.push({
        code: 'vapour-beside-spark',
        message: `The clock "${timer.label}" still runs: something hot is in the room. Wait before vapour or a bath (O37).`,
      });
    }
  }
  return refusals;
}

const isIgnition = (task: Task) => task.tags.includes('spark') || task.tags.includes('flame');

/** Aired for so long after the last vapour (planning estimate; the product's sheet goes first). */
export const AIRING_MIN = 30;

/** Such a task leaves vapour in the room when it is done. */
export const isVapour = (task: Pick<Task, 'tags'>) => task.tags.includes('vapour') || task.tags.includes('bath');
const isVapourTimer = (timer: Timer) => ['bath', 'vapour', 'flash', 'soak', 'airing'].includes(timer.kind);
const isRunning = (timer: Timer, now: Date) =>
  timer.acknowledgedAt === null &&
  (timer.kind === 'bath' || timer.kind === 'soak' || Date.parse(timer.endsAt) > now.getTime());
