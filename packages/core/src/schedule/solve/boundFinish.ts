import { computeHeldMin, type Span, type Workshop } from './workshop.ts';

/**
 * Before this minute nobody can be through with everything, whatever the plan: no more hands are there than sessions have, counted
 * for all together and for each alone with what only they can do; and no chain of tasks is shorter than its work and its waits.
 * Cleaning of the gun is added to the hands of all where a number is given (that of a plan, for a bound on plans with as many).
 */
export function boundFinish(workshop: Workshop, cleanings = 0): number {
  const { tasks, restorers, gun } = workshop;
  const everybody = restorers.map((_, i) => i);
  const groups = [everybody, ...everybody.map((one) => [one])];
  const byHands = groups.map((group) => {
    const own = tasks.filter(({ who }) => who.every((one) => group.includes(one)));
    const handsMin = own.reduce((sum, task) => sum + task.handsMin, 0);
    const isAll = group.length === restorers.length;
    return findWhenWorked(
      group.flatMap((one) => restorers[one]!.sessions),
      handsMin + (isAll ? cleanings * gun.cleaningMin : 0),
    );
  });
  return Math.max(0, ...byHands, ...boundChains(workshop));
}

/** When so many minutes of these sessions have passed; sessions of two at a time count twice. */
function findWhenWorked(sessions: readonly Span[], minutes: number): number {
  if (minutes === 0) return 0;
  const edges = sessions.flatMap(({ from, to }) => [
    { at: from, more: 1 },
    { at: to, more: -1 },
  ]);
  edges.sort((a, b) => a.at - b.at || a.more - b.more);
  let [at, there, left] = [0, 0, minutes];
  for (const edge of edges) {
    if (there > 0 && left <= there * (edge.at - at)) return at + left / there;
    left -= there * (edge.at - at);
    at = edge.at;
    there += edge.more;
  }
  return left > 0 ? Infinity : at;
}

/** The earliest end of each task if nothing but its own calendar and what goes before held it up. */
function boundChains({ tasks, restorers }: Workshop): number[] {
  const starts = new Float64Array(tasks.length).fill(NaN);
  const startOf = (index: number): number => {
    if (Number.isNaN(starts[index]!)) {
      const task = tasks[index]!;
      const ready = task.after.map(
        (link) => startOf(link.task) + computeHeldMin(tasks[link.task]!, 'watched') + link.spans[0]!.from,
      );
      const from = Math.max(0, task.notBefore, task.within[0]!.from, ...ready);
      const minutes = computeHeldMin(task, 'watched');
      starts[index] = Math.min(
        ...task.who.map((who) =>
          Math.max(from, restorers[who]!.sessions.find(({ to }) => to >= from + minutes)?.from ?? Infinity),
        ),
      );
    }
    return starts[index]!;
  };
  return tasks.map((task, index) => startOf(index) + computeHeldMin(task, 'passive'));
}
