import type { JointKind } from '../../model/catalogue.ts';
import type { PlanJoint } from '../../facts/specimenFacts.ts';
import { isReplaced } from '../../facts/chooseTreatment.ts';
import { isMetal } from '../../model/material.ts';
import { uses } from '../../model/supply.ts';
import type { TaskTag } from '../../model/taskTags.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { findFinding, type PlanRule } from './planRule.ts';

/** Such a joint is forced with something that no drawer holds; what it is stands in words/openingWords.ts. */
const WITH_SPECIAL_TOOL: ReadonlySet<JointKind> = new Set<JointKind>(['peened pin', 'sprung pin', 'bent tab']);

/** Open: one task or two per joint, then the halves apart and the plastics out. */
export const OPENING_RULES: readonly PlanRule[] = [
  {
    id: 'special-tool',
    when: 'a joint is forced with something that no drawer holds',
    serves: ['O6', 'N19'],
    create: (context) => {
      const kinds = new Set(context.shut.map((joint) => joint.kind));
      return [...kinds]
        .filter((kind) => WITH_SPECIAL_TOOL.has(kind))
        .map((kind) => ({
          act: 'tool',
          station: 'open',
          partKeys: [],
          of: { jointKind: kind },
          tags: ['special tool'],
          handsOnMin: 10,
        }));
    },
  },
  {
    id: 'axle-in-hand',
    when: 'an axle end is destroyed',
    serves: ['O11', 'N8'],
    create: (context) =>
      context.shut
        .filter((joint) => joint.kind === 'formed axle' && joint.way.destroys)
        .map((joint) => ({
          act: 'axle-in-hand',
          station: 'open',
          partKeys: joint.partKeys,
          of: { jointKey: joint.key },
          tags: ['axle in hand'],
          handsOnMin: 6,
        })),
  },
  {
    id: 'free-seized-axle',
    when: 'an axle is seized',
    serves: ['O15', 'N8'],
    create: ({ workable, isFreed }) =>
      workable
        .filter((part) => findFinding(part, 'seized') && isFreed(part) && isMetal(part.material) && !isReplaced(part))
        .map((part) => ({
          act: 'free',
          station: 'open',
          partKeys: [part.key],
          tags: ['oil'],
          hazards: ['oily-rags'],
          handsOnMin: 5,
          passiveMin: 720,
          uses: uses(['penetrating oil', 1]),
        })),
  },
  {
    id: 'pilot-hole',
    when: 'a rivet is opened and the school says pilot first',
    serves: ['O5', 'S3', 'N7'],
    create: (context) =>
      context.shut
        .filter(({ way }) => way.school?.option === 'pilot first')
        .map((joint) => ({
          act: 'pilot',
          station: 'open',
          partKeys: joint.partKeys,
          of: { jointKey: joint.key },
          method: 'pilot first',
          tags: ['pilot hole', 'dismantle'],
          process: 'drilling',
          hazards: ['drilling'],
          cannotBeUndone: 'metal drilled from the post',
          handsOnMin: 6,
          uses: uses(['bench drill'], ['cutting oil', 0.5]),
        })),
  },
  {
    id: 'open-joint',
    when: 'a joint must come apart',
    serves: ['O7', 'O8', 'S3', 'S4', 'N21'],
    create: (context) => context.shut.map((joint) => createOpeningTask(joint, context)),
  },
  {
    id: 'separate',
    when: 'body and base come apart',
    serves: ['O7', 'N21'],
    create: (context) => {
      const { shut } = context;
      const halves = context.input.parts.filter((part) => part.role === 'body' || part.role === 'base');
      const isApart =
        halves.length > 1 &&
        halves.every((half) => context.pieces.neighboursOf(half.key).every((one) => !halves.includes(one))) &&
        halves.every((half) => shut.some((joint) => joint.partKeys.includes(half.key)));
      if (!isApart) return [];
      return [
        {
          act: 'separate',
          station: 'open',
          partKeys: halves.map((part) => part.key),
          tags: ['separate', 'dismantle'],
          handsOnMin: 10,
        },
      ];
    },
  },
  {
    id: 'meltables-out',
    when: 'plastic, rubber or paper comes free',
    serves: ['O9', 'N2'],
    create: ({ input, isFreed, pieces, isStripped }) => {
      // Also where the joint was found open: it lies in there until somebody takes it out.
      const out = input.parts.filter(
        (part) =>
          !isMetal(part.material) &&
          part.state !== 'missing' &&
          isFreed(part) &&
          pieces.neighboursOf(part.key).every((other) => !isStripped(other)),
      );
      if (out.length === 0) return [];
      return [
        {
          act: 'meltables-out',
          station: 'open',
          partKeys: out.map((part) => part.key),
          tags: ['meltables out', 'dismantle'],
          handsOnMin: 5 * out.length,
          detail: { materials: [...new Set(out.map((part) => part.material))] },
        },
      ];
    },
  },
];

/** What the tool of a way brings along. */
const TOOL_FACTS = {
  hand: { hazards: [], uses: [], process: null },
  file: { hazards: ['sharp-edges'], uses: uses(['fine square file']), process: 'abrasive' },
  cutter: { hazards: ['sharp-edges'], uses: uses(['deburring cutter']), process: 'drilling' },
  drill: { hazards: ['drilling'], uses: uses(['bench drill'], ['cutting oil', 0.5]), process: 'drilling' },
  rotary: { hazards: ['grinding'], uses: uses(['rotary tool']), process: null },
  iron: { hazards: ['soldering-iron'], uses: uses(['soldering iron']), process: 'soldering' },
} as const;

function createOpeningTask(joint: PlanJoint, { input }: PlanContext): TaskDraft {
  const { way } = joint;
  const isAxle = joint.partKeys.some((key) => input.parts.find((part) => part.key === key)?.role === 'axle');
  const tags: TaskTag[] = [
    'open joint',
    'dismantle',
    ...(joint.kind === 'rivet post' && joint.condition === undefined ? (['rivet head off'] as const) : []),
    ...(isAxle ? (['wheels off'] as const) : []),
    ...(WITH_SPECIAL_TOOL.has(joint.kind) ? (['force joint'] as const) : []),
    ...(joint.kind === 'formed axle' && way.destroys ? (['axle cut'] as const) : []),
    ...(way.tool === 'drill' || way.tool === 'cutter' ? (['drill'] as const) : []),
    ...(way.tool === 'rotary' || way.tool === 'iron' ? (['spark'] as const) : []),
    ...(way.tool === 'iron' ? (['heat'] as const) : []),
  ];
  const { process, hazards, uses: taken } = TOOL_FACTS[way.tool];
  return {
    act: 'open',
    station: 'open',
    partKeys: joint.partKeys,
    of: { jointKey: joint.key },
    way: { key: way.key, label: way.label, destroys: way.destroys },
    ...(way.school ? { method: way.school.option } : {}),
    tags,
    ...(process ? { process } : {}),
    hazards,
    ...(way.destroys ? { cannotBeUndone: way.destroys } : {}),
    handsOnMin: way.minutes,
    uses: taken,
  };
}
