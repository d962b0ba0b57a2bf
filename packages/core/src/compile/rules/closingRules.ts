import { usualDrying } from '../../film/planDrying.ts';
import { isPestSuspect } from '../../facts/chooseTreatment.ts';
import type { JointKind } from '../../model/catalogue.ts';
import type { PartRole } from '../../model/partRole.ts';
import { traitsOf } from '../../model/material.ts';
import type { SchoolOption } from '../../model/school.ts';
import { uses, type Use } from '../../model/supply.ts';
import type { TaskTag } from '../../model/taskTags.ts';
import { findBrittle } from '../../opening/findBrittle.ts';
import { judgePart } from '../../process/judgePart.ts';
import type { PlanJoint, PlanPart } from '../../facts/specimenFacts.ts';
import type { PlanContext } from '../planContext.ts';
import type { ClosingKind, TaskDraft } from '../planTypes.ts';
import { selectTappedPosts } from '../selectTappedPosts.ts';
import type { PlanRule } from './planRule.ts';

/** Parts that are put back one by one, and the tag the order rules know them by. */
const FITTED: Partial<Record<PartRole, TaskTag>> = {
  glazing: 'glazing in',
  interior: 'interior in',
  mechanism: 'mechanism in',
  base: 'base on',
};

interface ClosingFacts {
  readonly minutes: number;
  /** Until it may be handled (planning estimate). */
  readonly cureMin?: number;
  readonly uses?: readonly Use[];
}

const BY_KIND: Readonly<Record<JointKind, ClosingFacts>> = {
  'rivet post': { minutes: 4 },
  screw: { minutes: 3 },
  'bent tab': { minutes: 6 },
  'formed axle': { minutes: 12 },
  snap: { minutes: 3 },
  glue: { minutes: 6, cureMin: 720, uses: uses(['gel adhesive', 0.3]) },
  solder: { minutes: 15, uses: uses(['solder and flux', 1], ['soldering iron']) },
  'peened pin': { minutes: 8 },
  'tapered pin': { minutes: 5, uses: uses(['padded jaws']) },
  'sprung pin': { minutes: 8 },
  'push fit': { minutes: 3 },
};

const OTHERWISE: Readonly<Record<Exclude<ClosingKind, 'as its kind' | 'formed'>, ClosingFacts>> = {
  soldered: BY_KIND.solder,
  'set back': { minutes: 6 },
  'pressed in': { minutes: 6 },
  'false rivet': BY_KIND.glue,
  glued: BY_KIND.glue,
  'glued clear': { minutes: 6, cureMin: 720, uses: uses(['clear-drying white glue', 0.3]) },
};

const FORMING_USES: Readonly<Record<SchoolOption<'S5'>, readonly Use[]>> = {
  'cupped punch in a press': uses(['press with a cupped punch']),
  'ground screw in a hand drill': uses(['bench drill'], ['cutting oil', 0.5]),
  'hammer on a dimple': uses(['small hammer and dimple punch']),
  'crimp flat': uses(['smooth-jawed locking pliers']),
  'none, it fits tight': [],
  'hub hammered on': uses(['small hammer and dimple punch']),
};

/** What is bent or struck beside new paint. */
const CHIPS: ReadonlySet<JointKind> = new Set<JointKind>(['bent tab', 'peened pin']);

/** An axle whose ends are formed anew; one that was only lifted out of its slots is set back. */
const isFormed = ({ kind, way, condition }: PlanJoint) =>
  kind === 'formed axle' && (way.destroys !== '' || condition === 'lost' || condition === 'never assembled');

/** What a joint is closed with that was found without its fastener. */
const FASTENERS: Partial<Record<JointKind, readonly Use[]>> = {
  screw: uses(['closing screw', 1]),
  'formed axle': uses(['axle wire', 1]),
  'peened pin': uses(['pin wire', 10]),
  'sprung pin': uses(['pin wire', 10]),
};

/** Solder holds until the part beside it is painted: it is done in bare metal, where nothing must be closed before it. */
export const isSolderedFirst = (joint: PlanJoint, { input, materialsOf }: PlanContext) =>
  joint.kind === 'solder' &&
  input.opening.every((other) => !other.way.behindJoints.includes(joint.key)) &&
  joint.partKeys.every((key) => {
    const part = input.parts.find((one) => one.key === key);
    if (part === undefined) return true;
    return !FITTED[part.role] && !isPestSuspect(part) && judgePart(materialsOf(part), 'soldering').verdict !== 'never';
  });

/** Close: everything back in the construction's own order. */
export const CLOSING_RULES: readonly PlanRule[] = [
  {
    id: 'anneal-axle',
    when: 'bare steel axle ends are crimped flat',
    serves: ['O10', 'O28', 'O37', 'S5'],
    create: ({ input, option, workable }) => {
      if (option('S5') !== 'crimp flat') return [];
      return input.opening
        .filter((joint) => joint.kind === 'formed axle')
        .flatMap((joint): TaskDraft[] => {
          const axles = workable.filter(
            (part) =>
              joint.partKeys.includes(part.key) &&
              part.role === 'axle' &&
              traitsOf(part.material).isAnnealed &&
              !part.painted,
          );
          if (axles.length === 0) return [];
          return [
            {
              act: 'anneal',
              station: 'strip',
              partKeys: axles.map((part) => part.key),
              of: { jointKey: joint.key },
              tags: ['anneal', 'heat', 'flame'],
              process: 'torch anneal',
              hazards: ['torch'],
              handsOnMin: 8,
              watchedMin: 10,
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
    create: (context) => {
      const { input, isFreed, option } = context;
      const fitted = new Set(input.opening.map((joint) => findFitted(joint, context)?.key));
      return input.parts
        .filter(isFreed)
        .flatMap((part) => createFitTasks(part, option('S23')).slice(0, fitted.has(part.key) ? 1 : 2));
    },
  },
  {
    id: 'try-motion',
    when: 'something moves inside',
    serves: ['O31'],
    create: ({ input: { parts, opening }, isFreed }) => {
      const moving = parts.filter((part) => part.role === 'mechanism' && isFreed(part));
      if (moving.length === 0 || opening.length === 0) return [];
      return [
        {
          act: 'try-motion',
          station: 'close',
          partKeys: moving.map((part) => part.key),
          tags: ['motion check', 'handling'],
          handsOnMin: 5,
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
        act: 'check',
        station: 'close',
        partKeys: joint.partKeys,
        of: { jointKey: joint.key },
        tags: ['wheel check'],
        handsOnMin: 4,
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
              act: 'check-motion',
              station: 'close',
              partKeys: parts
                .filter((part) => part.role === 'mechanism' || part.role === 'wheel')
                .map((part) => part.key),
              tags: ['handling'],
              handsOnMin: 5,
            },
          ],
  },
  {
    id: 'touch-in',
    when: 'axle ends were formed, tabs bent or pins peened',
    serves: ['O29'],
    create: ({ input, option, isStripped }) => {
      // Where nothing wears paint there is none to touch in.
      if (input.parts.every((part) => part.coats.length === 0 && (!part.painted || isStripped(part)))) return [];
      const forms = option('S5') !== 'none, it fits tight';
      const rough = input.opening.filter((joint) => (forms && isFormed(joint)) || CHIPS.has(joint.kind));
      if (rough.length === 0) return [];
      return [
        {
          act: 'touch-in',
          station: 'close',
          partKeys: [],
          tags: ['touch in', 'handling'],
          handsOnMin: 10,
          passiveMin: usualDrying('colour').recoatMin,
          detail: { rough: rough.map((joint) => joint.label) },
        },
      ];
    },
  },
];

/** Closing such a joint is putting the part in: there is nothing else to fit. */
const FITS: ReadonlySet<JointKind> = new Set<JointKind>(['push fit', 'snap', 'glue']);

/** The part that this joint alone holds, and that goes in when it is closed; what lies in front of others is closed after them. */
function findFitted(joint: PlanJoint, { input, isFreed }: PlanContext): PlanPart | null {
  if (!FITS.has(joint.kind) || input.opening.some((other) => other.way.behindJoints.includes(joint.key))) return null;
  return (
    input.parts.find(
      (part) =>
        joint.partKeys.includes(part.key) &&
        FITTED[part.role] !== undefined &&
        isFreed(part) &&
        input.opening.every((other) => other === joint || !other.partKeys.includes(part.key)),
    ) ?? null
  );
}

function createFitTasks(part: PlanPart, cleaning: SchoolOption<'S23'>): TaskDraft[] {
  const tag = FITTED[part.role];
  if (!tag) return [];
  const partKeys = [part.key];
  return [
    { act: 'clean', station: 'close', partKeys, method: cleaning, tags: ['clean part'], handsOnMin: 4 },
    { act: 'fit', station: 'close', partKeys, tags: ['fit part', tag, 'handling'], handsOnMin: 6 },
  ];
}

function createClosingTask(joint: PlanJoint, isTapped: boolean, context: PlanContext): TaskDraft {
  const closing = chooseClosing(joint, isTapped, context);
  const isSoldered = closing === 'soldered';
  const isForming = closing === 'formed';
  const isGlued =
    closing === 'glued' ||
    closing === 'glued clear' ||
    closing === 'false rivet' ||
    (closing === 'as its kind' && joint.kind === 'glue');
  const facts = closing === 'as its kind' || closing === 'formed' ? BY_KIND[joint.kind] : OTHERWISE[closing];
  const fitted = findFitted(joint, context);
  return {
    act: 'close',
    station: isSoldered ? 'strip' : 'close',
    partKeys: fitted ? [fitted.key, ...joint.partKeys.filter((key) => key !== fitted.key)] : joint.partKeys,
    of: { jointKey: joint.key },
    method: isForming ? context.option('S5') : closing,
    tags: isSoldered
      ? ['repair', 'solder', 'spark', 'heat']
      : [
          'close joint',
          'handling',
          ...(fitted ? (['fit part', FITTED[fitted.role]!] as const) : []),
          // Pressed in, an axle comes out again no more than a formed one.
          ...(isForming || closing === 'pressed in' ? (['form axle ends'] as const) : []),
          ...(isForming || CHIPS.has(joint.kind) ? (['chip paint'] as const) : []),
          ...(isGlued ? (['glue'] as const) : []),
        ],
    ...(isSoldered ? { process: 'soldering' as const } : {}),
    hazards: isSoldered ? ['soldering-iron'] : isGlued && closing !== 'glued clear' ? ['cyanoacrylate'] : [],
    ...(isForming ? { cannotBeUndone: 'a formed axle end cannot be formed again' } : {}),
    handsOnMin: facts.minutes + (fitted ? 4 : 0),
    ...(facts.cureMin ? { passiveMin: facts.cureMin } : {}),
    uses: [
      ...(isForming ? FORMING_USES[context.option('S5')] : (facts.uses ?? [])),
      ...(joint.condition === 'lost' ? (FASTENERS[joint.kind] ?? []) : []),
    ],
    detail: { closing, fits: fitted !== null },
  };
}

function chooseClosing(joint: PlanJoint, isTapped: boolean, context: PlanContext): ClosingKind {
  if (joint.kind === 'rivet post' && !isTapped) return 'false rivet';
  if (joint.kind === 'solder' && isSolderedFirst(joint, context)) return 'soldered';
  // Solder on finished paint burns it, and some metals do not stand it at all: then it is glued.
  if (joint.kind === 'solder' || joint.kind === 'glue')
    return hasClearPart(joint, context) ? 'glued clear' : joint.kind === 'solder' ? 'glued' : 'as its kind';
  // Pressed over a tang, what is brittle snaps.
  if (joint.kind === 'snap' && findBrittle(joint, context.input.parts))
    return hasClearPart(joint, context) ? 'glued clear' : 'glued';
  if (joint.kind === 'formed axle') {
    if (!isFormed(joint)) return 'set back';
    return context.option('S5') === 'none, it fits tight' ? 'pressed in' : 'formed';
  }
  return 'as its kind';
}

/** Cyanoacrylate fogs clear parts. */
const hasClearPart = (joint: PlanJoint, { input, materialsOf }: PlanContext) =>
  input.parts.some(
    (part) => joint.partKeys.includes(part.key) && judgePart(materialsOf(part), 'cyanoacrylate').verdict === 'never',
  );
