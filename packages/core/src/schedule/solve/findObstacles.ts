import { findRuns } from './findRuns.ts';
import { isIn } from './isInWindows.ts';
import { computeAirMin, computeDoneMin, computeHeldMin, type Span, type WorkPlan, type Workshop } from './workshop.ts';

/** From outside first: that says more than what other tasks do. */
export const OBSTACLES = [
  ...(['not theirs', 'nobody there', 'rain', 'post', 'window', 'too late', 'too soon'] as const),
  ...(['place', 'gun', 'air', 'hands'] as const),
] as const;

/** Why a task cannot begin at a moment, and which other one is in the way (null where none is). */
export interface Obstacle {
  readonly kind: (typeof OBSTACLES)[number];
  readonly task: number | null;
}

/**
 * What is in the way of a task at a start, by this restorer, while all others stay where the plan has them; none where it can be.
 * What follows it is not asked: it moves along.
 */
export function findObstacles(
  workshop: Workshop,
  plan: WorkPlan,
  index: number,
  at: { readonly start: number; readonly who: number },
): Obstacle[] {
  const { tasks, restorers, dry, gun, airingMin, places, inRoom } = workshop;
  const task = tasks[index]!;
  const { start, who } = at;
  const found: Obstacle[] = [];
  const say = (kind: Obstacle['kind'], other: number | null = null) => found.push({ kind, task: other });
  const others = tasks.map((_, i) => i).filter((i) => i !== index);
  const spanOf = (i: number, minutes: number): Span => ({ from: plan.starts[i]!, to: plan.starts[i]! + minutes });
  const own = (minutes: number): Span => ({ from: start, to: start + minutes });

  if (!task.who.includes(who)) say('not theirs');
  const starts = Array.from(plan.starts);
  starts[index] = start;
  const runs = findRuns(workshop, starts);
  const cleaning = (i: number): number => (tasks[i]!.gun === null || runs.has(i) ? 0 : gun.cleaningMin);
  const hands = task.handsMin + cleaning(index);
  const minutes = Math.max(hands, task.handsMin + task.watchedMin);
  if (!restorers[who]?.sessions.some(({ from, to }) => from <= start && start + minutes <= to)) say('nobody there');
  if (start < task.notBefore) say('post');
  if (!isIn(task.within, start)) say('window');
  for (const { task: first, spans } of task.after) {
    const since = start - computeDoneMin(tasks[first]!, plan.starts[first]!);
    if (!isIn(spans, since)) say(since >= spans.at(-1)!.to ? 'too late' : 'too soon', first);
  }
  if (task.isDry && !dry.some(({ from, to }) => from <= start && start + task.handsMin <= to)) say('rain');
  for (const i of others) {
    const handsOf = tasks[i]!.handsMin + cleaning(i);
    if (plan.who[i] === who && meet(own(hands), spanOf(i, handsOf))) say('hands', i);
    if (task.gun !== null && tasks[i]!.gun !== null && meet(own(hands), spanOf(i, handsOf))) say('gun', i);
    const air = tasks[i]!.air;
    if (task.air !== null && air !== null && air !== task.air) {
      if (meet(own(computeAirMin(workshop, task)), spanOf(i, computeAirMin(workshop, tasks[i]!)))) say('air', i);
    }
  }
  for (const clock of inRoom)
    if (task.air !== null && task.air !== clock.air) {
      const span = { from: clock.from, to: clock.to + (clock.air === 'vapour' ? airingMin : 0) };
      if (meet(own(computeAirMin(workshop, task)), span)) say('air');
    }
  for (const hold of task.holds) {
    const span = own(computeHeldMin(task, hold.until));
    const beside = others.filter((i) =>
      tasks[i]!.holds.some(
        (one) => one.place === hold.place && meet(span, spanOf(i, computeHeldMin(tasks[i]!, one.until))),
      ),
    );
    const odd = beside.find((i) =>
      tasks[i]!.holds.some((one) => one.place === hold.place && one.setting !== hold.setting),
    );
    // More than fit at one moment of it, looked at whenever another one begins.
    const full = [start, ...beside.map((i) => plan.starts[i]!)].find(
      (moment) =>
        moment >= span.from &&
        beside.filter((i) => {
          const held = tasks[i]!.holds.find((one) => one.place === hold.place)!;
          const { from, to } = spanOf(i, computeHeldMin(tasks[i]!, held.until));
          return from <= moment && moment < to;
        }).length >= (places[hold.place] ?? 0),
    );
    if (odd !== undefined) say('place', odd);
    else if (full !== undefined) say('place', beside[0] ?? null);
  }
  return found;
}

const meet = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to;
