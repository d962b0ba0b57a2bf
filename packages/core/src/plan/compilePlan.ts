import { createClosingTasks } from './closingTasks.ts';
import { createFinishingTasks } from './finishingTasks.ts';
import { linkTasks } from './linkTasks.ts';
import { createOpeningTasks } from './openingTasks.ts';
import type { CompiledPlan, PlanInput, TaskDraft } from './planTypes.ts';
import { createPreparationTasks } from './preparationTasks.ts';
import { reduceLinks, sortTasks } from './sortTasks.ts';
import { createStrippingTasks, isPestSuspect } from './strippingTasks.ts';

/**
 * Compiles what is known of one specimen into a task network: the tasks of every station, linked by the order rules in
 * force, in an order that satisfies all links. Deterministic. Minutes are planning estimates.
 *
 * Rules that contradict each other are returned as the shortest cycle, in words. Notices say what was left out and why.
 */
export function compilePlan(input: PlanInput): CompiledPlan {
  const tasks = createTasks(input);
  const links = linkTasks(tasks, input);
  const sorted = sortTasks(
    tasks.map((task) => task.key),
    links,
  );
  const byKey = new Map(tasks.map((task) => [task.key, task]));
  if (sorted.kind === 'cycle') {
    const titles = sorted.keys.map((key) => byKey.get(key)!.title);
    return { kind: 'contradiction', cycle: sorted.keys, because: `These wait for each other: ${titles.join(' ← ')}.` };
  }
  const reduced = reduceLinks(sorted.keys, links);
  return {
    kind: 'plan',
    tasks: sorted.keys.map((key, seq) => ({ ...byKey.get(key)!, seq, after: reduced.get(key)! })),
    notices: input.parts
      .filter(isPestSuspect)
      .map(
        (part) =>
          `${part.name}: signs of pest. No bath, heat, clamp or blasting; nothing is planned for it but keeping it dry.`,
      ),
  };
}

function createTasks(input: PlanInput): TaskDraft[] {
  const signOff: TaskDraft = {
    key: 'sign-off-photos',
    station: 'sign-off',
    title: 'Photograph it finished, in the poses of the first photos',
    partKeys: [],
    tags: ['sign off'],
    handsOnMin: 10,
    how: 'Same sides, same light as the before-set.',
    because: 'Before and after belong in the record.',
  };
  if (input.scope === 'clean only') return [...createPreparationTasks(input), signOff];
  return [
    ...createPreparationTasks(input),
    ...createOpeningTasks(input),
    ...createStrippingTasks(input),
    ...createFinishingTasks(input),
    ...createClosingTasks(input),
    signOff,
  ];
}
