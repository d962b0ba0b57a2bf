import type { WayToGet } from '../model/workpiece.ts';
import type { WordsFor } from './wordsFor.ts';
import { isMetal } from '../model/material.ts';
import { listNames, nameOf } from './names.ts';
import { always } from './words.ts';

const GET_TITLE: Readonly<Record<WayToGet, string>> = { donor: 'Find', buy: 'Buy', print: 'Print', make: 'Make' };

const GET_HOW: Readonly<Record<WayToGet, string>> = {
  donor: 'Same casting, same age: among the donors here first, else by post. Its own paint and faults come with it.',
  buy: 'Of which material, to which measures, how long by post: the day it is promised for goes on the want.',
  print:
    'Two at once: one breaks. Wash until it no longer feels slick, cure all sides, let it rest a night: it shrinks in that time. Gloves at everything that is not cured.',
  make: 'Cut proud of the line, file to the pattern, try often. Bends before it is cut free. Two if one may break.',
};

/** Identify and Survey, and what is only cleaned. */
export const INTAKE_WORDS: WordsFor<
  | 'identify'
  | 'photograph'
  | 'know-materials'
  | 'pest-check'
  | 'lead-look'
  | 'capture-colour'
  | 'list-wants'
  | 'order-wants'
  | 'draw'
  | 'get'
  | 'brush-ready'
  | 'dust'
  | 'wash-once'
  | 'raking-light'
> = {
  identify: (_, { because }) => ({
    title: 'Settle which issue it is',
    how: 'Answer the look-points until one variant leads clearly, or say that it cannot be told.',
    because: `Everything later (colours, wheels, decals) follows from the issue. To match: ${because('S10')}`,
  }),
  photograph: always(
    'Photograph every side',
    'Left, right, front, rear, top and base, on neutral grey with the rule in the picture. From each end with both axles in line: a twist shows there.',
    'It is the only record of how it came in.',
  ),
  'know-materials': (_, { input: { parts } }) => {
    const unsure = parts.filter((part) => part.materialCertainty === 'unsure');
    const others = parts.filter((part) => !isMetal(part.material)).length;
    return {
      title: 'Write down what each part is made of',
      how: 'Weight, magnet, ring and look; a part nobody is sure of is "unknown plastic" or "plated or unknown wire".',
      because: `${parts.length} parts, ${others} of them not metal${unsure.length ? `; nobody is sure of the ${listNames(unsure.map(nameOf))}` : ''}.`,
    };
  },
  'pest-check': always(
    'Look every zinc casting over for pest',
    'Magnifier and raking light: fine crazing, swollen or bowed faces, cracks at corners and posts, flakes that lift the paint from below. Weigh it. Zinc of any age, most before about 1950. Found any? Write the finding "pest" on that part: it is then left dry and cold.',
    'Pest-suspect zinc stands no wash, bath, heat, clamp, blasting or drilling.',
  ),
  'lead-look': ({ detail: { names } }) => {
    const parts = listNames(names.map((name) => name.toLowerCase()));
    return {
      title: `Look for white powder on the ${parts}`,
      how: 'Gloves on. White bloom is poisonous carbonate: do not brush, blow or sand it. Bag the part, wash hands, write it down.',
      because: `Lead alloy: ${parts}. It melts early and its dust is poison.`,
    };
  },
  'capture-colour': always(
    'Capture the old colour, sheltered and exposed',
    'One photo or reading from a sheltered place (inside, under the base), one from an exposed face. Keep flakes in a labelled bag.',
    'Painted parts will be stripped.',
  ),
  'list-wants': ({ detail: { bits, decals } }, { because }) => ({
    title: 'Go through the wants with their small parts',
    how: `Under each want: what holds it, what turns it, what closes it.${bits.length ? ` So far: ${bits.join('; ')}.` : ''}${decals.length ? ` Decals: ${decals.join(', ')}; ${because('S20')}` : ''} And a spare of whatever breaks.`,
    because: 'A jib without its wire, an axle without its end: it is noticed when the parcel is open.',
  }),
  'order-wants': (_, { because }) => ({
    title: 'Send the orders off',
    how: 'Whatever cannot be made here, in one go; the day it is promised for goes on the want.',
    because: `Waiting for the post runs while paint comes off. A broken part: ${because('S15')}`,
  }),
  draw: ({ detail: { what, by, isBySchool } }, { because }) => ({
    title: by === 'print' ? `Draw ${what} for printing` : `Measure and draw ${what}`,
    how:
      by === 'print'
        ? 'From its mirror image on this model, a sound one on another, or the seat it fits: callipers on every side, the drawing a little open where it slides in. A small test piece of the seat first: resin shrinks.'
        : 'From its mirror image on this model, a sound one on another, or the seat it fits: callipers on every side, a paper pattern tried on the model before metal is cut.',
    because: `Want: ${what}.${isBySchool ? ` A broken part: ${because('S15')}` : ''}`,
  }),
  get: ({ detail: { what, by, isBySchool } }, { because }) => ({
    title: `${GET_TITLE[by]} ${what}`,
    how: `${GET_HOW[by]} Mark the want solved, with where it came from, when it lies on the bench.`,
    because: `Want: ${what}.${isBySchool ? ` A broken part: ${because('S15')}` : ''}`,
  }),
  'brush-ready': always(
    'Shake brush and cloth out',
    'Outdoors or over a damp rag. Grit of the last model scratches this one.',
    'The brush was on another model before.',
  ),
  dust: ({ detail: { hands, clear } }, { because }) => ({
    title: 'Dust it with a soft brush',
    how: `${hands === 'gloved' ? 'Gloves on.' : 'Bare, freshly washed hands, held by the axles.'} Soft dry brush along the relief, soft cloth in two passes, ${clear === 'brush' ? 'brush only on clear parts' : 'soft cloth on clear parts'}. No water, no polish, no paper tissue.`,
    because: `Clean only: a sound survivor is worth more as it is. Cleaning: ${because('S23')}`,
  }),
  'wash-once': always(
    'Wash it once: lukewarm water, a drop of soap',
    'After the dust is off. Soft brush, no soaking; rinse, shake out, wrap it for half an hour, then dry it again where water stands in seams.',
    'It smells, and nothing on it forbids water. Once: every wash takes a little of the old coat.',
  ),
  'raking-light': always(
    'Look along every face in raking light',
    'Finger marks and what the dust hid show now: flaking paint, a tyre that softens into something, white powder. Write it down in Survey; do not mend it.',
    'What is found now stays known, and nothing is done about it here.',
  ),
};
