import type { Chains } from './chains.ts';
import { computeHeldMin, type Workshop } from './workshop.ts';

/** From the beginning of each task to the end of its job, when nothing else holds it up, minutes. */
export function computeTails({ tasks }: Workshop, { after }: Chains): Float64Array {
  const tails = new Float64Array(tasks.length).fill(NaN);
  const tailOf = (task: number): number => {
    if (Number.isNaN(tails[task]!)) {
      const next = after[task]!.map(
        (one) => tailOf(one) + tasks[one]!.after.find((link) => link.task === task)!.spans[0]!.from,
      );
      tails[task] = Math.max(
        computeHeldMin(tasks[task]!, 'passive'),
        computeHeldMin(tasks[task]!, 'watched') + Math.max(0, ...next),
      );
    }
    return tails[task]!;
  };
  tasks.forEach((_, task) => tailOf(task));
  return tails;
}
