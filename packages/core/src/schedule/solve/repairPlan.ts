import type { Chains } from './chains.ts';
import { findRuns } from './findRuns.ts';
import { placeTasks } from './placeTasks.ts';
import type { WorkPlan, Workshop } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

/**
 * A plan after something changed: whatever can stays where it was, by the same hands; the rest is placed anew, in the order in which
 * it was planned. What finds no place beside all that stays takes with it what it must follow by a latest, then its job. `before` has
 * NaN for what had no place. Null where even that is not enough.
 */
export function repairPlan(workshop: Workshop, chains: Chains, before: WorkPlan): WorkshopLines | null {
  const kept = new Set(workshop.tasks.flatMap((_, task) => (Number.isNaN(before.starts[task]!) ? [] : [task])));
  for (;;) {
    const [lines, stuck] = placeBesideKept(workshop, chains, before, kept);
    if (stuck === null) return lines;
    const { job } = workshop.tasks[stuck]!;
    const bound = chains.together.flatMap((chain) => (chain.includes(stuck) ? chain : []));
    const ofJob = workshop.tasks.flatMap((task, i) => (task.job === job ? [i] : []));
    const loose = [bound, ofJob].find((some) => some.some((task) => kept.has(task)));
    if (!loose) return null;
    for (const task of loose) kept.delete(task);
  }
}

/** With the first task that has no place, where one has none. */
function placeBesideKept(
  workshop: Workshop,
  chains: Chains,
  { starts, who }: WorkPlan,
  kept: ReadonlySet<number>,
): [lines: WorkshopLines, stuck: number | null] {
  const first = (task: number) => (Number.isNaN(starts[task]!) ? Infinity : starts[task]!);
  const inOrder = workshop.tasks
    .map((_, task) => task)
    .sort((a, b) => (first(a) === first(b) ? a - b : first(a) - first(b)));
  const stays = inOrder.filter((task) => kept.has(task));
  const runs = findRuns(
    workshop,
    workshop.tasks.map((_, task) => (kept.has(task) ? starts[task]! : NaN)),
  );
  for (;;) {
    const lines = new WorkshopLines(workshop);
    for (const task of stays) {
      const fit = lines.fitAt(task, starts[task]!, who[task]!, runs.has(task));
      if (fit) lines.add(task, fit);
    }
    // Whoever does not clean the gun relies on the next spray: where that cannot stay, they clean it.
    const alone = [...runs].filter(([task, next]) => lines.isPlaced(task) && !lines.isPlaced(next));
    if (alone.length === 0) return [lines, placeTasks(lines, chains, inOrder)];
    for (const [task] of alone) runs.delete(task);
  }
}
