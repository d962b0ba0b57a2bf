import { findChains } from '../solve/chains.ts';
import { findObstacles, type Obstacle } from '../solve/findObstacles.ts';
import { repairPlan } from '../solve/repairPlan.ts';
import { putAt, type WorkTask } from '../solve/workshop.ts';
import type { EveningsInput, PlannedStart } from './eveningsInput.ts';
import { readPlan, writePlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';
import type { MoveReason } from './replanEvenings.ts';

/** The plan with the task there; or what stands against it. */
export type MovedTask =
  | { readonly kind: 'moved'; readonly plan: EveningsPlan }
  | { readonly kind: 'refused'; readonly because: readonly MoveReason[] };

/** The first whole minute of a session in which something can still begin, ms since 1970. */
export const findFirstMinute = (from: number, now: number): number =>
  Math.ceil(Math.max(from, now) / MINUTE_MS) * MINUTE_MS;

const MINUTE_MS = 60_000;
/** Other tasks may give way in these. */
const GIVES_WAY: readonly Obstacle['kind'][] = ['hands', 'gun', 'place', 'air'];

/** Puts a task where somebody wants it: what is in its way or follows it moves, unless no plan can have it there. */
export function moveTask(
  input: EveningsInput,
  made: PlannableWorkshop,
  plan: EveningsPlan,
  to: PlannedStart,
): MovedTask {
  const { workshop, tasks, begin } = made;
  const index = tasks.findIndex(({ id }) => id === to.taskId);
  const own = readPlan(input, made, plan);
  const at = {
    start: (to.startsAt - begin) / MINUTE_MS,
    who: input.restorers.findIndex(({ id }) => id === to.restorerId),
  };
  const say = (found: readonly Obstacle[]): MovedTask => ({
    kind: 'refused',
    because: found.map(({ kind, task }) => ({ kind, taskId: task === null ? null : tasks[task]!.id })),
  });
  const obstacles = findObstacles(workshop, own, index, at);
  const hard = obstacles.filter(({ kind, task }) => !GIVES_WAY.includes(kind) || task === null);
  if (hard.length > 0) return say(hard);
  const starts = Array.from(own.starts);
  const who = Array.from(own.who);
  for (const { task } of obstacles) if (!tasks[task!]!.isUnderWay) starts[task!] = NaN;
  [starts[index], who[index]] = [at.start, at.who];
  // Whatever else has to move for it, it stays there.
  const there = (task: WorkTask, i: number) => (i === index ? putAt(task, at.start, at.who) : task);
  const kept = { ...workshop, tasks: workshop.tasks.map(there) };
  const lines = repairPlan(kept, findChains(kept), { starts, who });
  if (!lines) return say(obstacles.length > 0 ? obstacles : [{ kind: 'hands', task: null }]);
  return { kind: 'moved', plan: writePlan(input, made, lines) };
}
