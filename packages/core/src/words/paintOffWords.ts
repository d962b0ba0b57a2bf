import { isMetal } from '../model/material.ts';
import type { StripMethod } from '../model/workshop.ts';
import type { PlanContext } from '../compile/planContext.ts';
import { expectPasses, type ExpectedPasses } from '../process/expectPasses.ts';
import { asStripMethod } from '../process/stripMethods.ts';
import { capitalise, listNames, nameOf } from './names.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart } from './words.ts';

interface MethodWords {
  readonly title: string;
  readonly how: string;
}

const METHODS: Readonly<Record<StripMethod, MethodWords>> = {
  gel: {
    title: 'Brush gel stripper on the',
    how: 'Thick coat, cover loosely, look every ten minutes. Lift the softened paint wet with a wooden pick.',
  },
  dip: {
    title: 'Lay in dip stripper: the',
    how: 'Under to the last corner, lid resting, look every ten minutes. Lift the softened paint wet with a wooden pick.',
  },
  caustic: {
    title: 'Caustic bath for the',
    how: 'Made up as reckoned below, cold when it goes in, covered everywhere. Look every five minutes: zinc darkens the longer it lies. Out, and plenty of water.',
  },
  blast: {
    title: 'Blast the corners of the',
    how: 'Only bare metal, mild grit, low pressure, on a dry day, outdoors or in a cabinet. Lettering goes first: keep moving.',
  },
  'mild slow': {
    title: 'Lay in glycol-ether fluid: the',
    how: 'Under to the last corner, lid resting. Look every twenty minutes, brush what has lifted; another evening for what has not. It never soaks alone overnight.',
  },
  'glycol-ether': {
    title: 'Glycol-ether fluid on the paint of the',
    how: 'Minutes, not more than an hour, looked at every ten. Cotton bud and wooden pick. Rinse with soap and water at once.',
  },
  'thinner wipe': {
    title: 'Wipe the paint off the',
    how: 'Thinner on a bud, one wipe, a clean bud each time. Stop when the plastic turns dull.',
  },
};

export const PAINT_OFF_WORDS: WordsFor<'test' | 'strip' | 'blast' | 'wash' | 'inspect' | 'key'> = {
  test: (draft, context) => {
    const { material, reason, limit } = draft.detail.verdict;
    return {
      title: `Try it on a hidden spot of the ${firstPart(draft, context)}`,
      how: 'One bud, where nobody looks, a quarter of an hour. Dull, soft or sticky: stop, and say so in Survey.',
      because: `${capitalise(material)}: ${reason}${limit ? ` (${limit})` : ''}.`,
    };
  },
  strip: (draft, context) => {
    const part = context.partOf(draft.partKeys[0]);
    const { advice, layers } = draft.detail;
    const { title, how } = METHODS[asStripMethod(draft.method ?? null) ?? 'gel'];
    const refused = advice.insteadOf ? ` Not ${advice.insteadOf.method}: ${advice.insteadOf.reason}.` : '';
    const school = isMetal(part.material) ? 'S11' : 'S18';
    return {
      title: `${title} ${nameOf(part)}`,
      how: `${how} ${sayPasses(layers)}${saySeam(part.key, context)}`,
      because: `Painted as found. ${isMetal(part.material) ? 'Stripping' : 'Plastics'}: ${context.because(school)}${refused}`,
    };
  },
  blast: (draft, context) => ({
    title: `${METHODS.blast.title} ${firstPart(draft, context)}`,
    how: METHODS.blast.how,
    because: `Stripping: ${context.because('S11')} Wet first: its paint may hold lead.`,
  }),
  wash: (draft, context) => ({
    title: `Neutralise, rinse and dry the ${firstPart(draft, context)}`,
    how: `As the product sheet says, then plenty of water and a toothbrush into every corner; the rinse water is old-paint waste. ${context.pieces.neighboursOf(draft.partKeys[0]!).length > 0 ? 'Rinse the closed seam for long, shake it out and let it dry by itself.' : 'Dry warm.'}`,
    because: 'Stripper left in a seam lifts the new paint.',
  }),
  inspect: (draft, context) => ({
    title: `Inspect the bare ${firstPart(draft, context)}`,
    how: 'Under the lamp and magnifier: cracks, pits, earlier repairs. Leave cast lettering and cast rivets as they are. Add what you find in Survey.',
    because: `Bare ${isMetal(context.partOf(draft.partKeys[0]).material) ? 'metal' : 'plastic'} shows what paint hid.`,
  }),
  key: (draft, context) => {
    const { sheltered, advice } = draft.detail;
    const inside = sheltered?.toLowerCase();
    return {
      title: `Key the old paint of the ${firstPart(draft, context)}, wet`,
      how: `${inside ? `Cover the ${inside}. ` : ''}Fine wet abrasive sponge until the gloss is gone, kept wet all the time, wiped up, never dry. Relief is filled by every coat that stays on.`,
      because: inside
        ? `The ${inside} stays inside a closed joint: no stripper, no bath, no heat.`
        : `Nothing may take its paint off. ${advice.refusals.map(({ method, reason }) => `${method}: ${reason}`).join('; ')}.`,
    };
  },
};

function saySeam(partKey: string, { pieces }: PlanContext): string {
  const joined = pieces.neighboursOf(partKey).map(nameOf);
  return joined.length
    ? ` It stays joined to the ${listNames(joined)}: brush on only, no bath; keep the seam as dry as you can.`
    : '';
}

function sayPasses(layers: number): string {
  const { expected, most, origin } = expectUsualPasses(Math.max(1, layers));
  const passes = Math.max(1, Math.round(expected));
  return `${layers > 1 ? `${layers} layers: about` : 'About'} ${passes} ${passes > 1 ? 'passes' : 'pass'}, hardly more than ${most} (${origin}).`;
}

/** By the number of layers; nothing else is known when the plan is made. */
const usualPasses = new Map<number, ExpectedPasses>();

function expectUsualPasses(layers: number): ExpectedPasses {
  const known = usualPasses.get(layers) ?? expectPasses(layers);
  usualPasses.set(layers, known);
  return known;
}
