import { isMetal } from '../../model/material.ts';
import { BAKE_C } from '../../process/adviseBake.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanPart, TaskDraft } from '../planTypes.ts';
import { uses } from '../../supply/supplies.ts';
import { nameOf, type PlanRule } from './planRule.ts';

/** Until the metal has the oven's temperature, at it, and cooling until it may be touched; minutes (planning estimates). */
const OVEN_MIN = { warm: 15, hold: 10, cool: 30 } as const;
const watchedMin = OVEN_MIN.warm + OVEN_MIN.hold + OVEN_MIN.cool;

const OVEN_HOW =
  'Its own oven, never one for food again. Contact probe on the metal: time counts from the metal reaching it. Small ovens overshoot. Let it cool inside with the door ajar.';

/** Powder goes on this part: the school says so and everything in it stands the cure. */
export function isPowdered(part: PlanPart, { option, bakeRefusals }: PlanContext): boolean {
  return (
    option('S6') === 'powder' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    bakeRefusals(part, 'powder').length === 0
  );
}

/** Its paint is baked low: the school says so, it is painted, and everything in it stands that. */
export function isLowBaked(part: PlanPart, context: PlanContext): boolean {
  const { option, bakeRefusals } = context;
  return (
    option('S19') === 'low bake' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    !isPowdered(part, context) &&
    bakeRefusals(part, 'low bake').length === 0
  );
}

/** Powder and low bake: metal only, alone, with nothing in it that melts. */
export const BAKE_RULES: readonly PlanRule[] = [
  {
    id: 'powder',
    when: 'the school says powder and the part stands the cure',
    serves: ['O19', 'O20', 'O37', 'S6', 'S12', 'N9'],
    create: (context) =>
      context.workable.filter((part) => isPowdered(part, context)).flatMap((part) => createPowderTasks(part, context)),
  },
  {
    id: 'low-bake',
    when: 'the school says low bake and nothing in the part melts or lets go',
    serves: ['O20', 'O37', 'S19', 'N9'],
    create: (context) =>
      context.workable
        .filter((part) => isLowBaked(part, context) && !willBeGlued(part))
        .map((part) => ({
          key: `low-bake:${part.key}`,
          station: 'finish' as const,
          title: `Bake the paint of the ${nameOf(part)} low`,
          partKeys: [part.key],
          tags: ['low bake' as const, 'heat' as const, 'flame' as const, 'handling' as const],
          process: 'oven' as const,
          atC: BAKE_C['low bake'],
          hazards: ['oven'],
          handsOnMin: 8,
          watchedMin,
          how: `Air-dry first, no smell of solvent left. At most ${BAKE_C['low bake']} °C metal (planning estimate), ${OVEN_MIN.hold} minutes. ${OVEN_HOW}`,
          because: `Drying: ${context.because('S19')}`,
          uses: uses(['oven'], ['contact probe']),
        })),
  },
];

/** Cracks, breaks and old repairs are glued, and nothing glued is baked. */
export const willBeGlued = (part: PlanPart) =>
  part.findings.some(
    ({ kind }) => kind === 'cracked' || kind === 'broken' || kind === 'earlier repair' || kind === 'pitted',
  );

function createPowderTasks(part: PlanPart, { because }: PlanContext): TaskDraft[] {
  const name = nameOf(part);
  const colour = part.coats.find((coat) => coat.kind === 'colour')!;
  const common = { station: 'finish' as const, partKeys: [part.key] };
  const oven = { process: 'powder bake' as const, atC: BAKE_C.powder, hazards: ['oven'], handsOnMin: 10, watchedMin };
  return [
    {
      ...common,
      ...oven,
      key: `empty-bake:${part.key}`,
      title: `Bake the ${name} empty`,
      tags: ['empty bake', 'bake', 'heat', 'flame', 'handling'],
      how: `A scrap casting first. Not under the cure temperature, ${OVEN_MIN.hold} minutes: gas leaves the metal now and not through the coat. ${OVEN_HOW}`,
      because: 'Castings hold gas; under powder it blisters.',
      uses: uses(['oven'], ['contact probe']),
    },
    {
      ...common,
      key: `powder:${part.key}`,
      title: `Powder the ${name}: ${colour.name}`,
      tags: ['powder', 'body colour', 'spark', 'handling'],
      hazards: ['powder'],
      handsOnMin: 15,
      how: 'Low-cure powder, earthed hook, thin and even; held by a place nobody sees.',
      because: `Putting paint on: ${because('S6')} Primer: none under powder.`,
      uses: uses(['powder', 5], ['powder gun']),
    },
    {
      ...common,
      key: `clear-relief:${part.key}`,
      title: `Dust the relief of the ${name} clear`,
      tags: ['clear relief', 'handling'],
      handsOnMin: 6,
      how: 'Dry soft brush: lettering, hinges, threads and bores free of powder. Nothing but the hook touches it.',
      because: 'Powder flows together in relief and fills it.',
      uses: uses(['soft brush']),
    },
    {
      ...common,
      ...oven,
      key: `cure:${part.key}`,
      title: `Cure the powder on the ${name}`,
      tags: ['cure', 'bake', 'heat', 'flame', 'handling'],
      how: `About ${OVEN_MIN.hold} minutes at ${BAKE_C.powder} °C metal, by the product's sheet. ${OVEN_HOW}`,
      because: 'Powder is paint only when it has flowed and cured.',
      uses: uses(['oven'], ['contact probe']),
    },
  ];
}
