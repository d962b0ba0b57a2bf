import type { Task } from '../../src/model/task.ts';
import type { Timer } from '../../src/model/work.ts';
import { AIRING_MIN, checkRoom } from '../../src/gates/checkStart.ts';
import type { PlannedTask } from '../../src/compile/planTypes.ts';
import { chooseClock } from '../../src/schedule/chooseClock.ts';
import { makeTask, makeTimer } from './planWorld.ts';

interface Interval {
  readonly key: string;
  readonly from: number;
  readonly to: number;
}

const at = (minute: number) => new Date(Date.UTC(2026, 0, 1) + minute * 60_000);
const has = (task: PlannedTask, ...tags: string[]) => task.tags.some((tag) => tags.includes(tag));

/**
 * Two restorers work through a plan as the room rules let them, starting whatever may start. Names every moment at which
 * spark or flame would share the room with vapour, a bath or air that is not changed yet, by intervals of its own.
 */
export function findSparkBesideVapour(tasks: readonly PlannedTask[]): string[] {
  const ends = new Map<string, number>();
  const vapours: Interval[] = [];
  const sparks: Interval[] = [];
  const hands = [0, 0];
  const doing: { task: Task; to: number }[] = [];
  const timers: Timer[] = [];
  const left = [...tasks];
  for (let now = 0, steps = 0; left.length > 0; steps++) {
    if (steps > 20_000) return ['the plan does not come to an end'];
    const running = doing.filter(({ to }) => to > now);
    const free = hands.findIndex((until) => until <= now);
    const next =
      free < 0
        ? undefined
        : left.find(
            (task) =>
              task.after.every((link) => (ends.get(link.key) ?? Infinity) <= now) &&
              checkRoom(
                asTask(task),
                running.map(({ task: one }) => one),
                timers,
                at(now),
              ).length === 0,
          );
    if (!next) {
      now += 5;
      continue;
    }
    left.splice(left.indexOf(next), 1);
    const watched = next.handsOnMin + (next.watchedMin ?? 0);
    const end = now + watched + (next.passiveMin ?? 0);
    // Watched: a person stays with it.
    hands[free] = now + watched;
    doing.push({ task: asTask(next), to: now + watched });
    ends.set(next.key, end);
    const clock = chooseClock(asTask(next));
    const isVapour = has(next, 'vapour', 'bath');
    if (clock && clock.kind !== 'cure')
      timers.push(
        makeTimer({
          id: next.key,
          kind: clock.kind,
          label: next.key,
          endsAt: at(end).toISOString(),
          ...(clock.kind === 'bath' || clock.kind === 'soak' ? { acknowledgedAt: null } : {}),
        }),
      );
    // Somebody stops the clock of a bath when it is over.
    for (const timer of timers)
      if (Date.parse(timer.endsAt) <= at(now).getTime()) Object.assign(timer, { acknowledgedAt: timer.endsAt });
    if (isVapour) {
      timers.push(
        makeTimer({
          id: `${next.key}-air`,
          kind: 'airing',
          label: next.key,
          endsAt: at(end + AIRING_MIN).toISOString(),
        }),
      );
      vapours.push({ key: next.key, from: now, to: end + AIRING_MIN });
    }
    if (has(next, 'spark', 'flame')) sparks.push({ key: next.key, from: now, to: now + watched });
  }
  return sparks.flatMap((spark) =>
    vapours
      .filter((vapour) => vapour.from < spark.to && spark.from < vapour.to)
      .map((vapour) => `${spark.key} beside ${vapour.key}`),
  );
}

const asTask = (task: PlannedTask): Task =>
  makeTask(task.key, {
    title: task.key,
    tags: task.tags,
    watchedMin: task.watchedMin ?? 0,
    passiveMin: task.passiveMin ?? 0,
    needs: task.needs,
    state: 'doing',
  });
