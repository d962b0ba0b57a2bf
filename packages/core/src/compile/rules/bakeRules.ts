import { isMetal } from '../../model/material.ts';
import { BAKE_C, BAKE_MIN } from '../../process/adviseBake.ts';
import type { PlanCoat, PlanPart, SharedAct } from '../../facts/specimenFacts.ts';
import { groupBy } from '../../groupBy.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import type { PlanRule } from './planRule.ts';

const watchedMin = BAKE_MIN.warm + BAKE_MIN.hold + BAKE_MIN.cool;

/** Powder goes on this part: the school says so and everything in it stands the cure, or it wears powder already. */
export function isPowdered(part: PlanPart, { option, bakeRefusals }: PlanContext): boolean {
  if (part.done.finish !== null) return part.done.finish === 'powdered';
  return (
    option('S6') === 'powder' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    bakeRefusals(part, 'powder').length === 0
  );
}

/** Powder is the coat of all but what is masked on it: that is brushed or sprayed. */
export const isPowderCoat = (part: PlanPart, coat: Pick<PlanCoat, 'areaKind'>, context: PlanContext): boolean =>
  coat.areaKind !== 'mask' && isPowdered(part, context);

/** Its paint is baked low: the school says so, it is painted, and everything in it stands that. */
function isLowBaked(part: PlanPart, context: PlanContext): boolean {
  const { option, bakeRefusals } = context;
  return (
    option('S19') === 'low bake' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    !isPowdered(part, context) &&
    bakeRefusals(part, 'low bake').length === 0 &&
    !isGluedOrWillBe(part)
  );
}

/** Powder and low bake: metal only, alone, with nothing in it that melts. */
export const BAKE_RULES: readonly PlanRule[] = [
  {
    id: 'powder',
    when: 'the school says powder and the part stands the cure',
    serves: ['O19', 'O20', 'O37', 'S6', 'S12', 'N9'],
    create: (context) => createPowderTasks(context.workable.filter((part) => isPowdered(part, context))),
  },
  {
    id: 'low-bake',
    when: 'the school says low bake and nothing in the part melts or lets go',
    serves: ['O20', 'O37', 'S19', 'N9'],
    create: (context) =>
      context.workable
        .filter((part) => isLowBaked(part, context))
        .map((part) => ({
          act: 'low-bake',
          station: 'finish',
          partKeys: [part.key],
          method: context.option('S19'),
          tags: ['low bake', 'heat', 'flame', 'handling'],
          process: 'oven',
          atC: BAKE_C['low bake'],
          hazards: ['oven'],
          handsOnMin: 8,
          watchedMin,
          uses: uses(['oven'], ['contact probe']),
        })),
  },
];

/** Cracks, breaks and old repairs are glued, and nothing glued is baked. */
export const isGluedOrWillBe = (part: PlanPart) =>
  part.done.isMended ||
  part.findings.some(
    ({ kind }) => kind === 'cracked' || kind === 'broken' || kind === 'earlier repair' || kind === 'pitted',
  );

const createOvenRun = (
  act: 'empty-bake' | 'cure',
  tag: 'empty bake' | 'cure',
  partKeys: readonly string[],
): TaskDraft => ({
  ...{ act, station: 'finish', partKeys, process: 'powder bake', atC: BAKE_C.powder, hazards: ['oven'], watchedMin },
  tags: [tag, 'bake', 'heat', 'flame', 'handling'],
  handsOnMin: 8 + 2 * partKeys.length,
  uses: uses(['oven'], ['contact probe']),
});

/**
 * Powder goes on part by part, the oven is shared: one empty run for all, one cure for each colour. What a part has behind it
 * is not asked for again, so a part that comes late gets a run of its own.
 */
function createPowderTasks(parts: readonly PlanPart[]): TaskDraft[] {
  const still = (act: SharedAct) => parts.filter((part) => !part.done.shared.includes(act));
  const cures = groupBy(still('cure'), (part) => colourOf(part)?.name);
  return [
    ...createShared(still('empty-bake'), (partKeys) => createOvenRun('empty-bake', 'empty bake', partKeys)),
    ...createShared(still('wipe-again'), (partKeys) => ({
      act: 'wipe-again',
      station: 'finish',
      partKeys,
      tags: ['wipe again', 'vapour'],
      hazards: ['degreaser'],
      handsOnMin: 2 + 2 * partKeys.length,
      passiveMin: 10,
      uses: uses(['degreasing solvent', 2 * partKeys.length], ['gloves']),
    })),
    ...parts.flatMap((part) => createOwnPowderTasks(part)),
    ...[...cures.values()].flatMap((together) =>
      createShared(together, (partKeys) => createOvenRun('cure', 'cure', partKeys)),
    ),
  ];
}

const colourOf = (part: PlanPart) => part.coats.find((coat) => coat.kind === 'colour');

const createShared = (parts: readonly PlanPart[], create: (partKeys: readonly string[]) => TaskDraft): TaskDraft[] =>
  parts.length ? [create(parts.map((part) => part.key))] : [];

function createOwnPowderTasks(part: PlanPart): TaskDraft[] {
  const colour = colourOf(part);
  if (!colour) return [];
  const common = { station: 'finish' as const, partKeys: [part.key] };
  return [
    {
      ...common,
      act: 'powder',
      colours: [colour.name],
      method: 'powder',
      tags: ['powder', 'body colour', 'spark', 'handling'],
      hazards: ['powder'],
      handsOnMin: 15,
      uses: uses(['powder', 5], ['powder gun']),
      detail: { name: colour.name },
    },
    { ...common, act: 'clear-relief', tags: ['clear relief', 'handling'], handsOnMin: 6, uses: uses(['soft brush']) },
    { ...common, act: 'look-cured', tags: ['cured look', 'handling'], handsOnMin: 4 },
  ];
}
