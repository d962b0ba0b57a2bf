import type { JointKind } from '../../model/catalogue.ts';
import { isMetal } from '../../model/material.ts';
import type { TaskTag } from '../../model/work.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanInput, PlanJoint, TaskDraft } from '../planTypes.ts';
import { uses } from '../../supply/supplies.ts';
import { capitalise, listNames, nameOf, type PlanRule } from './planRule.ts';

/** What is made on the bench before such a joint is forced. */
const SPECIAL_TOOLS: Partial<Record<JointKind, string>> = {
  'peened pin': 'a drift a little thinner than the pin, and a block with a hole for it',
  'sprung pin': 'a fork of wire that holds the spring back',
  'bent tab': 'a wedge ground flat, and a block that fits inside',
};

const RIVET_HOW: Readonly<Record<string, string>> = {
  'pilot first': 'Open the pilot up in two steps until the head falls off.',
  'big bit first': 'A bit as wide as the head (about 6 mm), only until the head comes away.',
  'deburring cutter': 'Turn the cutter by hand until the head is thin as paper and lifts off.',
};

/** Joints of the opening that still hold something; one that held a missing part is open already. */
const selectShut = ({ input }: PlanContext): PlanJoint[] =>
  input.opening.filter((joint) => !isOpenAlready(joint, input));

function isOpenAlready(joint: PlanJoint, input: PlanInput): boolean {
  const known = input.parts.filter((part) => joint.partKeys.includes(part.key));
  return known.length > 0 && known.filter((part) => part.state !== 'missing').length < 2;
}

/** Open: one task or two per joint, then the halves apart and the plastics out. */
export const OPENING_RULES: readonly PlanRule[] = [
  {
    id: 'special-tool',
    when: 'a joint is forced with something that no drawer holds',
    serves: ['O6', 'N19'],
    create: (context) => {
      const kinds = new Set(selectShut(context).map((joint) => joint.kind));
      return [...kinds].flatMap((kind): TaskDraft[] => {
        const made = SPECIAL_TOOLS[kind];
        if (!made) return [];
        return [
          {
            key: `tool:${kind.replace(' ', '-')}`,
            station: 'open',
            title: `Have ready: ${made}`,
            partKeys: [],
            tags: ['special tool'],
            handsOnMin: 10,
            how: 'Make it, or find the one made before: it is in Workshop. Try it beside the joint, not on it.',
            because: `There is a ${kind} to open; forced with what is at hand, it breaks.`,
          },
        ];
      });
    },
  },
  {
    id: 'axle-in-hand',
    when: 'an axle end is destroyed',
    serves: ['O11', 'N8'],
    create: (context) =>
      selectShut(context)
        .filter((joint) => joint.kind === 'formed axle' && joint.way.destroys)
        .map((joint) => ({
          key: `axle-in-hand:${joint.key}`,
          station: 'open' as const,
          title: `Measure the ${joint.label}; lay the replacement beside it`,
          partKeys: joint.partKeys,
          jointKey: joint.key,
          tags: ['axle in hand' as const],
          handsOnMin: 6,
          how: 'Diameter, length over both heads, what is left when a head is gone. Too short to form again: a new axle of that length lies here before the old one is touched.',
          because: `Afterwards gone: ${joint.way.destroys}.`,
        })),
  },
  {
    id: 'free-seized-axle',
    when: 'an axle is seized',
    serves: ['O15', 'N8'],
    create: ({ workable, isFreed }) =>
      workable
        .filter(
          (part) =>
            part.findings.some((finding) => finding.kind === 'seized') && isFreed(part) && isMetal(part.material),
        )
        .map((part) => ({
          key: `free:${part.key}`,
          station: 'open' as const,
          title: `Penetrating oil on the seized ${nameOf(part)}`,
          partKeys: [part.key],
          tags: ['oil' as const],
          hazards: ['oily-rags'],
          handsOnMin: 5,
          passiveMin: 720,
          how: 'A drop at each end, overnight, turn by hand. Keep it off paint that stays and off tyres; degrease before anything is painted.',
          because: 'Finding: seized. Forced, it takes the casting with it.',
          uses: uses(['penetrating oil', 1]),
        })),
  },
  {
    id: 'pilot-hole',
    when: 'a rivet is opened and the school says pilot first',
    serves: ['O5', 'S3', 'N7'],
    create: (context) =>
      context.option('S3') !== 'pilot first'
        ? []
        : selectShut(context)
            .filter(isDrilledRivet)
            .map((joint) => ({
              key: `pilot:${joint.key}`,
              station: 'open' as const,
              title: `Drill a pilot hole: ${joint.label}`,
              partKeys: joint.partKeys,
              jointKey: joint.key,
              tags: ['pilot hole' as const, 'dismantle' as const],
              process: 'drilling' as const,
              hazards: ['drilling'],
              cannotBeUndone: 'metal drilled from the post',
              handsOnMin: 6,
              how: 'Centre-punch lightly, 1 mm bit straight down the middle. If it wanders, lean a smaller bit back to the centre before going deeper.',
              because: `Rivet: ${context.because('S3')}`,
              uses: uses(['bench drill'], ['cutting oil', 0.5]),
            })),
  },
  {
    id: 'open-joint',
    when: 'a joint must come apart',
    serves: ['O7', 'O8', 'S3', 'S4', 'N21'],
    create: (context) => selectShut(context).map((joint) => createOpeningTask(joint, context)),
  },
  {
    id: 'separate',
    when: 'body and base come apart',
    serves: ['O7', 'N21'],
    create: (context) => {
      const shut = selectShut(context);
      const halves = context.input.parts.filter((part) => part.role === 'body' || part.role === 'base');
      const isApart =
        halves.length > 1 &&
        halves.every((half) => context.pieces.neighboursOf(half.key).every((one) => !halves.includes(one))) &&
        halves.every((half) => shut.some((joint) => joint.partKeys.includes(half.key)));
      if (!isApart) return [];
      return [
        {
          key: 'separate',
          station: 'open',
          title: 'Separate the halves, note side and order',
          partKeys: halves.map((part) => part.key),
          tags: ['separate', 'dismantle'],
          handsOnMin: 10,
          how: 'Ease them apart level. Photograph each part as it comes off: wheels have an inside, seats have notches.',
          because: 'Parts with different treatments must come apart.',
        },
      ];
    },
  },
  {
    id: 'meltables-out',
    when: 'plastic, rubber or paper comes free',
    serves: ['O9', 'N2'],
    create: (context) => {
      const shut = selectShut(context);
      const out = context.input.parts.filter(
        (part) =>
          !isMetal(part.material) &&
          part.state !== 'missing' &&
          shut.some((joint) => joint.partKeys.includes(part.key)),
      );
      if (out.length === 0) return [];
      return [
        {
          key: 'meltables-out',
          station: 'open',
          title: `Take out ${listNames(out.map((part) => part.name))}`,
          partKeys: out.map((part) => part.key),
          tags: ['meltables out', 'dismantle'],
          handsOnMin: 5 * out.length,
          how: 'Old plastic is brittle: warm it in the hand, flex nothing, bag and label each part.',
          because: `${listNames([...new Set(out.map((part) => part.material))])} cannot stand what the metal gets.`,
        },
      ];
    },
  },
];

const isDrilledRivet = (joint: PlanJoint) => joint.kind === 'rivet post' && joint.way.tool === 'drill';

function createOpeningTask(joint: PlanJoint, { option, because, input }: PlanContext): TaskDraft {
  const { way } = joint;
  const isAxle = joint.partKeys.some((key) => input.parts.find((part) => part.key === key)?.role === 'axle');
  const sparks = way.tool === 'rotary' || way.tool === 'iron';
  const tags: TaskTag[] = [
    'open joint',
    'dismantle',
    ...(joint.kind === 'rivet post' ? (['rivet head off'] as const) : []),
    ...(isAxle ? (['wheels off'] as const) : []),
    ...(SPECIAL_TOOLS[joint.kind] ? (['force joint'] as const) : []),
    ...(joint.kind === 'formed axle' && way.destroys ? (['axle cut'] as const) : []),
    ...(sparks ? (['spark'] as const) : []),
    ...(way.tool === 'iron' ? (['heat'] as const) : []),
  ];
  const school = isDrilledRivet(joint) ? 'S3' : (way.school?.key ?? null);
  return {
    key: `open:${joint.key}`,
    station: 'open',
    title: `${way.label}: ${joint.label}`,
    partKeys: joint.partKeys,
    jointKey: joint.key,
    tags,
    ...(way.tool === 'drill' ? { process: 'drilling' } : way.tool === 'iron' ? { process: 'soldering' } : {}),
    hazards: [
      ...(way.tool === 'drill' ? ['drilling'] : []),
      ...(way.tool === 'rotary' ? ['grinding'] : []),
      ...(way.tool === 'iron' ? ['soldering-iron'] : []),
    ],
    ...(way.destroys ? { cannotBeUndone: way.destroys } : {}),
    handsOnMin: way.minutes,
    how: describeWay(joint, option('S3')),
    because: `${joint.because ?? 'It is opened.'} ${Math.round(way.risk * 100)} % risk of damage (planning estimate).${school ? ` ${because(school)}` : ''}`,
    uses:
      way.tool === 'drill'
        ? uses(['bench drill'], ['cutting oil', 0.5])
        : way.tool === 'rotary'
          ? uses(['rotary tool'])
          : way.tool === 'iron'
            ? uses(['soldering iron'])
            : [],
  };
}

function describeWay(joint: PlanJoint, rivetSchool: string): string {
  const lost = joint.way.destroys ? ` Afterwards gone: ${joint.way.destroys}.` : ' Nothing is destroyed.';
  const behind = joint.way.behindJoints.length ? ' Reached only after the joints before it.' : '';
  const rivet = isDrilledRivet(joint) ? ` ${RIVET_HOW[rivetSchool] ?? ''}` : '';
  return `${capitalise(joint.kind)}. Photograph it first, support the casting close to the joint.${rivet}${behind}${lost}`;
}
