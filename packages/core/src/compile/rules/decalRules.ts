import type { PlanContext } from '../planContext.ts';
import type { PlanCoat, PlanPart, TaskDraft } from '../planTypes.ts';
import { uses } from '../../supply/supplies.ts';
import { hasDecal, isSlowInk } from './decalsAndInk.ts';
import { nameOf, type PlanRule } from './planRule.ts';

/** How a decal goes down, by school (S20). */
const SLIDING: Readonly<Record<string, string>> = {
  'wet pad and two sets':
    'lukewarm water, on a wet sponge until it slides by itself; wet the panel, slide the paper away.',
  'bare paper slide': 'lukewarm water, slide it from the paper where it belongs.',
  'setting fluid': 'setting fluid on the panel, slide it on, softener on the relief. Test both on the paint first.',
  'one set': 'lukewarm water, on a wet sponge until it slides by itself; there is no second one.',
};

const eachDecal = (
  { input: { parts }, pieces }: PlanContext,
  create: (part: PlanPart, coat: PlanCoat) => TaskDraft,
): TaskDraft[] =>
  parts.flatMap((part) =>
    pieces.isLeftAlone(part.key)
      ? []
      : part.coats.filter((coat) => coat.kind === 'decal').map((coat) => create(part, coat)),
  );

/** Decals on gloss, sealed after a test; slow ink last of all. */
export const DECAL_RULES: readonly PlanRule[] = [
  {
    id: 'dry-fit-decal',
    when: 'a decal is planned',
    serves: ['O33', 'N10', 'N32'],
    create: (context) =>
      eachDecal(context, (part, coat) => ({
        key: `decal-fit:${part.key}:${coat.areaName}`,
        station: 'close',
        title: `Cut the ${coat.name} and dry-fit it`,
        partKeys: [part.key],
        area: coat.areaName,
        tags: ['decal dry-fit', 'handling'],
        handsOnMin: 8,
        how: 'Cut close, lay it on dry, mark both ends with a pencil dot on the tape. Is it the right size? Then wet the panel.',
        because: 'Wet, it cannot be measured, and it goes on once.',
      })),
  },
  {
    id: 'place-decal',
    when: 'a decal is planned',
    serves: ['O30', 'O32', 'O33', 'S20', 'N10'],
    create: (context) =>
      eachDecal(context, (part, coat) => {
        const school = context.option('S20');
        return {
          key: `decal:${part.key}:${coat.areaName}`,
          station: 'close',
          title: `Place the ${coat.name}`,
          partKeys: [part.key],
          area: coat.areaName,
          tags: ['decal', 'handling', ...(coat.crossesSeam ? (['decal across seam'] as const) : [])],
          handsOnMin: 20,
          passiveMin: 60,
          how: `Panel wetted: ${SLIDING[school] ?? SLIDING['wet pad and two sets']!} Roll out with a bud, dab, leave. If it folds: keep it wet, run the end off the edge.`,
          because: `Planned${coat.crossesSeam ? ' across a seam' : ''}. Decals: ${context.because('S20')}`,
          uses: uses(
            ['decal set', school === 'wet pad and two sets' || school === 'bare paper slide' ? 2 : 1],
            ...(school === 'setting fluid' ? ([['setting fluid', 1]] as const) : []),
          ),
        };
      }),
  },
  {
    id: 'seal-decal',
    when: 'the school seals decals',
    serves: ['O32', 'S13'],
    create: ({ input: { parts }, pieces, option, because }) => {
      if (option('S13') === 'none') return [];
      return parts
        .filter((part) => hasDecal(part) && !pieces.isLeftAlone(part.key))
        .map((part) => ({
          key: `seal:${part.key}`,
          station: 'close' as const,
          title: `Test, then seal the decals of the ${nameOf(part)}`,
          partKeys: [part.key],
          tags: ['seal' as const, 'vapour' as const, 'handling' as const],
          hazards: ['degreaser'],
          handsOnMin: 10,
          passiveMin: 240,
          how: 'On a spare decal on card first: does the clear lift or wrinkle it? Then a brushed film over the decal and a hair beyond, glazing covered.',
          because: `Clear coat: ${because('S13')}`,
          uses: uses(['clear coat', 0.5]),
        }));
    },
  },
  {
    id: 'slow-ink',
    when: 'brightwork is planned in chrome ink',
    serves: ['O34', 'S7'],
    create: (context) =>
      context.input.parts.flatMap((part) =>
        part.coats
          .filter((coat) => isSlowInk(coat, context) && !context.pieces.isLeftAlone(part.key))
          .map((coat) => ({
            key: `chrome:${part.key}:${coat.areaName}`,
            station: 'close' as const,
            title: `Chrome the ${coat.areaName === 'outside' ? '' : `${coat.areaName} of the `}${nameOf(part)} last of all`,
            partKeys: [part.key],
            tags: ['slow chrome ink' as const],
            hazards: ['degreaser'],
            handsOnMin: 10,
            passiveMin: 4320,
            how: 'Pen tip barely touching, one pass. Then nobody handles it until it is hard.',
            because: `Planned: ${coat.name}. Brightwork: ${context.because('S7')}`,
            uses: uses(['brightwork ink', 0.3]),
          })),
      ),
  },
];
