import { isMetal } from '../model/material.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import type { PlanPart } from '../facts/specimenFacts.ts';
import { findWaterRefusals } from './findWaterRefusals.ts';
import { isBareMetalUnder } from '../film/isBareMetalUnder.ts';
import { capitalise, listNames, nameOf } from '../words/names.ts';
import { sayDay } from '../words/sayDay.ts';
import type { PlanContext } from './planContext.ts';
import type { PlannedTask, PlanNotice } from './planTypes.ts';
import { sayIdleAnswers } from './sayIdleAnswers.ts';
import { listLowBakeRefusals } from './rules/bakeRules.ts';
import { findWornWheel } from './rules/cleaningRules.ts';
import { isPowdered } from './rules/isPowdered.ts';
import { selectMends } from './rules/mendingRules.ts';
import { planBend } from './rules/straightenRules.ts';

/** What was left out of the plan or goes another way than the school says, and why. */
export function createNotices(context: PlanContext, tasks: readonly PlannedTask[]): PlanNotice[] {
  const { input } = context;
  return [
    ...input.parts.flatMap((part) => createPartNotices(part, context)),
    ...(input.scope !== 'clean only'
      ? [
          ...describeRefusedBakes(context),
          ...describeOneSet(context),
          ...describeBareParts(context),
          ...describeUnprimed(context),
          ...describeDoneOtherwise(context),
          ...describeLongWatches(tasks, context),
          ...sayIdleAnswers(context).map((words) => notice('answer without effect', [], words)),
        ]
      : [notice('water', [], sayWater(context, tasks))]),
  ];
}

/** Who may be washed, of those that are cleaned only. */
function sayWater(context: PlanContext, tasks: readonly PlannedTask[]): string {
  const refusals = findWaterRefusals(context);
  if (refusals.length) return `No water on this model: ${listNames(refusals)}. Brush and cloth only.`;
  return tasks.some(({ act }) => act === 'wash-once')
    ? 'Nothing on it forbids water: it is washed once, after the dust is off.'
    : 'Nothing on it forbids water, should the brush not do: once, with a drop of soap. It is not planned.';
}

const notice = (kind: PlanNotice['kind'], parts: readonly PlanPart[], words: string): PlanNotice => ({
  ...{ kind, words, taskKeys: [] },
  partKeys: parts.map((part) => part.key),
});

function createPartNotices(part: PlanPart, context: PlanContext): PlanNotice[] {
  const { input, pieces } = context;
  const say = (kind: PlanNotice['kind'], words: string) => [notice(kind, [part], words)];
  if (isPestSuspect(part))
    return say(
      'left alone',
      `Signs of pest on the ${nameOf(part)}. No bath, heat, clamp or blasting; nothing is planned for it but keeping it dry.`,
    );
  const name = nameOf(part);
  if (pieces.isLeftAlone(part.key))
    return say('left alone', `The ${name} stays joined to a part with signs of pest and is left alone.`);
  if (input.scope === 'clean only') return [];
  if (part.newPart && !part.newPart.isHere) return say('on its way', describeOnItsWay(part, context));
  if (part.state === 'missing') return [];
  if (part.leftOff.length && !part.isKept)
    return say(
      'kept',
      `Only repairs are asked for: ${listNames(part.leftOff)} planned for the ${name} ${part.leftOff.length > 1 ? 'are' : 'is'} left off.`,
    );
  if (part.isKept)
    return part.leftOff.length
      ? say(
          'kept',
          `The ${name} is kept as it is: ${listNames(part.leftOff)} planned for it ${part.leftOff.length > 1 ? 'are' : 'is'} left off.`,
        )
      : [];
  const sheltered = pieces.findSheltered(part.key);
  const bend = planBend(part, context);
  return [
    ...(sheltered && isMetal(part.material) && context.strippingOf(part) && !part.done.stripped
      ? say(
          'keeps paint',
          `The ${name} keeps its old paint: the ${nameOf(sheltered)} stays in, and stripper would reach it.`,
        )
      : []),
    ...(bend?.kind === 'refused'
      ? say('not straightened', `Not straightened: the ${name}. ${capitalise(bend.reason)}.`)
      : []),
    ...selectMends(part, context).flatMap(({ finding, advice }) =>
      advice.best === null
        ? say('not mended', `The ${name} cannot be mended (${finding.kind}): ${advice.because}. Replace it.`)
        : [],
    ),
  ];
}

/** What waits for the post, and what does not. */
function describeOnItsWay(part: PlanPart, { input, partOf }: PlanContext): string {
  const wants = part.wants.filter((want) => want.kind === 'part' && want.state !== 'waived' && want.state !== 'solved');
  const days = wants.flatMap((want) => want.dueOn ?? []).sort();
  const isOrdered = wants.length > 0 && wants.every((want) => want.state === 'ordered');
  const due = days.length ? `, due ${sayDay(days.at(-1)!)}` : '';
  const beside = input.opening
    .filter((joint) => joint.partKeys.includes(part.key))
    .flatMap((joint) => joint.partKeys.filter((key) => key !== part.key && partOf(key).state !== 'missing'))
    .filter((key) => partOf(key).coats.length > 0 || partOf(key).painted);
  const names = [...new Set(beside)].map((key) => nameOf(partOf(key)));
  const waits = names.length ? `No paint goes on the ${listNames(names)} before that; all else` : 'All else';
  return `${isOrdered ? 'Ordered' : 'Not ordered yet'}: new ${nameOf(part)}${due}. To be tried${part.coats.length || isMetal(part.material) ? ', prepared and painted' : ' on'} when here. ${waits} goes on.`;
}

/** Every reason: one alone would be talked away. Parts with the same reasons share a line. */
function describeRefusedBakes(context: PlanContext): PlanNotice[] {
  const { option, bakeRefusals, workable } = context;
  const bake = option('S6') === 'powder' ? 'powder' : option('S19') === 'low bake' ? 'low bake' : null;
  if (!bake) return [];
  const refused = new Map<string, PlanPart[]>();
  for (const part of workable) {
    if (!part.coats.some((coat) => coat.kind === 'colour') || isPowdered(part, context)) continue;
    if (bake === 'powder' && part.done.finish !== null) continue;
    const reasons = bake === 'powder' ? bakeRefusals(part, bake) : listLowBakeRefusals(part, context);
    const said = reasons.map((reason) => `${capitalise(reason)}.`).join(' ');
    if (said) refused.set(said, [...(refused.get(said) ?? []), part]);
  }
  const instead = bake === 'powder' ? 'Sprayed instead.' : 'Dried in air instead.';
  return [...refused].map(([said, parts]) =>
    notice('not baked', parts, `Not baked: the ${listNames(parts.map(nameOf))}. ${said} ${instead}`),
  );
}

function describeOneSet(context: PlanContext): PlanNotice[] {
  if (context.option('S14') !== 'best of two sets' || context.input.hasSecondWheels) return [];
  const wheels = context.workable.filter((part) => findWornWheel(part, context));
  if (wheels.length === 0) return [];
  const words = `Only one set of the ${listNames(wheels.map(nameOf))} is here: they are cleaned and stay. Add a second example to pick from two, or answer otherwise at Finish.`;
  return [notice('one set of wheels', wheels, words)];
}

function describeBareParts(context: PlanContext): PlanNotice[] {
  const bare = context.workable.filter(
    (part) => isMetal(part.material) && context.strippingOf(part)?.best && part.coats.length === 0,
  );
  if (bare.length === 0) return [];
  const names = listNames(bare.map(nameOf));
  const isLate = bare.every((part) => part.done.stripped !== null);
  return [
    notice(
      'no coat planned',
      bare,
      isLate
        ? `Stripped and bare, and no coat is planned: ${names}. Plan one at Finish, or the record will say so.`
        : `Stripped, but no coat is planned yet: ${names}. Plan one at Finish before the paint comes off.`,
    ),
  ];
}

/** What would be refused when it is logged is told when it is planned. */
function describeUnprimed(context: PlanContext): PlanNotice[] {
  const unprimed = context.workable.filter((part) => {
    const hasGround =
      [...part.coats, ...part.done.coatsOn].some((coat) => coat.kind === 'primer') ||
      (part.painted && !context.isStripped(part));
    const isPowder = isPowdered(part, context);
    return part.coats.some((coat) => isBareMetalUnder(coat.kind, part.material, { hasGround, isPowder }));
  });
  return unprimed.map((part) =>
    notice(
      'no primer',
      [part],
      `Nothing holds on bare ${part.material}: no primer is planned for the ${nameOf(part)}. Plan one at Finish; without it the coat is refused when it is logged.`,
    ),
  );
}

/** A decision that disagrees with work done is told, not applied. */
function describeDoneOtherwise({ workable, option, input }: PlanContext): PlanNotice[] {
  const notices: PlanNotice[] = [];
  const say = (parts: readonly PlanPart[], words: (names: string) => string) => {
    if (parts.length) notices.push(notice('done otherwise before', parts, words(listNames(parts.map(nameOf)))));
  };
  for (const [school, isFor] of [
    ['S11', isMetal],
    ['S18', (material: PlanPart['material']) => !isMetal(material)],
  ] as const) {
    const now = option(school);
    // Nobody decided: then there is nothing that disagrees. Grit only follows the wet pass.
    if (input.decisions[school] === undefined || now === 'blast') continue;
    const byMethod = new Map<string, PlanPart[]>();
    for (const part of workable) {
      const { stripped } = part.done;
      if (stripped && stripped !== now && isFor(part.material))
        byMethod.set(stripped, [...(byMethod.get(stripped) ?? []), part]);
    }
    for (const [method, parts] of byMethod)
      say(
        parts,
        (names) =>
          `Stripped already with ${method}: the ${names}. “${now}” holds only for what is still to be stripped.`,
      );
  }
  const wantsPowder = option('S6') === 'powder';
  say(
    workable.filter((part) => part.done.finish === (wantsPowder ? 'sprayed' : 'powdered')),
    (names) =>
      wantsPowder
        ? `Sprayed already: the ${names}. Powder goes on bare metal only, so the paint stays.`
        : `Powdered already: the ${names}. That stays.`,
  );
  return notices;
}

/** What is watched ends inside a bench session: never handed on, never left alone. */
function describeLongWatches(tasks: readonly PlannedTask[], { input: { sessionMin } }: PlanContext): PlanNotice[] {
  const long = tasks.filter((task) => task.watchedMin > 0 && task.handsOnMin + task.watchedMin > sessionMin);
  if (long.length === 0) return [];
  const names = listNames(long.map((task) => `“${task.title}” (${task.handsOnMin + task.watchedMin} min)`));
  return [
    {
      kind: 'too long to watch',
      partKeys: [...new Set(long.flatMap((task) => task.partKeys))],
      taskKeys: long.map((task) => task.key),
      words: `The longest bench session is ${sessionMin} min, too short to watch: ${names}. Make a longer one for it.`,
    },
  ];
}
