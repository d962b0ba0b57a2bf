import type { WordsFor } from './wordsFor.ts';
import { capitalise, listNames } from './names.ts';
import { always, firstPart } from './words.ts';

export const THREAD_WORDS: WordsFor<'recover-post' | 'tap' | 'trial-fit' | 'dry-fit'> = {
  'recover-post': (draft, context) => {
    const { recoveries } = draft.detail;
    const named = recoveries.map(({ fault, method, how, note }) => `${capitalise(note || fault)}: ${method}. ${how}`);
    return {
      title: `Recover the posts of the ${firstPart(draft, context)}`,
      how: recoveries.length > 1 ? named.join(' ') : recoveries[0]!.how,
      because: recoveries.map(({ fault, note }) => `Finding: ${fault}${note ? `, ${note}` : ''}.`).join(' '),
    };
  },
  tap: ({ of }, { jointOf, because }) => ({
    title: `Drill and tap the post: ${jointOf(of?.jointKey).label}`,
    how: 'Depth stop set, cutting oil, half a turn on and a quarter back. Clear the swarf, run the screw in once, take it out again.',
    because: `Closing: ${because('S2')}`,
  }),
  'trial-fit': (draft, context) => {
    const { wants, isPiece } = draft.detail;
    const part = firstPart(draft, context);
    return {
      title: isPiece ? `Trial-fit the new ${listNames(wants)} on the ${part}` : `Trial-fit the ${part}`,
      how: 'Dry, in bare metal, with its neighbours in place. File now, not after paint.',
      because: `${isPiece ? 'The piece' : 'The part'} is new to this model: ${wants.join(', ')}.`,
    };
  },
  'dry-fit': always(
    'Put it together dry, all of it',
    'Screws, axles, glazing, moving parts, nothing glued or formed. Does it pull straight? Do all four wheels touch, does everything turn and tip? File and shim now.',
    'The last look before paint: what does not fit now is filed through the new coat later.',
  ),
};
