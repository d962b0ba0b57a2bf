import type { TimersView } from '@sardonyx/contract';
import { explainLate } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { TaskRow, TimerRow } from '../../entities/work.ts';

/** All clocks that run or ring, soonest first, and which steps in hand had theirs already. */
export async function readTimers(manager: EntityManager, now: Date): Promise<TimersView> {
  const timers = await manager.find(TimerRow, { where: { acknowledgedAt: IsNull() }, order: { endsAt: 'ASC' } });
  const tasks = await manager.find(TaskRow, {
    select: { id: true, needs: true },
    where: { id: In(timers.flatMap(({ taskId }) => taskId ?? [])) },
  });
  const bathOf = (timer: TimerRow) => tasks.find(({ id }) => id === timer.taskId)?.needs.bath ?? null;
  // An airing that is over has nothing more to say.
  const isShown = (timer: TimerRow) => timer.kind !== 'airing' || Date.parse(timer.endsAt) > now.getTime();
  const had = await manager.query<{ taskId: string }[]>(
    `SELECT DISTINCT timer.taskId FROM task JOIN timer ON timer.taskId = task.id
     WHERE task.state = 'doing' AND timer.acknowledgedAt IS NOT NULL AND timer.startedAt >=
       (SELECT MAX(at) FROM task_log WHERE task_log.taskId = task.id AND act = 'started')`,
  );
  return {
    now: now.toISOString(),
    timers: timers.filter(isShown).map((timer) => ({ ...timer, late: explainLate(timer, bathOf(timer)) })),
    hadClock: had.map(({ taskId }) => taskId),
  };
}
