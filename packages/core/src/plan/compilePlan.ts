import { createClosingTasks } from './closingTasks.ts';
import { createFinishingTasks } from './finishingTasks.ts';
import { linkTasks, type Links } from './linkTasks.ts';
import { createOpeningTasks } from './openingTasks.ts';
import type { CompiledPlan, PlanInput, TaskDraft } from './planTypes.ts';
import { createPreparationTasks } from './preparationTasks.ts';
import { reduceLinks, sortTasks } from './sortTasks.ts';
import { createStrippingTasks, isBentInCompany, isStrippable } from './strippingTasks.ts';
import { isPestSuspect } from './chooseTreatment.ts';
import { describePieces, type Pieces } from './describePieces.ts';

/**
 * Compiles what is known of one specimen into a task network: the tasks of every station, linked by the order rules in
 * force, in an order that satisfies all links. Deterministic. Minutes are planning estimates.
 *
 * Rules that contradict each other are returned as the shortest cycle, in words. Notices say what was left out and why.
 */
export function compilePlan(input: PlanInput): CompiledPlan {
  const pieces = describePieces(input.parts, input.scope === 'full' ? input.closed : []);
  const tasks = createTasks(input, pieces);
  const links = linkTasks(tasks, input);
  const sorted = sortTasks(
    tasks.map((task) => task.key),
    links,
  );
  const byKey = new Map(tasks.map((task) => [task.key, task]));
  if (sorted.kind === 'cycle') {
    return { kind: 'contradiction', cycle: sorted.keys, because: describeCycle(sorted.keys, links, byKey) };
  }
  const reduced = reduceLinks(sorted.keys, links);
  return {
    kind: 'plan',
    tasks: sorted.keys.map((key, seq) => ({ ...byKey.get(key)!, seq, after: reduced.get(key)! })),
    notices: createNotices(input, pieces),
  };
}

/** A cycle in words: each of its tasks waits for the one before, and why. */
function describeCycle(keys: readonly string[], links: Links, byKey: ReadonlyMap<string, TaskDraft>): string {
  const waits = keys.slice(1).map((key, i) => {
    const link = links.get(key)!.find((one) => one.key === keys[i])!;
    const rule = /^O\d/.test(link.rule) ? ` (${link.rule})` : '';
    return `“${byKey.get(key)!.title}” waits for “${byKey.get(link.key)!.title}”: ${link.because}${rule}`;
  });
  return `These wait for each other. ${waits.join('; ')}.`;
}

function createTasks(input: PlanInput, pieces: Pieces): TaskDraft[] {
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
    ...createOpeningTasks(input, pieces),
    ...createStrippingTasks(input, pieces),
    ...createFinishingTasks(input, pieces),
    ...createClosingTasks(input),
    signOff,
  ];
}

/** What was left out of the plan, and why. */
function createNotices(input: PlanInput, pieces: Pieces): string[] {
  return input.parts.flatMap((part): string[] => {
    if (isPestSuspect(part))
      return [
        `${part.name}: signs of pest. No bath, heat, clamp or blasting; nothing is planned for it but keeping it dry.`,
      ];
    const name = part.name.toLowerCase();
    if (pieces.isLeftAlone(part.key))
      return [`The ${name} stays joined to a part with signs of pest and is left alone.`];
    const plastic = pieces.findShelteredPlastic(part.key);
    if (input.scope === 'full' && plastic && isStrippable(part))
      return [
        `The ${name} keeps its old paint: the ${plastic.name.toLowerCase()} stays in, and stripper would reach it (O9).`,
      ];
    return isBentInCompany(part, pieces)
      ? [`The ${name} is not straightened while it is joined to other parts: it is bent warm and alone.`]
      : [];
  });
}
