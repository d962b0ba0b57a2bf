import type { WordsFor } from './wordsFor.ts';
import { always } from './words.ts';

export const SIGN_OFF_WORDS: WordsFor<'sign-off-photos' | 'box-card'> = {
  'sign-off-photos': always(
    'Photograph it finished, in the poses of the first photos',
    'Same sides, same light as the before-set.',
    'Before and after belong in the record.',
  ),
  'box-card': (_, { input: { scope }, because }) =>
    scope !== 'clean only'
      ? {
          title: 'Read the record through, card into the box',
          how: 'What is original, mended, replaced, added, and from where; colours with their recipe. It says plainly that it is restored, and that it is no toy for a child (old lead paint, small parts).',
          because: `End state: ${because('S22')}`,
        }
      : {
          title: 'Note what was cleaned, card into the box',
          how: 'Untouched but for dust: what was done, when, and how it is handled.',
          because: 'Whoever holds it next must know that it is as it was.',
        },
};
