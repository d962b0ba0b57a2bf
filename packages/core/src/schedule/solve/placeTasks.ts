import type { Chains } from './chains.ts';
import { computeDoneMin } from './workshop.ts';
import type { WorkshopLines } from './workshopLines.ts';

/** A chain whose windows do not meet the free hours after so many tries has no place. */
const MOST_TRIES = 400;

/**
 * Gives every task of the list a place, one after the other, each as early as it can be (serial generation), what it waits for
 * before it. What must follow a task by a latest is placed with it: where that does not fit, the task moves on by what was lacking.
 * Null once all have one; else the task that has none: the lines are then of no use.
 */
export function placeTasks(lines: WorkshopLines, chains: Chains, order: readonly number[]): number | null {
  for (const task of order) {
    const stuck = placeTask(lines, chains, task, new Set());
    if (stuck !== null) return stuck;
  }
  return null;
}

/** `held`: tasks whose place is being looked for already, with what they follow. */
function placeTask(lines: WorkshopLines, chains: Chains, task: number, held: ReadonlySet<number>): number | null {
  if (lines.isPlaced(task)) return null;
  const together = chains.together[task]!.filter((one) => !lines.isPlaced(one) && !held.has(one));
  const own = new Set([...held, ...together]);
  for (const one of together)
    for (const earlier of chains.before[one]!) {
      const stuck = own.has(earlier) ? null : placeTask(lines, chains, earlier, own);
      if (stuck !== null) return stuck;
      // What went before took this one along.
      if (lines.isPlaced(task)) return null;
    }
  let from = 0;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const lacking = placeChain(lines, together, from);
    if (lacking === null) return null;
    if (lacking === Infinity) return task;
    from = lacking;
  }
  return task;
}

/** Null once all have a place; else from when on the first is to be tried next, with none of them placed. */
function placeChain(lines: WorkshopLines, together: readonly number[], from: number): number | null {
  const [first] = together;
  for (const [i, task] of together.entries()) {
    const fit = lines.findFit(task, i === 0 ? from : 0);
    if (fit) {
      lines.add(task, fit);
      continue;
    }
    const start = lines.starts[first!]!;
    const late = i === 0 ? null : lines.findFit(task, 0, true);
    const next = late === null ? Infinity : start + Math.max(1, computeLateness(lines, task, late.start));
    for (const one of together.slice(0, i).reverse()) lines.remove(one);
    return next;
  }
  return null;
}

/** By how much a start lies behind the last window of what goes before. */
function computeLateness({ workshop: { tasks }, starts }: WorkshopLines, index: number, start: number): number {
  return tasks[index]!.after.reduce((most, { task, spans }) => {
    const latest = computeDoneMin(tasks[task]!, starts[task]!) + spans.at(-1)!.to;
    return latest === Infinity ? most : Math.max(most, start - latest);
  }, 0);
}
