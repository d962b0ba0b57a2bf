import type { DecalTrouble } from '../decal/placing/decalAct.ts';
import type { PlacingStep } from '../decal/placing/listPlacingSteps.ts';

/** What the hand does at each step of placing a decal. */
export const PLACING_WORDS: Readonly<Record<PlacingStep, string>> = {
  'cut close': 'Cut along the line with a new blade, corners rounded a little. Away from the fingers.',
  'dry-fit': 'Lay it on dry. Both ends where they belong? A pencil dot on tape at each.',
  'set out the pad': 'A wet sponge or folded tissue beside the model, lukewarm water in a saucer.',
  'wet the panel': 'Wet the panel with a brush, so that the decal floats.',
  'fluid on the panel': 'Setting fluid on the panel, after a test on this paint where nobody sees it.',
  soak: 'Into lukewarm water, paper side down. Not longer than it needs: the gum goes off with the water.',
  'wait on the pad': 'On the wet pad, until it slides by itself under a fingertip. Never force it.',
  'slide the paper away':
    'Paper and decal onto the panel, decal up. Hold the end that must lie right with a wet brush and draw the paper away from under the other.',
  'run the far end off the edge':
    'It is long: let its far end run over the edge of the model, wet, then draw it back straight.',
  'look at the margins': 'While it floats: the same paint above and below, at both ends. Move it with a wet brush.',
  'roll out': 'Lift the water off with the edge of a tissue, roll a damp bud from the middle to the ends.',
  'softener on relief': 'A drop of softener where it bridges relief, after a test; then hands off, it wrinkles first.',
  'leave it': 'Leave it until it is dry, then look at it by raking light.',
};

export interface Rescue {
  readonly now: readonly string[];
  readonly never: string;
}

/** What helps when it goes wrong, at once, and what makes it worse. */
export const RESCUES: Readonly<Record<DecalTrouble, Rescue>> = {
  folded: {
    now: [
      'Flood it: water over and under, with a brush.',
      'Float the folded end off the edge of the model, or back onto its wet paper.',
      'Let the water open the fold; help with a wet soft brush from the fold outwards.',
      'Draw it back, look at the margins again.',
    ],
    never: 'Never pull two sides that stick together, and never let it dry folded.',
  },
  torn: {
    now: [
      'Keep both pieces wet where they lie.',
      'Slide them together with two wet brushes until the edges meet.',
      'Lift the water off from the middle of each; the gap is touched in when it is dry.',
    ],
    never: 'Never overlap the edges: it shows for good.',
  },
  silvered: {
    now: [
      'Wait until it is dry. Prick the silvery places with a fine needle.',
      'Setting fluid or warm water over them, press with a damp bud.',
      'Again the next evening, until the colour is even.',
    ],
    never: 'Never rub: the print goes with it. A gloss coat first keeps the next one from it.',
  },
  'slid away': {
    now: [
      'Flood it, float it back with a wet brush.',
      'If the gum is gone, one drop of setting fluid or clear under it.',
    ],
    never: 'Never push it dry.',
  },
  'too short': {
    now: [
      'Take it off at once while it floats, onto its wet paper.',
      'Centre it, so that both ends lack the same, or take the spare.',
      'Correct the artwork’s width before the next sheet.',
    ],
    never: 'Never stretch it.',
  },
  'stuck crooked': {
    now: [
      'Water along its edges, wait a minute, again.',
      'When it floats, turn it about its right end with a wet brush.',
      'If it holds: wet tissue on it for ten minutes, or take it off with tape when it is dry and use the spare.',
    ],
    never: 'Never slide a blade under it on fresh paint.',
  },
};
