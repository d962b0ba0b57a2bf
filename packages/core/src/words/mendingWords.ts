import type { Mend } from '../compile/planTypes.ts';
import type { MendMethod } from '../model/mend.ts';
import { MEND_HOW } from '../process/chooseMend.ts';
import { listNames, sayFinding } from './names.ts';
import type { WordsFor } from './wordsFor.ts';
import { eachPart, firstPart } from './words.ts';

const WITH: Readonly<Record<MendMethod, string>> = {
  'glue and powder': 'with glue and powder',
  gel: 'with gel adhesive',
  splint: 'with a metal splint',
  'new piece': 'with a new piece',
  solder: 'with solder',
  resin: 'with resin',
  'filler on primer': 'with filler on the primer',
};

export const MENDING_WORDS: WordsFor<
  'hold-crack' | 'straighten' | 'mend' | 'refill' | 'reprime' | 'wipe' | 'dress' | 'dress-lines'
> = {
  straighten: (draft, context) => {
    const { plan, finding, pair } = draft.detail;
    const both = pair
      ? `Halves screwed together, axles in line from the end: that is how the twist is seen, and it is bent out of both as a pair. `
      : '';
    return {
      title: `Straighten the ${eachPart(draft, context)}${pair ? ' as a pair' : ''}, ${plan.isWarm ? 'warm' : 'cold'}`,
      how: both + plan.how.join(' '),
      because: `${sayFinding(finding)} Straightening: ${context.because('S17')}`,
    };
  },
  'hold-crack': (draft, context) => ({
    title: `Hold the crack of the ${firstPart(draft, context)} before it is bent`,
    how: 'Mark its end with a scratch. A strip of brass across it in padded jaws, so that the bend opens elsewhere. The crack grows past the mark: stop, and leave the bend.',
    because: `${sayFinding(draft.detail.finding)} It is bent too, and a crack runs on when the metal moves.`,
  }),
  mend: (draft, context) => {
    const { mends } = draft.detail;
    const best = mends[0]!.advice.best!;
    const features = [...new Set(mends.map(({ finding }) => finding.feature).filter(Boolean))];
    return {
      title: `Mend the ${features.length ? `${listNames(features)} of the ` : ''}${firstPart(draft, context)} ${WITH[best]}`,
      how: MEND_HOW[best],
      because: mends.map(sayMend).join(' '),
    };
  },
  refill: (draft, context) => ({
    title: `Fill the pits of the ${firstPart(draft, context)} on the primer`,
    how: MEND_HOW['filler on primer'],
    because: sayMend(draft.detail),
  }),
  reprime: (draft, context) => ({
    title: `Prime the ${firstPart(draft, context)} again`,
    how: 'Thin, only over what was filled and rubbed. Raking light once more. Log the coat.',
    because: 'Filler drinks colour and shows through it.',
  }),
  wipe: (draft, context) => {
    const { finding, verdict } = draft.detail;
    return {
      title: `Wipe the rust off the ${firstPart(draft, context)} with oil, no abrasive`,
      how: 'Oil and a soft cloth, gloves; degrease afterwards. Never sanded, ground, wire-wheeled or heated.',
      because: `${sayFinding(finding)} No abrasive on ${verdict.material}: ${verdict.reason}.`,
    };
  },
  dress: (draft, context) => {
    const { finding, ladder, isThin } = draft.detail;
    const { grits, finish, because } = ladder;
    const name = firstPart(draft, context);
    const inChuck = draft.method === 'in a chuck';
    return {
      title: inChuck ? `Clean up the ${name} in a chuck` : `Rub the rust off the ${name}, wet`,
      how: inChuck
        ? `Emery on a flat stick, never wrapped round finger and axle: ${grits.join(', then ')}; then ${finish}. Gloves off, nothing loose.`
        : `Only where it is rusted: wet ${grits.join(', ')}. Dried warm at once, primed the same day.`,
      because: `${sayFinding(finding)} ${because}${isThin ? ' The tin beside it is thin.' : ''}`,
    };
  },
  'dress-lines': (draft, context) => ({
    title: `Dress the parting lines of the ${firstPart(draft, context)}`,
    how: `Fine file with the curve, then wet ${draft.detail.grits.join(', ')}. Cast lettering, rivets and hinges are guarded with tape and left.`,
    because: `Parting lines: ${context.because('S1')}`,
  }),
};

const sayMend = ({ finding, advice: { because, insteadOf } }: Mend) =>
  `${sayFinding(finding)} Cracks and gaps: ${because}.${insteadOf ? ` Not ${insteadOf.method}: ${insteadOf.reason}.` : ''}`;
