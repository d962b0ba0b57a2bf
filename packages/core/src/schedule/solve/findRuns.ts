import { isKeptInGun, type WorkPlan, type Workshop } from './workshop.ts';

/** Sprays with the next one of their colour, where nobody cleans the gun in between; of those that have a place. */
export function findRuns(
  { tasks, gun }: Pick<Workshop, 'tasks' | 'gun'>,
  starts: WorkPlan['starts'],
): Map<number, number> {
  const sprays = tasks.flatMap((task, i) => (task.gun === null || Number.isNaN(starts[i]!) ? [] : [i]));
  sprays.sort((a, b) => starts[a]! - starts[b]! || a - b);
  return new Map(
    sprays.flatMap((task, i): [number, number][] => {
      const next = sprays[i + 1];
      if (next === undefined || tasks[next]!.gun !== tasks[task]!.gun) return [];
      return isKeptInGun(gun, starts[task]! + tasks[task]!.handsMin, starts[next]!) ? [[task, next]] : [];
    }),
  );
}
