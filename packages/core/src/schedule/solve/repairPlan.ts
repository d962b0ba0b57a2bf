import type { Chains } from './chains.ts';
import { placeTasks } from './placeTasks.ts';
import { isKeptInGun, type WorkPlan, type Workshop } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

/**
 * A plan after something changed: whatever can stays where it was, by the same hands; the rest is placed anew, in the order in which
 * it was planned. `before` has NaN for what had no place. Null where something finds none beside what stays.
 */
export function repairPlan(workshop: Workshop, chains: Chains, before: WorkPlan): WorkshopLines | null {
  const had = (task: number) => before.starts[task]!;
  const isHad = (task: number) => !Number.isNaN(had(task));
  const inOrder = workshop.tasks
    .map((_, task) => task)
    .sort((a, b) => (isHad(a) ? 0 : 1) - (isHad(b) ? 0 : 1) || had(a) - had(b) || a - b);
  const runs = findRuns(workshop, before, inOrder.filter(isHad));
  for (;;) {
    const lines = new WorkshopLines(workshop);
    for (const task of inOrder) {
      if (!isHad(task)) continue;
      const fit = lines.fitAt(task, had(task), before.who[task]!, runs.has(task));
      if (fit) lines.add(task, fit);
    }
    // Whoever does not clean the gun relies on the next spray: where that cannot stay, they clean it.
    const alone = [...runs].filter(([task, next]) => lines.isPlaced(task) && !lines.isPlaced(next));
    if (alone.length === 0) return placeTasks(lines, chains, inOrder) === null ? lines : null;
    for (const [task] of alone) runs.delete(task);
  }
}

/** Sprays with the next one of their colour, where nobody cleans the gun in between. */
function findRuns({ tasks, gun }: Workshop, { starts }: WorkPlan, inOrder: readonly number[]): Map<number, number> {
  const sprays = inOrder.filter((task) => tasks[task]!.gun !== null);
  return new Map(
    sprays.flatMap((task, i): [number, number][] => {
      const next = sprays[i + 1];
      if (next === undefined || tasks[next]!.gun !== tasks[task]!.gun) return [];
      return isKeptInGun(gun, starts[task]! + tasks[task]!.handsMin, starts[next]!) ? [[task, next]] : [];
    }),
  );
}
