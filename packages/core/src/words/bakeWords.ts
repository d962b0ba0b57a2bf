import { BAKE_C, BAKE_MIN } from '../process/adviseBake.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart } from './words.ts';

const OVEN_HOW =
  'Its own oven, never one for food again. Contact probe on the metal: time counts from the metal reaching it. Small ovens overshoot. Let it cool inside with the door ajar.';

export const BAKE_WORDS: WordsFor<'empty-bake' | 'powder' | 'clear-relief' | 'cure' | 'low-bake'> = {
  'empty-bake': (draft, context) => ({
    title: `Bake the ${firstPart(draft, context)} empty`,
    how: `A scrap casting first. Not under the cure temperature, ${BAKE_MIN.hold} minutes: gas leaves the metal now and not through the coat. ${OVEN_HOW}`,
    because: 'Castings hold gas; under powder it blisters.',
  }),
  powder: (draft, context) => ({
    title: `Powder the ${firstPart(draft, context)}: ${draft.detail.name}`,
    how: 'Low-cure powder, earthed hook, thin and even; held by a place nobody sees.',
    because: `Putting paint on: ${context.because('S6')} Primer: none under powder.`,
  }),
  'clear-relief': (draft, context) => ({
    title: `Dust the relief of the ${firstPart(draft, context)} clear`,
    how: 'Dry soft brush: lettering, hinges, threads and bores free of powder. Nothing but the hook touches it.',
    because: 'Powder flows together in relief and fills it.',
  }),
  cure: (draft, context) => ({
    title: `Cure the powder on the ${firstPart(draft, context)}`,
    how: `About ${BAKE_MIN.hold} minutes at ${BAKE_C.powder} °C metal, by the product's sheet. ${OVEN_HOW}`,
    because: 'Powder is paint only when it has flowed and cured.',
  }),
  'low-bake': (draft, context) => ({
    title: `Bake the paint of the ${firstPart(draft, context)} low`,
    how: `Air-dry first, no smell of solvent left. At most ${BAKE_C['low bake']} °C metal (planning estimate), ${BAKE_MIN.hold} minutes. ${OVEN_HOW}`,
    because: `Drying: ${context.because('S19')}`,
  }),
};
