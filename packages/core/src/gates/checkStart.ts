import type { Refusal } from '../model/refusal.ts';
import type { Task } from '../model/task.ts';
import type { Timer } from '../model/work.ts';
import { sayMinutes } from '../words/sayMinutes.ts';
import { selectOpenLinks, type LinkedTask, type OpenLink } from './openLinks.ts';

/** What may start: predecessors done, their waits over (order rules), and nothing in the room that must not meet it. */
export function checkStart(
  task: Task,
  tasksOfSpecimen: readonly LinkedTask[],
  tasksInRoom: readonly RoomTask[],
  timers: readonly Timer[],
  now: Date,
): Refusal[] {
  if (task.state === 'done') return [{ code: 'already-done', message: `"${task.title}" is done already.` }];
  if (task.state === 'not needed' || task.state === 'set aside')
    return [{ code: 'not-needed', message: `"${task.title}" is no longer in the plan.` }];
  return [...checkLinks(task, tasksOfSpecimen, now), ...checkRoom(task, tasksInRoom, timers, now)];
}

/** What a task still waits for at a moment: what is open before it, what dries, what was done too long ago. */
export const checkLinks = (
  task: Pick<Task, 'after' | 'specimenId' | 'tags' | 'partKeys' | 'of'>,
  tasksOfSpecimen: readonly LinkedTask[],
  at: Date,
): Refusal[] => selectOpenLinks(task, tasksOfSpecimen, at).map((link) => refuseLink(link, at));

function refuseLink({ link, before, kind, from }: OpenLink, now: Date): Refusal {
  const taskId = before.id;
  if (kind === 'open')
    return { code: 'predecessor-open', message: `First "${before.title}": ${link.because}.`, taskId };
  if (kind === 'shut')
    return {
      ...{ code: 'window-shut', taskId },
      message: `The window of "${before.title}" has shut: key the coat (rub it dull, wipe it), say so, and go on.`,
    };
  if (from === null && kind === 'waiting')
    return {
      ...{ code: 'still-waiting', taskId },
      message: `"${before.title}" does not dry in a room as cold as this one: warm it, and read the thermometer again.`,
    };
  if (kind === 'in the gap') {
    const left = sayMinutes((Date.parse(from!) - now.getTime()) / 60_000);
    return {
      ...{ code: 'in-gap', taskId, from: from! },
      message: `The coat of "${before.title}" lifts under another one now: its first window has shut, and the next opens in ${left}.`,
    };
  }
  if (kind === 'waiting') {
    const left = sayMinutes((Date.parse(from!) - now.getTime()) / 60_000);
    return {
      ...{ code: 'still-waiting', taskId, from: from! },
      message: `"${before.title}" was done too short a time ago: ${left} more, or look and say that it is dry or holds.`,
    };
  }
  return {
    ...{ code: 'too-late', taskId },
    message: `"${before.title}" was done more than ${sayMinutes(link.latestMin!)} ago: ${link.because}. Take it back and do it again, or look and say that it is still good.`,
  };
}

/** What is asked of a task that shares the room. */
export type RoomTask = Pick<Task, 'id' | 'title' | 'state'> & { readonly needs: Pick<Task['needs'], 'air'> };

type RoomClock = Pick<Timer, 'label' | 'kind' | 'endsAt' | 'acknowledgedAt'>;

/**
 * Flame, spark or heat never shares the room with vapour or a bath. Vapour is there while such a task is being done, while a
 * clock of a bath, soak, flash-off or vapour still runs, and until the room is aired afterwards.
 */
export function checkRoom(
  task: Pick<RoomTask, 'id' | 'needs'>,
  tasksInRoom: readonly RoomTask[],
  timers: readonly RoomClock[],
  now: Date,
): Refusal[] {
  const others = tasksInRoom.filter((other) => other.id !== task.id && other.state === 'doing');
  const refusals: Refusal[] = [];
  if (task.needs.air === 'spark') {
    for (const other of others.filter(({ needs }) => needs.air === 'vapour')) {
      refusals.push({
        code: 'spark-beside-vapour',
        message: `"${other.title}" is under way: vapour or a bath is in the room. Finish it and air the room before a spark or flame.`,
        taskId: other.id,
      });
    }
    for (const timer of timers.filter((candidate) => isVapourTimer(candidate) && isRunning(candidate, now))) {
      refusals.push({
        code: 'spark-beside-vapour',
        message:
          timer.kind === 'airing'
            ? `The room is still being aired after "${timer.label}". Wait, or say that it is aired, before a spark or flame.`
            : `The clock "${timer.label}" still runs: vapour or a bath is in the room. Wait and air before a spark or flame.`,
      });
    }
  }
  if (task.needs.air === 'vapour') {
    for (const other of others.filter(({ needs }) => needs.air === 'spark')) {
      refusals.push({
        code: 'vapour-beside-spark',
        message: `"${other.title}" is under way and makes sparks or heat. Finish it before vapour or a bath comes into the room.`,
        taskId: other.id,
      });
    }
    for (const timer of timers.filter((candidate) => candidate.kind === 'heat' && isRunning(candidate, now))) {
      refusals.push({
        code: 'vapour-beside-spark',
        message: `The clock "${timer.label}" still runs: something hot is in the room. Wait before vapour or a bath.`,
      });
    }
  }
  return refusals;
}

/** Aired for so long after the last vapour (planning estimate; the product's sheet goes first). */
export const AIRING_MIN = 30;

const isVapourTimer = (timer: RoomClock) => ['bath', 'vapour', 'flash', 'soak', 'airing'].includes(timer.kind);
const isRunning = (timer: RoomClock, now: Date) =>
  timer.acknowledgedAt === null &&
  (timer.kind === 'bath' || timer.kind === 'soak' || Date.parse(timer.endsAt) > now.getTime());
