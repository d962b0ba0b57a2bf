import type { PracticeFault, PracticeTrouble, WrongAct } from '../decal/practice/practisePlacing.ts';

/** What a hand may do and should not, as it is offered. */
export const WRONG_ACT_WORDS: Readonly<Record<WrongAct, string>> = {
  'slide the decal off the paper': 'Slide the decal off its paper, onto the panel.',
  'press it down dry': 'Press it down with a dry cloth.',
};

/** What was wrong, and why. */
export const FAULT_WORDS: Readonly<Record<PracticeFault, string>> = {
  'not cut': 'It went into the water uncut: film that is left round it lifts later.',
  'not tried dry': 'It was not tried dry: wet, nobody measures where it must lie.',
  'panel dry': 'The panel was dry: the decal stuck where it touched first.',
  'pulled too early': 'It was pulled before it slid by itself: that tears it.',
  'in the water too long': 'It lay in the water too long: the gum went off, and nothing holds it.',
  'decal pulled, not the paper': 'The decal was pulled instead of the paper: a long one folds over its own edge.',
  'end not run off': 'Its far end was not run off the edge: a long one keeps a fold under itself.',
  'margins not looked at': 'It was rolled out before the margins were looked at: then it does not move any more.',
  'pressed down dry': 'It was pressed down dry: it sticks as it lies, with air below.',
  'wrong rescue': 'What was done then makes it worse: it was lost.',
};

export interface PracticeRescue {
  readonly words: string;
  readonly isRight: boolean;
}

const right = (words: string): PracticeRescue => ({ words, isRight: true });
const wrong = (words: string): PracticeRescue => ({ words, isRight: false });

/** What may be tried of each trouble. */
export const PRACTICE_RESCUES: Readonly<Record<PracticeTrouble, readonly PracticeRescue[]>> = {
  folded: [
    wrong('Pull the two sides apart with tweezers.'),
    right('Flood it, and float the fold open off the edge of the model.'),
    wrong('Let it dry, and unfold it then.'),
  ],
  torn: [
    right('Keep both pieces wet, and slide them together until the edges meet.'),
    wrong('Lay one edge over the other, so that no gap is seen.'),
    wrong('Press the larger piece down, and look for the other afterwards.'),
  ],
  'slid away': [
    wrong('Push it back with a dry finger.'),
    wrong('Fix it with a drop of glue.'),
    right('Flood it, float it back with a wet brush; a drop of setting fluid or clear below it.'),
  ],
  'stuck crooked': [
    wrong('Slide a blade under it.'),
    right('Water along its edges, wait, and turn it about its right end when it floats.'),
    wrong('Pull at the end that is too high.'),
  ],
};
