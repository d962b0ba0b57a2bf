import { reach, type Chains } from '../../../src/schedule/solve/chains.ts';
import type { Workshop } from '../../../src/schedule/solve/workshop.ts';

/** Six orders in which tasks are placed without a search: the usual rules for projects with due dates. */
export function listPriorityOrders({ tasks, jobs }: Workshop, { after }: Chains): Readonly<Record<string, number[]>> {
  const all = tasks.map((_, i) => i);
  const lengthOf = (i: number) => tasks[i]!.handsMin + tasks[i]!.watchedMin + tasks[i]!.passiveMin;
  const tails = new Float64Array(tasks.length).fill(NaN);
  const tailOf = (i: number): number => {
    if (Number.isNaN(tails[i]!)) {
      const next = after[i]!.map((j) => tailOf(j) + tasks[j]!.after.find(({ task }) => task === i)!.spans[0]!.from);
      tails[i] = lengthOf(i) + Math.max(0, ...next);
    }
    return tails[i]!;
  };
  const dueOf = (i: number) => jobs[tasks[i]!.job]!.dueMin ?? Infinity;
  const weightOf = (i: number) => jobs[tasks[i]!.job]!.weight;
  const leftOf = jobs.map((_, job) => tasks.reduce((sum, task) => sum + (task.job === job ? task.handsMin : 0), 0));
  const by = (key: (i: number) => number) => {
    const keys = all.map(key);
    return [...all].sort((a, b) => keys[a]! - keys[b]! || a - b);
  };
  return {
    'earliest due day': by(dueOf),
    'due day by weight': by((i) => dueOf(i) / weightOf(i)),
    'latest start': by((i) => dueOf(i) - tailOf(i)),
    'longest tail': by((i) => -tailOf(i)),
    'shortest job by weight': by((i) => leftOf[tasks[i]!.job]! / weightOf(i)),
    'most that follow': by((i) => -reach([i], after).size),
  };
}
