import { isMetal } from '../model/material.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import { sessionOf, type PlanContext } from './planContext.ts';
import type { PlanPart, TaskDraft } from './planTypes.ts';
import { isPowdered, willBeGlued } from './rules/bakeRules.ts';
import { planBend, selectMends } from './rules/mendingRules.ts';
import { capitalise, listNames, nameOf } from './rules/planRule.ts';

/** What was left out of the plan or goes another way than the school says, and why. */
export function createNotices(context: PlanContext, tasks: readonly TaskDraft[]): string[] {
  const { input } = context;
  return [
    ...input.parts.flatMap((part) => createPartNotices(part, context)),
    ...(input.scope === 'full'
      ? [...describeRefusedBakes(context), ...describeBareParts(context), ...describeLongWatches(tasks, context)]
      : []),
  ];
}

function createPartNotices(part: PlanPart, context: PlanContext): string[] {
  const { input, pieces } = context;
  if (isPestSuspect(part))
    return [
      `${part.name}: signs of pest. No bath, heat, clamp or blasting; nothing is planned for it but keeping it dry.`,
    ];
  const name = nameOf(part);
  if (pieces.isLeftAlone(part.key)) return [`The ${name} stays joined to a part with signs of pest and is left alone.`];
  if (input.scope !== 'full' || part.state === 'missing') return [];
  const plastic = pieces.findShelteredPlastic(part.key);
  const bend = planBend(part, context);
  return [
    ...(plastic && isMetal(part.material) && context.strippingOf(part)
      ? [`The ${name} keeps its old paint: the ${nameOf(plastic)} stays in, and stripper would reach it (O9).`]
      : []),
    ...(bend?.kind === 'refused' ? [`The ${name} is not straightened: ${bend.reason}.`] : []),
    ...selectMends(part, context).flatMap(({ finding, advice }) =>
      advice.best === null
        ? [`The ${name} is ${finding.kind} and cannot be mended: ${advice.because}. Replace it.`]
        : [],
    ),
  ];
}

/** Every reason: one alone would be talked away. Parts with the same reasons share a line. */
function describeRefusedBakes(context: PlanContext): string[] {
  const { option, bakeRefusals, workable } = context;
  const bake = option('S6') === 'powder' ? 'powder' : option('S19') === 'low bake' ? 'low bake' : null;
  if (!bake) return [];
  const names = new Map<string, string[]>();
  for (const part of workable) {
    if (!part.coats.some((coat) => coat.kind === 'colour') || isPowdered(part, context)) continue;
    const reasons = [
      ...bakeRefusals(part, bake),
      ...(bake === 'low bake' && willBeGlued(part)
        ? ['it is mended, and nothing glued or filled goes into the oven']
        : []),
    ];
    const said = reasons.map(finish).join(' ');
    if (said) names.set(said, [...(names.get(said) ?? []), nameOf(part)]);
  }
  const instead = bake === 'powder' ? 'Sprayed instead.' : 'Dried in air instead.';
  return [...names].map(([said, parts]) => `Not baked: the ${listNames(parts)}. ${said} ${instead}`);
}

const finish = (reason: string) => `${capitalise(reason)}.`;

function describeBareParts(context: PlanContext): string[] {
  const bare = context.workable.filter(
    (part) => isMetal(part.material) && context.strippingOf(part)?.best && part.coats.length === 0,
  );
  return bare.length
    ? [
        `Stripped, but no coat is planned yet: ${listNames(bare.map(nameOf))}. Plan one at Finish before the paint comes off.`,
      ]
    : [];
}

/** What is watched ends inside a bench session: never handed on, never left alone. */
function describeLongWatches(tasks: readonly TaskDraft[], { input }: PlanContext): string[] {
  const session = sessionOf(input);
  const long = tasks.filter((task) => (task.watchedMin ?? 0) > 0 && task.handsOnMin + task.watchedMin! > session);
  return long.length
    ? [
        `The longest bench session is ${session} min, too short to watch: ${listNames(long.map((task) => `“${task.title}” (${task.handsOnMin + task.watchedMin!} min)`))}. Make a longer one for it.`,
      ]
    : [];
}
