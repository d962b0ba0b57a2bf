import type { SchoolOption } from '../model/school.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart, once, sayArea } from './words.ts';

/** How the clear under a decal looks, where it is not gloss. */
const SHEEN: Partial<Record<SchoolOption<'S13'>, string>> = { matt: 'matt', 'semi-gloss': 'semi-gloss' };

const NO_TWO_PART = 'Never a two-part clear without the equipment for it.';

export const CLEAR_WORDS: WordsFor<'gloss' | 'clear' | 'seal'> = {
  gloss: (draft, context) => {
    const sheen = SHEEN[context.option('S13')];
    return {
      title: `${sheen ? 'Clear' : 'Gloss'} coat on the ${firstPart(draft, context)} where the decals go`,
      how: `${sheen ? `Thin ${sheen} clear` : 'Thin gloss'} over dry colour, the whole panel: an edge shows. ${NO_TWO_PART}`,
      because: `Clear coat: ${context.because('S13')}`,
    };
  },
  clear: (draft, context) => {
    const { name, isOver } = draft.detail;
    const under = isOver
      ? 'On a spare decal on card first: does it lift or wrinkle it? Then thin, over decals and panel alike.'
      : 'Thin, over dry colours and inks, the whole panel: an edge shows.';
    return {
      title: `Clear coat on the ${sayArea(draft.of?.area)}${firstPart(draft, context)}: ${name}${once(draft.of?.round)}`,
      how: `${under} ${NO_TWO_PART} It is done when the coat is logged.`,
      because: `Planned for this area: ${name}.${isOver ? ` Over the decals: ${context.because('S13')}` : ''}`,
    };
  },
  seal: (draft, context) => ({
    title: `Test, then seal the decals of the ${firstPart(draft, context)}`,
    how: 'On a spare decal on card first: does the clear lift or wrinkle it? Then a brushed film over the decal and a hair beyond, glazing covered.',
    because: `Clear coat: ${context.because('S13')}`,
  }),
};
