import type { LateMeaning } from '../schedule/benchMode/explainLate.ts';

const WORDS: Readonly<Record<LateMeaning, string>> = {
  'caustic works on':
    'Look at the caustic now: it goes on working on zinc, and quickly on aluminium. Lift the part out and rinse it.',
  'bath works on':
    'Look at the bath now: it goes on working, and plastic in it softens. Lift the part out and rinse it.',
  'still hot': 'Look at the heat now: switch it off, or see that it is off. What comes out is hot.',
  softened: 'Look at it now: what was softened goes on softening, or dries on again.',
  'window runs':
    'It bears its next coat; how long still is said at Finish. Nothing is spoiled yet by waiting a little.',
  'only harder': 'Nothing is lost: it only got harder.',
  aired: 'Nothing is lost: the room has had more air.',
};

/** What a clock means that rang a while ago, and what to do about it. */
export const sayLate = (meaning: LateMeaning): string => WORDS[meaning];
