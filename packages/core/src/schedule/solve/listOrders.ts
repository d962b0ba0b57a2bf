import { reach, type Chains } from './chains.ts';
import { computeTails } from './computeTails.ts';
import { sumHandsOfJobs, type Workshop } from './workshop.ts';

/** Orders in which tasks are placed before anything is searched: the usual rules for work with promised days. */
export function listOrders(workshop: Workshop, chains: Chains): number[][] {
  const { tasks, jobs } = workshop;
  const dueOf = (task: number) => jobs[tasks[task]!.job]!.dueMin ?? Infinity;
  const weightOf = (task: number) => jobs[tasks[task]!.job]!.weight;
  const tails = computeTails(workshop, chains);
  const by = (key: (task: number) => number) => {
    const keys = tasks.map((_, task) => key(task));
    return tasks.map((_, task) => task).sort((a, b) => compare(keys[a]!, keys[b]!) || a - b);
  };
  const handsOf = sumHandsOfJobs(workshop);
  return [
    by(dueOf),
    by((task) => dueOf(task) / weightOf(task)),
    by((task) => dueOf(task) - tails[task]!),
    by((task) => -tails[task]!),
    by((task) => handsOf[tasks[task]!.job]! / weightOf(task)),
    by((task) => -reach([task], chains.after).size),
  ];
}

/** Infinity is no number to take from another. */
const compare = (a: number, b: number) => (a === b ? 0 : a - b);
