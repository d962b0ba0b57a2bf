import type { Workshop } from './workshop.ts';

/** What hangs together in a workshop, by task. */
export interface Chains {
  /** Tasks that go first. */
  readonly before: readonly (readonly number[])[];
  readonly after: readonly (readonly number[])[];
  /** The task and all that must follow it by a latest, with what lies between them, each after what it follows. */
  readonly together: readonly (readonly number[])[];
  /** How many tasks lie before each on the longest way. */
  readonly rank: ArrayLike<number>;
}

export function findChains({ tasks }: Workshop): Chains {
  const before = tasks.map(({ after }) => after.map(({ task }) => task));
  const after: number[][] = tasks.map(() => []);
  const bound: number[][] = tasks.map(() => []);
  tasks.forEach((task, index) => {
    for (const link of task.after) {
      after[link.task]!.push(index);
      if (link.spans.at(-1)!.to !== Infinity) bound[link.task]!.push(index);
    }
  });
  const rank = rankTasks(before);
  const below = (task: number) => reach([task], after);
  const together = tasks.map((_, task) => {
    if (bound[task]!.length === 0) return [task];
    const own = below(task);
    const chain = reach([task], bound);
    // What must be done between two of them belongs to them.
    for (const one of [...chain]) for (const earlier of reach([one], before)) if (own.has(earlier)) chain.add(earlier);
    chain.add(task);
    return [...chain].sort((a, b) => rank[a]! - rank[b]!);
  });
  return { before, after, together, rank };
}

/** All that is reached from some, themselves included. */
export function reach(from: readonly number[], next: readonly (readonly number[])[]): Set<number> {
  const seen = new Set(from);
  for (const one of seen) for (const other of next[one]!) seen.add(other);
  return seen;
}

function rankTasks(before: readonly (readonly number[])[]): Int32Array {
  const ranks = new Int32Array(before.length).fill(-1);
  const rankOf = (task: number): number => {
    if (ranks[task]! < 0) ranks[task] = before[task]!.reduce((most, one) => Math.max(most, rankOf(one) + 1), 0);
    return ranks[task]!;
  };
  before.forEach((_, task) => rankOf(task));
  return ranks;
}
