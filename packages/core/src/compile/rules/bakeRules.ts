import { isMetal } from '../../model/material.ts';
import { isMaterial, type AddedMaterial } from '../../model/process.ts';
import { adviseBake, BAKE_C, BAKE_MIN } from '../../process/adviseBake.ts';
import type { MendMethod } from '../../model/mend.ts';
import type { PlanPart, SharedAct } from '../../facts/specimenFacts.ts';
import { groupBy } from '../../groupBy.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { isPowdered } from './isPowdered.ts';
import { selectMends } from './mendingRules.ts';
import { paintOf } from './coats.ts';
import type { PlanRule } from './planRule.ts';

const watchedMin = BAKE_MIN.warm + BAKE_MIN.hold + BAKE_MIN.cool;

/** Its paint is baked low: the school says so, it is painted, and everything in it stands that. */
function isLowBaked(part: PlanPart, context: PlanContext): boolean {
  const { option } = context;
  return (
    option('S19') === 'low bake' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    !isPowdered(part, context) &&
    listLowBakeRefusals(part, context).length === 0
  );
}

/** Everything in it is asked, what it will be mended with too. */
export function listLowBakeRefusals(part: PlanPart, context: PlanContext): readonly string[] {
  const mended = listMendedWith(part, context);
  const own = context.bakeRefusals(part, 'low bake');
  return mended.length ? [...new Set([...own, ...adviseBake(mended, 'low bake', false).refusals])] : own;
}

/** What holds its mends together, by the time it is baked. */
function listMendedWith(part: PlanPart, context: PlanContext): AddedMaterial[] {
  const methods = selectMends(part, context).map(({ advice }) => advice.best);
  const stays = part.findings.some(({ kind }) => kind === 'earlier repair') ? (['cyanoacrylate bond'] as const) : [];
  return [...new Set([...stays, ...methods.flatMap((method) => (method === null ? [] : MENDED_WITH[method]))])];
}

const MENDED_WITH: Readonly<Record<MendMethod, AddedMaterial>> = {
  'glue and powder': 'cyanoacrylate bond',
  gel: 'cyanoacrylate bond',
  splint: 'cyanoacrylate bond',
  'filler on primer': 'two-part filler',
  resin: 'two-part filler',
  solder: 'soft solder',
  'new piece': 'cyanoacrylate bond',
};

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
          detail: {
            weakest:
              [...context.materialsOf(part), ...listMendedWith(part, context)].find((one) => !isMaterial(one)) ?? null,
          },
        })),
  },
];

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
      uses: [paintOf('powder', colour, 5), ...uses(['powder gun'])],
      detail: { name: colour.name },
    },
    { ...common, act: 'clear-relief', tags: ['clear relief', 'handling'], handsOnMin: 6, uses: uses(['soft brush']) },
    { ...common, act: 'look-cured', tags: ['cured look', 'handling'], handsOnMin: 4 },
  ];
}
