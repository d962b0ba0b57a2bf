import type { JointKind } from '../model/catalogue.ts';
import type { SchoolOption } from '../model/school.ts';
import type { PlanContext } from '../compile/planContext.ts';
import type { PlanJoint } from '../facts/specimenFacts.ts';
import { getSchool } from '../schools/schools.ts';
import { findBrittle } from '../opening/findBrittle.ts';
import { capitalise, listNames, nameOf } from './names.ts';
import type { WordsFor } from './wordsFor.ts';
import { always, firstPart } from './words.ts';

/** What is made on the bench before such a joint is forced. */
const SPECIAL_TOOLS: Partial<Record<JointKind, string>> = {
  'peened pin': 'a drift a little thinner than the pin, and a block with a hole for it',
  'sprung pin': 'a fork of wire that holds the spring back',
  'bent tab': 'a wedge ground flat, and a block that fits inside',
};

/** How the answer to a school is done. */
const ANSWER_HOW: Readonly<Partial<Record<SchoolOption, string>>> = {
  'pilot first': 'Open the pilot up in two steps until the head falls off.',
  'big bit first': 'A bit as wide as the head (about 6 mm), only until the head comes away.',
  'deburring cutter': 'Turn the cutter by hand until the head is thin as paper and lifts off.',
  'grind one head':
    'A small stone along the head until it is flush, in short touches: hot, it melts what is beside it.',
  pull: 'Wet, file the dome flush with the wheel. A drop of oil, turn it loose, then pull on the other head with smooth jaws, in line.',
  'cut through': 'Close to the wheel, an eye on where the end flies: goggles, a cloth over it.',
};

export const OPENING_WORDS: WordsFor<
  'tool' | 'axle-in-hand' | 'free' | 'pilot' | 'open' | 'separate' | 'meltables-out'
> = {
  tool: ({ of }) => {
    const kind = of?.jointKind;
    return {
      title: `Have ready: ${(kind && SPECIAL_TOOLS[kind]) ?? 'a tool for it'}`,
      how: 'Make it, or find the one made before: it is in Workshop. Try it beside the joint, not on it.',
      because: `There is a ${kind} to open; forced with what is at hand, it breaks.`,
    };
  },
  'axle-in-hand': ({ of }, { jointOf }) => {
    const joint = jointOf(of?.jointKey);
    return {
      title: `Measure the ${joint.label}; lay the replacement beside it`,
      how: 'Diameter, length over both heads, what is left when a head is gone. Too short to form again: a new axle of that length lies here before the old one is touched.',
      because: `Afterwards gone: ${joint.way.destroys}.`,
    };
  },
  free: (draft, context) => ({
    title: `Penetrating oil on the seized ${firstPart(draft, context)}`,
    how: 'A drop at each end, overnight, turn by hand. Keep it off paint that stays and off tyres; degrease before anything is painted.',
    because: 'Finding: seized. Forced, it takes the casting with it.',
  }),
  pilot: ({ of }, { jointOf, because }) => ({
    title: `Drill a pilot hole: ${jointOf(of?.jointKey).label}`,
    how: 'Centre-punch lightly, 1 mm bit straight down the middle. If it wanders, lean a smaller bit back to the centre before going deeper.',
    because: `Rivet: ${because('S3')}`,
  }),
  open: ({ of }, context) => {
    const joint = context.jointOf(of?.jointKey);
    const { school: answer } = joint.way;
    const school = answer && context.option(answer.key) === answer.option ? answer.key : null;
    return {
      title: `${joint.way.label}: ${joint.label}`,
      how: describeWay(joint, context),
      because: `${joint.because ?? 'It is opened.'} ${Math.round(joint.way.risk * 100)} % risk of damage (planning estimate).${school ? ` ${getSchool(school).question}: ${context.because(school)}` : ''}`,
    };
  },
  separate: always(
    'Separate the halves, note side and order',
    'Ease them apart level. Photograph each part as it comes off: wheels have an inside, seats have notches.',
    'Parts with different treatments must come apart.',
  ),
  'meltables-out': ({ partKeys, detail: { materials } }, { partOf }) => ({
    title: `Take out ${listNames(partKeys.map((key) => partOf(key).name))}`,
    how: 'Old plastic is brittle: warm it in the hand, flex nothing, bag and label each part.',
    because: `${capitalise(listNames(materials))} cannot stand what the metal gets.`,
  }),
};

/** Eased, it snaps. */
function sayBrittle(joint: PlanJoint, parts: PlanContext['input']['parts']): string {
  const brittle = findBrittle(joint, parts);
  return brittle
    ? ` The ${nameOf(brittle)} is brittle: warm it through first, with lukewarm air or in the hand, flex and lever nothing; where it does not come by itself it stays in.`
    : '';
}

function describeWay(joint: PlanJoint, { input }: PlanContext): string {
  const lost = joint.way.destroys ? ` Afterwards gone: ${joint.way.destroys}.` : ' Nothing is destroyed.';
  const behind = joint.way.behindJoints.length ? ' Reached only after the joints before it.' : '';
  const answer = joint.way.school && ANSWER_HOW[joint.way.school.option];
  const tapered = joint.kind === 'tapered pin' ? ' A wedge from each side, in turn, never a blow along the pin.' : '';
  return `${capitalise(joint.kind)}. Photograph it first, support the casting close to the joint.${answer ? ` ${answer}` : ''}${tapered}${sayBrittle(joint, input.parts)}${behind}${lost}`;
}
