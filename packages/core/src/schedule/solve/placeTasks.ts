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
    const stuck = placeTask(lines, chains, task);
    if (stuck !== null) return stuck;
  }
  return null;
}

function placeTask(lines: WorkshopLines, chains: Chains, task: number): number | null {
  while (!lines.isPlaced(task)) {
    const { together, before } = gather(lines, chains, task);
    const stuck = before === null ? placeTogether(lines, together) : placeTask(lines, chains, before);
    if (stuck !== null) return stuck;
  }
  return null;
}

/**
 * What has to be placed along with a task, each after what it waits for. `before`: something else that has to be placed first, and
 * hangs on none of them; null where nothing has.
 */
function gather(
  lines: WorkshopLines,
  chains: Chains,
  task: number,
): { readonly together: readonly number[]; readonly before: number | null } {
  const unplaced = (some: readonly number[]) => some.filter((one) => !lines.isPlaced(one));
  const own = new Set(unplaced(chains.together[task]!));
  for (const one of own)
    for (const earlier of unplaced(chains.before[one]!)) {
      if (own.has(earlier)) continue;
      const chain = unplaced(chains.together[earlier]!);
      const above = new Set(chain);
      for (const other of above) for (const next of unplaced(chains.before[other]!)) above.add(next);
      // Each waits for a part of the other: only together do they find a place.
      if ([...above].every((other) => !own.has(other))) return { together: [], before: earlier };
      for (const other of chain) own.add(other);
    }
  return { together: [...own].sort((a, b) => chains.rank[a]! - chains.rank[b]!), before: null };
}

/** Null once all have a place; else one that has none, with none of them placed. */
function placeTogether(lines: WorkshopLines, together: readonly number[]): number | null {
  /** From when on each is tried. */
  const from = new Map<number, number>();
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const stuck = together.findIndex((task) => {
      const fit = lines.findFit(task, from.get(task) ?? 0);
      if (fit) lines.add(task, fit);
      return !fit;
    });
    if (stuck < 0) return null;
    const task = together[stuck]!;
    const late = lines.findFit(task, from.get(task) ?? 0, true);
    const lacking = late && findLacking(lines, task, late.start);
    for (const one of together.slice(0, stuck).reverse()) lines.remove(one);
    if (!lacking || !together.includes(lacking.task)) return task;
    from.set(lacking.task, lacking.from);
  }
  return together[0]!;
}

/** What a task follows too late when it starts then, the worst of it, and from when on that had to begin. */
function findLacking(
  { workshop: { tasks }, starts }: WorkshopLines,
  index: number,
  start: number,
): { readonly task: number; readonly from: number } | null {
  let [first, most]: [number | null, number] = [null, -Infinity];
  for (const { task, spans } of tasks[index]!.after) {
    const latest = computeDoneMin(tasks[task]!, starts[task]!) + spans.at(-1)!.to;
    if (latest < Infinity && start - latest > most) [first, most] = [task, start - latest];
  }
  return first === null ? null : { task: first, from: starts[first]! + Math.max(1, most) };
}
