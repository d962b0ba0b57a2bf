import type { PlanCoat, PlanPart } from '../../facts/specimenFacts.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { usualDrying } from '../../film/planDrying.ts';
import { dryingOf, hasDecal, ofCoat, paintOf } from './coats.ts';
import type { PlanRule } from './planRule.ts';

/** Clear coats: under the decals, over them, or over the colour where there are none. */
export const CLEAR_RULES: readonly PlanRule[] = [
  {
    id: 'gloss-under-decal',
    when: 'a decal is planned and the school clears under it',
    serves: ['O32', 'S13'],
    create: (context) =>
      selectGlossed(context).map((part) => ({
        act: 'gloss',
        station: 'finish',
        partKeys: [part.key],
        method: context.option('S13'),
        tags: ['gloss coat', 'spray', 'vapour', 'handling'],
        hazards: ['spraying'],
        handsOnMin: 8,
        passiveMin: usualDrying('clear').recoatMin,
        uses: uses(['clear coat', 1]),
      })),
  },
  {
    id: 'clear',
    when: 'a clear coat is planned for an area',
    serves: ['O32', 'S13', 'N35'],
    create: (context) =>
      context.workable.flatMap((part) =>
        part.coats.filter(isClear).map((coat) => createClearTask(part, coat, isOverDecals(part, context))),
      ),
  },
  {
    id: 'seal-decal',
    when: 'the school seals decals and no clear coat goes over them anyway',
    serves: ['O32', 'S13'],
    create: (context) =>
      context.option('S13') === 'none'
        ? []
        : context.input.parts
            .filter((part) => hasDecal(part) && !context.pieces.isLeftAlone(part.key))
            .filter((part) => !part.coats.some(isClear) || !isOverDecals(part, context))
            .map((part) => ({
              act: 'seal',
              station: 'close',
              partKeys: [part.key],
              method: context.option('S13'),
              tags: ['seal', 'vapour', 'handling'],
              hazards: ['degreaser'],
              handsOnMin: 10,
              passiveMin: usualDrying('clear').recoatMin,
              uses: uses(['clear coat', 0.5]),
            })),
  },
];

const isClear = (coat: PlanCoat) => coat.kind === 'clear';

/** Decals are planned on it, no clear coat is, and the school clears under them. */
export function selectGlossed({ workable, option }: PlanContext): PlanPart[] {
  const school = option('S13');
  if (school === 'none' || school === 'seal decals') return [];
  return workable.filter((part) => hasDecal(part) && !part.coats.some(isClear));
}

/** Decals lie flat on gloss; a clear that is no gloss evens the sheen over them. */
const isOverDecals = (part: PlanPart, { option }: PlanContext): boolean =>
  hasDecal(part) && ['matt', 'semi-gloss', 'seal decals'].includes(option('S13'));

function createClearTask(part: PlanPart, coat: PlanCoat, isOver: boolean): TaskDraft {
  return {
    act: 'clear',
    station: isOver ? 'close' : 'finish',
    partKeys: [part.key],
    of: ofCoat(part, coat),
    tags: [
      'clear over',
      'spray',
      'vapour',
      'handling',
      ...(isOver ? (['seal'] as const) : hasDecal(part) ? (['paint', 'gloss coat'] as const) : (['paint'] as const)),
    ],
    hazards: ['spraying'],
    handsOnMin: 8,
    passiveMin: dryingOf(coat).recoatMin,
    uses: [paintOf('clear coat', coat, 1.5)],
    detail: { name: coat.name, isOver },
  };
}
