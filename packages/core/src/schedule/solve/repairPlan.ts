import type { Chains } from './chains.ts';
import { placeTasks } from './placeTasks.ts';
import type { WorkPlan, Workshop } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

/**
 * A plan after something changed: whatever can stays where it was, by the same hands; the rest is placed anew, in the order in which
 * it was planned. `before` has NaN for what had no place. Null where something finds none beside what stays.
 */
export function repairPlan(workshop: Workshop, chains: Chains, before: WorkPlan): WorkshopLines | null {
  const lines = new WorkshopLines(workshop);
  const had = (task: number) => before.starts[task]!;
  const inOrder = workshop.tasks
    .map((_, task) => task)
    .sort((a, b) => (Number.isNaN(had(a)) ? 1 : 0) - (Number.isNaN(had(b)) ? 1 : 0) || had(a) - had(b) || a - b);
  for (const task of inOrder) {
    if (Number.isNaN(had(task)) || lines.isPlaced(task)) continue;
    const fit = lines.fitAt(task, had(task), before.who[task]!);
    if (fit) lines.add(task, fit);
  }
  return placeTasks(lines, chains, inOrder) === null ? lines : null;
}
