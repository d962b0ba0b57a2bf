import type { SchoolOption } from '../model/school.ts';
import { capitalise, listNames, nameOf, sayFinding } from './names.ts';
import type { WordsFor } from './wordsFor.ts';
import { firstPart } from './words.ts';

interface WheelWords {
  readonly title: (wheels: string) => string;
  readonly how: string;
}

const WHEELS: Readonly<Record<SchoolOption<'S14'>, WheelWords>> = {
  'best of two sets': {
    title: (wheels) => `Pick the best ${wheels} of two sets`,
    how: 'Same tread, same hub, same diameter, side by side under the lamp. What comes from the other one is written down as from there.',
  },
  repaint: {
    title: (wheels) => `Brush the ${wheels} in their own colour`,
    how: 'Degreased, on a pick through the hole, thin; the bore stays bare.',
  },
  stain: {
    title: (wheels) => `Dark wash into the ${wheels}`,
    how: 'Thin, into the hub only, the tread wiped at once.',
  },
  'polish dip': {
    title: (wheels) => `Dip the ${wheels} in clear floor polish`,
    how: 'Degreased, dipped, shaken off, on a pick until dry; the bore cleared.',
  },
  patina: { title: (wheels) => `Leave the ${wheels} as they are`, how: 'Nothing is done to them.' },
};

export const CLEANING_WORDS: WordsFor<
  | 'soap'
  | 'brush'
  | 'wash-bare'
  | 'keep'
  | 'plating-test'
  | 'plating-off'
  | 'plating-rinse'
  | 'polish'
  | 'wheels'
  | 'air'
> = {
  soap: (draft, context) => {
    const part = context.partOf(draft.partKeys[0]);
    const { verdict, limit, reason } = draft.detail.verdict;
    const first = draft.detail.isFirst
      ? ' Its paint comes off afterwards: what soap takes off needs nothing stronger.'
      : '';
    const isTried = verdict === 'test first';
    return {
      title: isTried ? `Wipe the ${nameOf(part)} with a damp bud` : `Wash the ${nameOf(part)} in soapy water`,
      how: isTried
        ? `First where nobody looks, wait, then little by little: ${limit}.`
        : 'Lukewarm water and a drop of soap, soft brush, rinse, dry on a cloth. Nothing stronger without a test on a hidden spot.',
      because: `${capitalise(part.material)}${isTried ? `: ${reason}` : ''}. Plastics: ${context.because('S18')}${first}`,
    };
  },
  brush: (draft, context) => ({
    title: `Brush the ${firstPart(draft, context)} dry`,
    how: 'Soft dry brush, a barely damp bud where it must be, nothing else. No water, no solvent.',
    because: draft.detail.isBrittle
      ? 'Finding: brittle. It is handled once, last of all, and not washed: water goes into the cracks, and drying it bends it.'
      : `${capitalise(draft.detail.verdict.material)}: ${draft.detail.verdict.reason}.`,
  }),
  'wash-bare': ({ partKeys, detail: { limit, materials } }, { partOf }) => ({
    title: `Wash the ${listNames(partKeys.map((key) => nameOf(partOf(key))))}`,
    how: `Lukewarm water and a drop of soap, a toothbrush into treads and hubs; ${limit}. Then a wipe of degreaser: soap leaves a film of its own.`,
    because: `No coat is written down or planned on it: ${listNames(materials)}. Old grease is dirt tomorrow.`,
  }),
  keep: (draft, context) => {
    const how =
      'Soft dry brush; where dirt sticks, a barely damp bud rolled, not rubbed. Old paint that lifts is left and written down.';
    return context.partOf(draft.partKeys[0]).isKept
      ? {
          title: `Dust the ${firstPart(draft, context)} and leave it as it is`,
          how: `${how} No stripper, abrasive or polish; it is covered while others are worked on.`,
          because: 'It is kept as it is.',
        }
      : {
          title: `Clean the ${firstPart(draft, context)} and keep the wear`,
          how,
          because: `End state: ${context.because('S22')}`,
        };
  },
  'plating-test': (draft, context) => ({
    title: `Try caustic on a hidden spot of the ${firstPart(draft, context)}`,
    how: 'One drop on the back, two minutes, rinse. Plating gone and plastic unchanged: go on. Dull or soft: it is acetate or polycarbonate, and never meets caustic.',
    because: 'What is under the plating shows only there; electroplated parts keep theirs.',
  }),
  'plating-off': (draft, context) => ({
    title: `Take the plating off the ${firstPart(draft, context)} in caustic`,
    how: 'Nothing else of plastic in the bath: glazing and tyres stay in their bags. Under, look every minute, out as soon as it is clear. Plenty of water, then dry.',
    because: `Planned on it: ${draft.detail.coats.join(', ')}. New ink does not hold on worn plating.${draft.detail.finding ? ` ${sayFinding(draft.detail.finding)}` : ''}`,
  }),
  'plating-rinse': (draft, context) => ({
    title: `Rinse and dry the ${firstPart(draft, context)}`,
    how: 'Water until it no longer feels slippery through the glove, a soft brush into the grooves. Dry on a cloth, no heat.',
    because: 'Caustic left in a groove lifts the new coat.',
  }),
  polish: (draft, context) => {
    const { grits, finish, because } = draft.detail.ladder;
    return {
      title: `Polish the ${firstPart(draft, context)}`,
      how: `Wet, on a flat cork: ${grits.join(', then ')}; then ${finish}. Each crossways to the last, until its scratches are gone. Dust it off with water, no solvent.`,
      because: `${sayFinding(draft.detail.finding)} ${because}`,
    };
  },
  wheels: (draft, context) => {
    const { title, how } = WHEELS[context.option('S14')];
    const { finding } = draft.detail;
    return {
      title: title(firstPart(draft, context)),
      how,
      because: `${finding ? `${sayFinding(finding)} ` : ''}Wheels: ${context.because('S14')}`,
    };
  },
  air: (draft, context) => ({
    title: `Air the ${firstPart(draft, context)} apart from the others`,
    how: 'After washing, in an open box away from other models; until then bagged. Note what took it off.',
    because: sayFinding(draft.detail.finding),
  }),
};
