import { BAKE_C, BAKE_MIN } from '../process/adviseBake.ts';
import type { WordsFor } from './wordsFor.ts';
import { eachPart, firstPart } from './words.ts';

const OVEN_HOW =
  'Its own oven, never one for food again. Contact probe on the metal: time counts from the metal reaching it. Small ovens overshoot. Let it cool inside with the door ajar.';

export const BAKE_WORDS: WordsFor<
  'empty-bake' | 'wipe-again' | 'powder' | 'clear-relief' | 'cure' | 'look-cured' | 'low-bake'
> = {
  'empty-bake': (draft, context) => ({
    title: `Bake the ${eachPart(draft, context)} empty`,
    how: `A scrap casting first. Not under the cure temperature, ${BAKE_MIN.hold} minutes: gas leaves the metal now and not through the coat. ${OVEN_HOW}`,
    because: 'Castings hold gas; under powder it blisters.',
  }),
  'wipe-again': (draft, context) => ({
    title: `Wipe the ${eachPart(draft, context)} once more`,
    how: 'When cold: what the heat drove out lies on it as a film. Lint-free cloth, gloves, all solvent gone before the powder.',
    because: 'Powder holds on clean metal only.',
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
    title: `Cure the powder on the ${eachPart(draft, context)}`,
    how: `About ${BAKE_MIN.hold} minutes at ${BAKE_C.powder} °C metal, by the product's sheet. ${OVEN_HOW}`,
    because: 'Powder is paint only when it has flowed and cured.',
  }),
  'look-cured': (draft, context) => ({
    title: `Look the cured ${firstPart(draft, context)} over: relief, lettering, bores`,
    how: 'Under raking light, cold. Lettering still sharp, threads and hinge holes clear, no pinholes, no thin edges. Filled relief does not come out again: it is stripped and powdered anew.',
    because: 'Powder flows when it cures: only now is it seen what it filled.',
  }),
  'low-bake': (draft, context) => ({
    title: `Bake the paint of the ${firstPart(draft, context)} low`,
    how: `Air-dry first, no smell of solvent left. At most ${BAKE_C['low bake']} °C metal (planning estimate), ${BAKE_MIN.hold} minutes.${draft.detail.weakest ? ` The weakest in it is the ${draft.detail.weakest}: its own sheet goes first, and not before it has cured.` : ''} ${OVEN_HOW}`,
    because: `Drying: ${context.because('S19')}`,
  }),
};
