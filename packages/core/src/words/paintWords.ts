import { sayMinutes } from './sayMinutes.ts';
import type { SchoolOption } from '../model/school.ts';
import { listNames } from './names.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart, once, sayArea } from './words.ts';

const PRIMER_HOW: Readonly<Record<SchoolOption<'S12'>, string>> = {
  'thin light grey': 'One thin coat so that lettering survives.',
  'thin white': 'One thin white coat: pale and weak colours need the light ground.',
  grey: 'One coat of grey, thin enough that lettering survives.',
  'thicker to smooth': 'Two coats, rubbed between; relief fills in, so leave lettering with one.',
  'none under powder': 'One thin coat so that lettering survives (powder alone goes without).',
};

const SPRAY_HOW: Readonly<Record<SchoolOption<'S6'>, string>> = {
  airbrush: 'Airbrush, a hand away, moving before the trigger.',
  'spray can': 'Can warmed in lukewarm water, shaken two minutes, from two hands away; it builds up fast.',
  powder: 'What takes no powder is sprayed with the airbrush.',
};

const HOLDING: Readonly<Record<SchoolOption<'S21'>, string>> = {
  'hidden spot': 'a place nobody sees',
  'pick through the axle hole': 'a pick through the axle hole',
};

const MIXED_FROM: Readonly<Record<SchoolOption<'S9'>, string>> = {
  'from the light end': 'Begin with the lightest paint, the strongest last and in drops.',
  'from the nearest shelf colour': 'Begin with the pot that comes nearest and correct it.',
  'correcting with a third hue': 'Two paints first; what is too bright is greyed with a drop of the opposite hue.',
};

const BRIGHT_HOW: Readonly<Record<SchoolOption<'S7'>, string>> = {
  'dull silver': 'the pen on flats, a decanted drop on a fine brush where it must flow into relief.',
  'chrome ink': 'dries quickly by its sheet, so it goes on now: the tip barely touching, one pass.',
  'silver by brush': 'brushed from a decanted drop, two thin rather than one thick, so that it flows in the relief.',
};

/** What the dry stripe is held to. */
const HELD_TO: Readonly<Record<SchoolOption<'S10'>, string>> = {
  'the issue': 'Dry, it is held to the old colour as captured, a sheltered place first.',
  'the real vehicle':
    'Dry, it is held to your reference of the real vehicle; where that comes from goes into the record.',
  'nearest stock': 'Dry, it is held to the old colour: how far it is off goes into the record.',
  taste: 'It is held to nothing but your eye; the record says that it is no colour of the issue.',
};

export const PAINT_WORDS: WordsFor<
  | 'gun-ready'
  | 'take-off'
  | 'degrease'
  | 'mask'
  | 'prime'
  | 'judge'
  | 'mix'
  | 'mist'
  | 'colour'
  | 'bright'
  | 'rinse-gun'
  | 'clean-gun'
> = {
  'gun-ready': ({ method }, { because }) => {
    const isCan = method === 'spray can';
    return {
      title: isCan ? 'Try the cans on card' : 'See that the gun is complete and clean',
      how: isCan
        ? 'Nozzle clear, can shaken, a stripe on card: no spitting, right shade.'
        : 'Needle, nozzle, cup and hose there, water through it: an even fan. Its state stands in Workshop.',
      because: `Found out now, not with paint mixed. Putting paint on: ${because('S6')}`,
    };
  },
  'take-off': (draft, context) => ({
    title: `Take ${listNames(draft.detail.names)} off the ${sayArea(draft.of?.area)}${firstPart(draft, context)} again`,
    how:
      draft.method === 'thinner wipe'
        ? 'Its own thinner on a cloth, a clean corner for each wipe, wet all the time; what lies under it is left where it holds. Picks for the relief.'
        : 'Fine wet abrasive, little by little, until the coat is gone or its edge can no longer be felt. Kept wet.',
    because: `Rejected: ${draft.detail.because}`,
  }),
  degrease: (draft, context) => ({
    title: `Degrease the ${firstPart(draft, context)}${once(draft.of?.round)}`,
    how: `Clean wipe, fresh gloves. Held by ${HOLDING[context.option('S21')]}. From now on no bare finger touches it.`,
    because: `It is about to be painted. Holding: ${context.because('S21')}`,
  }),
  mask: (draft, context) => ({
    title: `Mask the ${firstPart(draft, context)}`,
    how: 'Tape pressed down along the edge with a wooden pick, the rest wrapped. Off again, warmed, before the coat is fully hard.',
    because: `It stays joined to the ${listNames(draft.detail.beside.map((name) => name.toLowerCase()))}, which gets another coat.`,
  }),
  prime: (draft, context) => ({
    title: `Prime the ${firstPart(draft, context)}${once(draft.of?.round)}`,
    how: `${PRIMER_HOW[context.option('S12')]} Bare zinc is primed the same day. It is done when the coat is logged.`,
    because: `Planned: ${draft.detail.name}. Primer: ${context.because('S12')}`,
  }),
  judge: (draft, context) => ({
    title: `Judge the ${firstPart(draft, context)} in primer${once(draft.of?.round)}`,
    how: 'Raking light. A flaw is filled and primed again; then judge again. Scratch a hidden spot: the primer must hold before tape goes on it.',
    because: 'Primer shows what bare metal hides.',
  }),
  mix: ({ of, detail: { wearers, isMixed } }, { option, because }) => {
    const match = option('S10');
    const from = match === 'nearest stock' ? 'The pot that comes nearest, as it is.' : MIXED_FROM[option('S9')];
    const mixing = match === 'nearest stock' ? '' : ` Mixing: ${because('S9')}`;
    return {
      title: `Have ${of?.colour} ready`,
      how: `${isMixed ? `No pot is chosen for it yet: the colour lab has the nearest pots and a recipe. ${from} ` : ''}Stir to the bottom, thin as its sheet says, strain, a stripe on primed card and let it dry: it dries to another shade. ${HELD_TO[match]} No more than the parts need.`,
      because: `On the ${listNames(wearers.map((name) => name.toLowerCase()))}.${isMixed ? mixing : ''} To match: ${because('S10')}`,
    };
  },
  mist: (draft, context) => ({
    title: `Mist coat on the ${firstPart(draft, context)}, ${draft.of?.area}${once(draft.of?.round)}`,
    how: `${sayMasked(draft.detail.masked)}So thin that the ground shows through everywhere. Flash about ${sayMinutes(draft.detail.flashMin)}: it no longer looks wet. It is done when the coat is logged.`,
    because: 'The wet coat holds on it and does not run.',
  }),
  colour: (draft, context) => {
    const { name, isTrim, isPaleOnDark, nth, coats } = draft.detail;
    const light = isPaleOnDark ? ' Pale over dark: a thin light ground inside the mask first.' : '';
    return {
      title: `Paint the ${firstPart(draft, context)}, ${draft.of?.area}: ${name}${coats > 1 ? `, wet coat ${nth} of ${coats}` : ''}${once(draft.of?.round)}`,
      how: isTrim
        ? `Primer and colour must hold under tape first. Mask pressed down on dry paint; tape off, warmed, before the coat is fully hard. Overruns touched in when dry.${light}`
        : `${SPRAY_HOW[context.option('S6')]} A thin wet coat over what is below. It is done when the coat is logged.`,
      because: `Planned for this area: ${name}${coats > 1 ? `, ${coats} coats to hide what is below` : ''}. Order of colours: ${context.because('S8')}`,
    };
  },
  bright: (draft, context) => ({
    title: `Silver the ${sayArea(draft.of?.area)}${firstPart(draft, context)}${once(draft.of?.round)}`,
    how: `${draft.detail.name}: ${BRIGHT_HOW[context.option('S7')]} Overruns touched in with body colour when dry.`,
    because: `Only where the issue had it. Brightwork: ${context.because('S7')}${draft.tags.includes('silver after decals') ? ` Silver trim and decals: ${context.because('S24')}` : ''}`,
  }),
  'rinse-gun': ({ of }) => ({
    title: `Rinse the gun: ${of?.colour} out`,
    how: 'Cup emptied and wiped, thinner through it until it comes clear, a puff on white paper. What is left of the paint goes back into its jar.',
    because: 'Another paint goes in next, and a trace of this one shows in it.',
  }),
  'clean-gun': ({ detail: { colourCount } }) => ({
    title: 'Strip the gun and clean it for the night',
    how: `Between colours too: ${colourCount} on this model. Thinner through it until it comes clear, needle out, nozzle in the jar, needle back with a drop of oil.`,
    because: 'Paint dried in the nozzle costs the next evening; what shares a colour is sprayed together.',
  }),
};

const sayMasked = (areas: readonly string[]): string =>
  areas.length
    ? `First the ${listNames(areas)} masked: tape pressed down on dry paint, the rest wrapped; it stays until the last coat beside it is on. `
    : '';
