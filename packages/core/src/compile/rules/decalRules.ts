import { countSets } from '../../decal/countWanted.ts';
import type { SchoolOption } from '../../model/school.ts';
import { uses, type Use } from '../../model/supply.ts';
import type { PlanCoat, PlanPart } from '../../facts/specimenFacts.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { DECAL_DRIES_MIN } from '../../film/planDrying.ts';
import { dryingOf, hasBrightworkOn, isSlowInk, ofCoat } from './coats.ts';
import type { PlanRule } from './planRule.ts';

/** Of the drawers; a decal whose artwork is known is no set out of one: its pieces are counted by themselves. */
const usesOf = (way: SchoolOption<'S20'>, { hasArtwork }: PlanCoat): readonly Use[] =>
  uses(
    ...(hasArtwork ? [] : ([['decal set', countSets(way)]] as const)),
    ...(way === 'setting fluid' ? ([['setting fluid', 1]] as const) : []),
  );

const eachDecal = (
  { input: { parts }, pieces }: PlanContext,
  create: (part: PlanPart, coat: PlanCoat) => TaskDraft,
): TaskDraft[] =>
  parts.flatMap((part) =>
    pieces.isLeftAlone(part.key)
      ? []
      : part.coats.filter((coat) => coat.kind === 'decal').map((coat) => create(part, coat)),
  );

/** Decals one by one; slow ink last of all. */
export const DECAL_RULES: readonly PlanRule[] = [
  {
    id: 'dry-fit-decal',
    when: 'a decal is planned',
    serves: ['O33', 'N10', 'N32'],
    create: (context) =>
      eachDecal(context, (part, coat) => ({
        act: 'decal-fit',
        station: 'close',
        partKeys: [part.key],
        of: ofCoat(part, coat),
        tags: ['decal dry-fit', 'handling'],
        handsOnMin: 8,
        detail: { name: coat.name },
      })),
  },
  {
    id: 'place-decal',
    when: 'a decal is planned',
    serves: ['O30', 'O32', 'O33', 'S20', 'N10'],
    create: (context) =>
      eachDecal(context, (part, coat) => ({
        act: 'decal',
        station: 'close',
        partKeys: [part.key],
        of: ofCoat(part, coat),
        method: context.option('S20'),
        tags: ['decal', 'handling', ...(coat.crossesSeam ? (['decal across seam'] as const) : [])],
        handsOnMin: 20,
        passiveMin: DECAL_DRIES_MIN,
        uses: usesOf(context.option('S20'), coat),
        detail: { name: coat.name, crossesSeam: coat.crossesSeam },
      })),
  },
  {
    id: 'slow-ink',
    when: 'brightwork is planned in chrome ink',
    serves: ['O34', 'S7'],
    create: (context) =>
      context.input.parts.flatMap((part) =>
        part.coats
          .filter((coat) => isSlowInk(coat, context) && !context.pieces.isLeftAlone(part.key))
          .filter((coat) => !hasBrightworkOn(part, coat.areaName))
          .map((coat) => ({
            act: 'chrome',
            station: 'close',
            partKeys: [part.key],
            of: ofCoat(part, coat),
            method: context.option('S7'),
            tags: ['slow chrome ink'],
            hazards: ['degreaser'],
            handsOnMin: 10,
            passiveMin: dryingOf(coat).cureMin,
            uses: uses(['brightwork ink', 0.3]),
            detail: { name: coat.name },
          })),
      ),
  },
];
