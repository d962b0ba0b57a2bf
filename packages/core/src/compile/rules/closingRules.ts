import type { JointKind, PartRole } from '../../model/catalogue.ts';
import type { TaskTag } from '../../model/work.ts';
import { judgePart } from '../../process/judgePart.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanJoint, PlanPart, TaskDraft } from '../planTypes.ts';
import { selectTappedPosts } from '../selectTappedPosts.ts';
import { uses, type Use } from '../../supply/supplies.ts';
import { nameOf, type PlanRule } from './planRule.ts';

/** Parts that are put back one by one, and the tag the order rules know them by. */
const FITTED: Partial<Record<PartRole, TaskTag>> = {
  glazing: 'glazing in',
  interior: 'interior in',
  mechanism: 'mechanism in',
  base: 'base on',
};

interface Closing {
  readonly title: string;
  readonly how: string;
  readonly minutes: number;
  /** Until it may be handled (planning estimate). */
  readonly cureMin?: number;
  readonly uses?: readonly Use[];
}

const CLOSING: Readonly<Record<JointKind, Closing>> = {
  'rivet post': {
    title: 'Run the screw home',
    how: 'Screw in by hand, stop when it seats: zinc threads strip.',
    minutes: 4,
  },
  screw: { title: 'Run the screw home', how: 'By hand, stop when it seats.', minutes: 3 },
  'bent tab': {
    title: 'Bend the tabs back',
    how: 'One bend, supported, no further than it was. Each bend costs strength.',
    minutes: 6,
  },
  'formed axle': { title: 'Form the axle ends', how: '', minutes: 12 },
  snap: { title: 'Snap it in', how: 'Warm the plastic in the hand, press level.', minutes: 3 },
  glue: {
    title: 'Glue it in',
    how: 'Dry-fit, then the least that holds. Nothing near the glazing that fogs. It carries nothing before it has cured.',
    minutes: 6,
    cureMin: 720,
    uses: uses(['gel adhesive', 0.3]),
  },
  solder: {
    title: 'Solder it back',
    how: 'Tin both faces, copper tab where it must bear, heat-sink beside it. Rinse the flux for long.',
    minutes: 15,
    uses: uses(['solder and flux', 1], ['soldering iron']),
  },
  'peened pin': {
    title: 'Peen the pin',
    how: 'Light taps, support under the far end. It must still swing.',
    minutes: 8,
  },
  'sprung pin': {
    title: 'Hook the spring, push the pin home',
    how: 'Spring on its lugs first; swing it through its whole travel three times.',
    minutes: 8,
  },
  'push fit': { title: 'Push it home', how: 'Straight, with a rag between finger and part.', minutes: 3 },
};

/** How an axle end is formed, by school (S5). */
const FORMING: Readonly<Record<string, { readonly how: string; readonly uses: readonly Use[] }>> = {
  'cupped punch in a press': {
    how: 'The cupped punch in a press: little by little, look after each.',
    uses: uses(['press with a cupped punch']),
  },
  'ground screw in a hand drill': {
    how: 'A screw ground hollow, turned in a hand drill against the end, a drop of oil; slow.',
    uses: uses(['bench drill'], ['cutting oil', 0.5]),
  },
  'hammer on a dimple': {
    how: 'Centre-punch a dimple so that the rim folds, then light blows round it on a hard block.',
    uses: uses(['small hammer and dimple punch']),
  },
  'crimp flat': {
    how: 'Smooth-jawed locking pliers, closed in three steps, the flat wider than the bore; not below two thirds of the wire at once.',
    uses: uses(['smooth-jawed locking pliers']),
  },
  'hub hammered on': {
    how: 'The hub driven straight onto the axle over a tube, supported at the far hub; nothing is formed.',
    uses: uses(['small hammer and dimple punch']),
  },
};

/** What is bent or struck beside new paint. */
const CHIPS: ReadonlySet<JointKind> = new Set<JointKind>(['bent tab', 'peened pin']);

/** An axle whose ends are formed anew; one that was only lifted out of its slots is set back. */
const isFormed = (joint: PlanJoint) => joint.kind === 'formed axle' && joint.way.destroys !== '';

const SET_BACK: Closing = {
  title: 'Set the axles back',
  how: 'Wheels the right way round, into their slots, ears closed no further than they were.',
  minutes: 6,
};

/** Cyanoacrylate fogs clear parts. */
const CLEAR_GLUE: Closing = {
  title: 'Glue it in',
  how: 'Dry-fit, then a film of white glue that dries clear, wiped off wet where it shows. No cyanoacrylate near it: it fogs.',
  minutes: 6,
  cureMin: 720,
  uses: uses(['clear-drying white glue', 0.3]),
};

const FALSE_RIVET: Closing = {
  title: 'Glue the false rivet on',
  how: 'The shaved head over its hole with the least adhesive that holds. It cannot be opened again without breaking it.',
  minutes: 6,
  cureMin: 720,
  uses: uses(['gel adhesive', 0.3]),
};

/** Solder holds until the part beside it is painted: it is done in bare metal, where nothing must be closed before it. */
export const isSolderedFirst = (joint: PlanJoint, { input, materialsOf }: PlanContext) =>
  joint.kind === 'solder' &&
  input.opening.every((other) => !other.way.behindJoints.includes(joint.key)) &&
  joint.partKeys.every((key) => {
    const part = input.parts.find((one) => one.key === key);
    if (part === undefined) return true;
    return !FITTED[part.role] && judgePart(materialsOf(part), 'soldering').verdict !== 'never';
  });

/** Close: everything back in the construction's own order. */
export const CLOSING_RULES: readonly PlanRule[] = [
  {
    id: 'anneal-axle',
    when: 'bare steel axle ends are crimped flat',
    serves: ['O10', 'O28', 'O37', 'S5'],
    create: ({ input, option, because, workable }) => {
      if (option('S5') !== 'crimp flat') return [];
      return input.opening
        .filter((joint) => joint.kind === 'formed axle')
        .flatMap((joint): TaskDraft[] => {
          const axles = workable.filter(
            (part) =>
              joint.partKeys.includes(part.key) && part.role === 'axle' && part.material === 'steel' && !part.painted,
          );
          if (axles.length === 0) return [];
          return [
            {
              key: `anneal:${joint.key}`,
              station: 'strip',
              title: `Anneal the ends of the ${joint.label}, off the model`,
              partKeys: axles.map((part) => part.key),
              tags: ['anneal', 'heat', 'flame'],
              process: 'torch anneal',
              hazards: ['torch'],
              handsOnMin: 8,
              watchedMin: 10,
              how: 'Bare steel only, the end red, cooled in air on a brick; not quenched. Magnet sticks, no plating anywhere: in doubt it is plated, and never heated.',
              because: `Forming axle ends: ${because('S5')} Unannealed steel cracks in the crimp.`,
              uses: uses(['torch']),
            },
          ];
        });
    },
  },
  {
    id: 'fit-part',
    when: 'a part came out and goes back by itself',
    serves: ['O26', 'O31', 'S23', 'N21'],
    create: ({ input, isFreed, option }) =>
      input.parts.filter(isFreed).flatMap((part) => createFitTasks(part, option('S23'))),
  },
  {
    id: 'try-motion',
    when: 'something moves inside',
    serves: ['O31'],
    create: ({ input: { parts, opening }, isFreed }) => {
      const moving = parts.filter((part) => part.role === 'mechanism' && isFreed(part));
      return moving.length === 0 || opening.length === 0
        ? []
        : [
            {
              key: 'try-motion',
              station: 'close',
              title: 'Try everything that moves before it is shut in',
              partKeys: moving.map((part) => part.key),
              tags: ['motion check', 'handling'],
              handsOnMin: 5,
              how: 'Through its whole travel three times, spring in place, nothing rubbing on new paint.',
              because: 'After the base is on nobody reaches it.',
            },
          ];
    },
  },
  {
    id: 'wheel-check',
    when: 'axle ends are formed',
    serves: ['O27', 'N8'],
    create: ({ input }) =>
      input.opening.filter(isFormed).map((joint) => ({
        key: `check:${joint.key}`,
        station: 'close' as const,
        title: `Look before the ${joint.label} are formed: wheels, ride height`,
        partKeys: joint.partKeys,
        jointKey: joint.key,
        tags: ['wheel check' as const],
        handsOnMin: 4,
        how: 'Every wheel the right way round, all four on the ground, level front and rear, tyres clear of the arches, each wheel spins.',
        because: 'The last two that fit are often the last two there are.',
      })),
  },
  {
    id: 'close-joint',
    when: 'a joint was opened',
    serves: ['O7', 'O30', 'S2', 'S5', 'N49'],
    create: (context) => {
      const tapped = selectTappedPosts(context.input);
      return [...context.input.opening]
        .reverse()
        .map((joint) => createClosingTask(joint, tapped.has(joint.key), context));
    },
  },
  {
    id: 'turn-tip-spin',
    when: 'everything is closed',
    serves: ['O29', 'O31'],
    create: ({ input: { parts, opening } }) =>
      opening.length === 0
        ? []
        : [
            {
              key: 'check-motion',
              station: 'close',
              title: 'Turn, tip and spin',
              partKeys: parts
                .filter((part) => part.role === 'mechanism' || part.role === 'wheel')
                .map((part) => part.key),
              tags: ['handling'],
              handsOnMin: 5,
              how: 'Every wheel spins, everything that tips does so freely, nothing rubs on new paint.',
              because: 'The last moment at which it can be put right without opening it again.',
            },
          ],
  },
  {
    id: 'touch-in',
    when: 'axle ends were formed, tabs bent or pins peened',
    serves: ['O29'],
    create: ({ input }) => {
      const rough = input.opening.filter((joint) => isFormed(joint) || CHIPS.has(joint.kind));
      return rough.length
        ? [
            {
              key: 'touch-in',
              station: 'close',
              title: 'Touch in what the closing chipped',
              partKeys: [],
              tags: ['touch in', 'handling'],
              handsOnMin: 10,
              passiveMin: 60,
              how: 'Body colour from the tip of a fine brush, only where metal shows.',
              because: `Forming and bending chips paint: ${rough.map((joint) => joint.label).join(', ')}.`,
            },
          ]
        : [];
    },
  },
];

function createFitTasks(part: PlanPart, cleaning: string): TaskDraft[] {
  const tag = FITTED[part.role];
  if (!tag) return [];
  const clear = cleaning === 'cloth on clear parts' ? 'Soft lint-free cloth' : 'Soft brush and a breath, no cloth';
  return [
    {
      key: `clean:${part.key}`,
      station: 'close',
      title: `Clean the ${nameOf(part)} for fitting`,
      partKeys: [part.key],
      tags: ['clean part'],
      handsOnMin: 4,
      how:
        part.role === 'glazing'
          ? `${clear}; look through it at the lamp.`
          : 'Dust out of every corner, no finger marks.',
      because: 'Once it is in, nobody reaches it.',
    },
    {
      key: `fit:${part.key}`,
      station: 'close',
      title: `Fit the ${nameOf(part)}`,
      partKeys: [part.key],
      tags: ['fit part', tag, 'handling'],
      handsOnMin: 6,
      how:
        part.role === 'mechanism'
          ? 'On its lugs first, spring in place, swing it once.'
          : 'As the opening photos show it; never force it.',
      because: 'It came out at Open.',
    },
  ];
}

function createClosingTask(joint: PlanJoint, isTapped: boolean, context: PlanContext): TaskDraft {
  const isFalseRivet = joint.kind === 'rivet post' && !isTapped;
  const soldered = joint.kind === 'solder' ? isSolderedFirst(joint, context) : false;
  // Solder on finished paint burns it, and some metals do not stand it at all: then it is glued.
  const kind = joint.kind === 'solder' && !soldered ? 'glue' : joint.kind;
  const isAxle = isFormed(joint);
  const isClear = kind === 'glue' && hasClearPart(joint, context);
  const closing = isFalseRivet
    ? FALSE_RIVET
    : isClear
      ? CLEAR_GLUE
      : kind === 'formed axle' && !isAxle
        ? SET_BACK
        : CLOSING[kind];
  const school = context.option('S5');
  const forming = isAxle ? (FORMING[school] ?? FORMING['cupped punch in a press']!) : null;
  const isGlued = kind === 'glue' || isFalseRivet;
  return {
    key: `close:${joint.key}`,
    station: soldered ? 'strip' : 'close',
    title: `${closing.title}: ${joint.label}`,
    partKeys: joint.partKeys,
    jointKey: joint.key,
    tags: soldered
      ? ['repair', 'solder', 'spark', 'heat']
      : [
          'close joint',
          'handling',
          ...(isAxle ? (['form axle ends'] as const) : []),
          ...(isGlued ? (['glue'] as const) : []),
        ],
    ...(soldered ? { process: 'soldering' } : {}),
    hazards: soldered ? ['soldering-iron'] : isGlued && !isClear ? ['cyanoacrylate'] : [],
    ...(isAxle ? { cannotBeUndone: 'a formed axle end cannot be formed again' } : {}),
    handsOnMin: closing.minutes,
    ...(closing.cureMin ? { passiveMin: closing.cureMin } : {}),
    how: forming ? `Running clearance on both sides, then: ${forming.how}` : closing.how,
    because: describeWhyClosed(joint, soldered, context),
    uses: forming?.uses ?? closing.uses ?? [],
  };
}

const hasClearPart = (joint: PlanJoint, { input, materialsOf }: PlanContext) =>
  input.parts.some(
    (part) => joint.partKeys.includes(part.key) && judgePart(materialsOf(part), 'cyanoacrylate').verdict === 'never',
  );

function describeWhyClosed(joint: PlanJoint, soldered: boolean, { because }: PlanContext): string {
  const opened = `Opened before: ${joint.label}.`;
  if (isFormed(joint)) return `${opened} Forming: ${because('S5')}`;
  if (joint.kind === 'rivet post') return `${opened} Closing: ${because('S2')}`;
  if (joint.kind !== 'solder') return opened;
  return soldered
    ? `${opened} In bare metal: solder on paint burns it, and the part is never baked afterwards.`
    : `${opened} Glued, not soldered: what it holds does not stand the iron, or is painted by now.`;
}
