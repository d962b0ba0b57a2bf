import { isMetal } from '../model/material.ts';
import type { JointKind } from '../model/catalogue.ts';
import type { SchoolOption } from '../model/school.ts';
import type { ClosingKind } from '../compile/planTypes.ts';
import type { PlanContext } from '../compile/planContext.ts';
import type { PlanJoint } from '../facts/specimenFacts.ts';
import { sayCondition } from './sayCondition.ts';
import type { WordsFor } from './wordsFor.ts';
import { always, firstPart } from './words.ts';

interface ClosingText {
  readonly title: string;
  readonly how: string;
}

const BY_KIND: Readonly<Record<JointKind, ClosingText>> = {
  'rivet post': { title: 'Run the screw home', how: 'Screw in by hand, stop when it seats: zinc threads strip.' },
  screw: { title: 'Run the screw home', how: 'By hand, stop when it seats.' },
  'bent tab': {
    title: 'Bend the tabs back',
    how: 'One bend, supported, no further than it was. Each bend costs strength.',
  },
  'formed axle': { title: 'Form the axle ends', how: '' },
  snap: { title: 'Snap it in', how: 'Warm the plastic in the hand, press level.' },
  glue: {
    title: 'Glue it in',
    how: 'Dry-fit, then the least that holds. Nothing near the glazing that fogs. It carries nothing before it has cured.',
  },
  solder: {
    title: 'Solder it back',
    how: 'Tin both faces, copper tab where it must bear, heat-sink beside it. Rinse the flux for long.',
  },
  'peened pin': { title: 'Peen the pin', how: 'Light taps, support under the far end. It must still swing.' },
  'tapered pin': {
    title: 'Squeeze the pin home',
    how: 'Thin end first, in padded jaws, slowly, straight: a blow splits the boss. It sits when the halves touch.',
  },
  'sprung pin': {
    title: 'Hook the spring, push the pin home',
    how: 'Spring on its lugs first; swing it through its whole travel three times.',
  },
  'push fit': { title: 'Push it home', how: 'Straight, with a rag between finger and part.' },
};

const OTHERWISE: Readonly<Record<Exclude<ClosingKind, 'as its kind' | 'formed'>, ClosingText>> = {
  soldered: BY_KIND.solder,
  'set back': {
    title: 'Set the axles back',
    how: 'Wheels the right way round, into their slots, ears closed no further than they were.',
  },
  'pressed in': {
    title: 'Press the axle in',
    how: 'It fits tight as it is: straight in, a rag under the hub; spin every wheel. Loose after a few turns, it is formed after all.',
  },
  'false rivet': {
    title: 'Glue the false rivet on',
    how: 'The shaved head over its hole with the least adhesive that holds. It cannot be opened again without breaking it.',
  },
  glued: BY_KIND.glue,
  'glued clear': {
    title: 'Glue it in',
    how: 'Dry-fit, then a film of white glue that dries clear, wiped off wet where it shows. No cyanoacrylate near it: it fogs.',
  },
};

/** How an axle end is formed. */
const FORMING: Readonly<Record<SchoolOption<'S5'>, string>> = {
  'cupped punch in a press': 'The cupped punch in a press: little by little, look after each.',
  'ground screw in a hand drill': 'A screw ground hollow, turned in a hand drill against the end, a drop of oil; slow.',
  'hammer on a dimple': 'Centre-punch a dimple so that the rim folds, then light blows round it on a hard block.',
  'crimp flat':
    'Smooth-jawed locking pliers, closed in three steps, the flat wider than the bore; not below two thirds of the wire at once.',
  'none, it fits tight': 'Nothing is formed.',
  'hub hammered on': 'The hub driven straight onto the axle over a tube, supported at the far hub; nothing is formed.',
};

export const CLOSING_WORDS: WordsFor<
  'anneal' | 'clean' | 'fit' | 'try-motion' | 'check' | 'close' | 'check-motion' | 'touch-in'
> = {
  anneal: ({ of }, { jointOf, because }) => ({
    title: `Anneal the ends of the ${jointOf(of?.jointKey).label}, off the model`,
    how: 'Bare steel only, the end red, cooled in air on a brick; not quenched. Magnet sticks, no plating anywhere: in doubt it is plated, and never heated.',
    because: `Forming axle ends: ${because('S5')} Unannealed steel cracks in the crimp.`,
  }),
  clean: (draft, context) => {
    const isGlazing = context.partOf(draft.partKeys[0]).role === 'glazing';
    const clear =
      context.option('S23') === 'cloth on clear parts' ? 'Soft lint-free cloth' : 'Soft brush and a breath, no cloth';
    return {
      title: `Clean the ${firstPart(draft, context)} for fitting`,
      how: isGlazing ? `${clear}; look through it at the lamp.` : 'Dust out of every corner, no finger marks.',
      because: 'Once it is in, nobody reaches it.',
    };
  },
  fit: (draft, context) => ({
    title: `Fit the ${firstPart(draft, context)}`,
    how:
      context.partOf(draft.partKeys[0]).role === 'mechanism'
        ? 'On its lugs first, spring in place, swing it once.'
        : 'As the opening photos show it; never force it.',
    because: context.partOf(draft.partKeys[0]).newPart
      ? 'It takes the place of the old one.'
      : context.shut.some((joint) => joint.partKeys.includes(draft.partKeys[0]!))
        ? 'It came out at Open.'
        : 'It was found out of its place.',
  }),
  'try-motion': always(
    'Try everything that moves before it is shut in',
    'Through its whole travel three times, spring in place, nothing rubbing on new paint.',
    'After the base is on nobody reaches it.',
  ),
  check: ({ of }, { jointOf }) => ({
    title: `Look before the ${jointOf(of?.jointKey).label} are formed: wheels, ride height`,
    how: 'Every wheel the right way round, all of them on the ground, level front and rear, tyres clear of the arches, each wheel spins.',
    because: 'The last two that fit are often the last two there are.',
  }),
  close: ({ of, detail: { closing, fits } }, context) => {
    const joint = context.jointOf(of?.jointKey);
    const text = closing === 'as its kind' || closing === 'formed' ? BY_KIND[joint.kind] : OTHERWISE[closing];
    return {
      title: `${text.title}: ${joint.label}`,
      how: `${fits ? 'As the opening photos show it; never force it. ' : ''}${describeHow(joint, closing, context) ?? text.how}`,
      because: describeWhyClosed(joint, closing, context),
    };
  },
  'check-motion': always(
    'Turn, tip and spin',
    'Every wheel spins, everything that tips does so freely, nothing rubs on new paint.',
    'The last moment at which it can be put right without opening it again.',
  ),
  'touch-in': ({ detail: { rough } }) => ({
    title: 'Touch in what the closing chipped',
    how: 'Body colour from the tip of a fine brush, only where metal shows.',
    because: `Forming and bending chips paint: ${rough.join(', ')}.`,
  }),
};

/** Where the kind of joint alone does not say how. */
function describeHow(
  { kind, partKeys }: PlanJoint,
  closing: ClosingKind,
  { option, input }: PlanContext,
): string | null {
  if (closing === 'formed') return `Running clearance on both sides, then: ${FORMING[option('S5')]}`;
  const isMetalOnly = input.parts.every((part) => !partKeys.includes(part.key) || isMetal(part.material));
  if (kind === 'snap' && isMetalOnly)
    return 'One side under its tang, then level pressure over the others. Tangs are not bent to meet it: each bend costs strength.';
  return null;
}

function describeWhyClosed(
  { label, kind, condition }: PlanJoint,
  closing: ClosingKind,
  { because }: PlanContext,
): string {
  const opened =
    condition && condition !== 'glued'
      ? `It was found ${sayCondition(condition)}${condition === 'lost' ? ': a new one goes in' : ''}.`
      : `Opened before: ${label}.`;
  if (closing === 'formed') return `${opened} Forming: ${because('S5')}`;
  if (kind === 'rivet post') return `${opened} Closing: ${because('S2')}`;
  if (kind === 'snap' && closing !== 'as its kind') return `${opened} Glued, not snapped in: what it holds is brittle.`;
  if (kind !== 'solder') return opened;
  return closing === 'soldered'
    ? `${opened} In bare metal: solder on paint burns it, and the part is never baked afterwards.`
    : `${opened} Glued, not soldered: what it holds does not stand the iron, or is painted by now.`;
}
