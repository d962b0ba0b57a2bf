import type { SchoolOption } from '../model/school.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart, sayArea } from './words.ts';

const SLIDING: Readonly<Record<SchoolOption<'S20'>, string>> = {
  'wet pad and two sets':
    'lukewarm water, on a wet sponge until it slides by itself; wet the panel, slide the paper away.',
  'bare paper slide': 'lukewarm water, slide it from the paper where it belongs.',
  'setting fluid': 'setting fluid on the panel, slide it on, softener on the relief. Test both on the paint first.',
  'one set': 'lukewarm water, on a wet sponge until it slides by itself; there is no second one.',
};

export const DECAL_WORDS: WordsFor<'decal-fit' | 'decal' | 'chrome'> = {
  'decal-fit': ({ detail: { name } }) => ({
    title: `Cut the ${name} and dry-fit it`,
    how: 'Cut close, lay it on dry, mark both ends with a pencil dot on the tape. Is it the right size? Then wet the panel.',
    because: 'Wet, it cannot be measured, and it goes on once.',
  }),
  decal: ({ detail: { name, crossesSeam } }, { option, because }) => ({
    title: `Place the ${name}`,
    how: `Panel wetted: ${SLIDING[option('S20')]} Roll out with a bud, dab, leave. If it folds: keep it wet, run the end off the edge.`,
    because: `Planned${crossesSeam ? ' across a seam' : ''}. Decals: ${because('S20')}`,
  }),
  chrome: (draft, context) => ({
    title: `Chrome the ${sayArea(draft.of?.area)}${firstPart(draft, context)} last of all`,
    how: 'Pen tip barely touching, one pass. Then nobody handles it until it is hard.',
    because: `Planned: ${draft.detail.name}. Brightwork: ${context.because('S7')}`,
  }),
};
