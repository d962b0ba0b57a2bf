import { isMetal } from '../model/material.ts';
import { describePieces, type Pieces } from './describePieces.ts';
import { chooseOption } from './schools.ts';
import type { PlanInput, PlanJoint, TaskDraft } from './planTypes.ts';

/** Open: one task or two per joint, then the halves apart and the plastics out. */
export function createOpeningTasks(
  input: PlanInput,
  pieces: Pieces = describePieces(input.parts, input.closed),
): TaskDraft[] {
  const joints = input.opening.filter((joint) => !isOpenAlready(joint, input));
  if (joints.length === 0) return [];
  const isFreed = (partKey: string) => joints.some((joint) => joint.partKeys.includes(partKey));
  const meltables = input.parts.filter(
    (part) => !isMetal(part.material) && part.state !== 'missing' && isFreed(part.key),
  );
  const tasks = joints.flatMap((joint) => createJointTasks(joint, input));
  const halves = input.parts.filter((part) => part.role === 'body' || part.role === 'base');
  const isApart =
    halves.length > 1 && halves.every((half) => pieces.neighboursOf(half.key).every((one) => !halves.includes(one)));
  if (isApart && halves.every((half) => isFreed(half.key)))
    tasks.push({
      key: 'separate',
      station: 'open',
      title: 'Separate the halves, note side and order',
      partKeys: halves.map((part) => part.key),
      tags: ['separate', 'dismantle'],
      handsOnMin: 10,
      how: 'Ease them apart level. Photograph each part as it comes off: wheels have an inside, seats have notches.',
      because: 'Parts with different treatments must come apart.',
    });
  if (meltables.length > 0) {
    tasks.push({
      key: 'meltables-out',
      station: 'open',
      title: `Take out ${listNames(meltables.map((part) => part.name))}`,
      partKeys: meltables.map((part) => part.key),
      tags: ['meltables out', 'dismantle'],
      handsOnMin: 5 * meltables.length,
      how: 'Old plastic is brittle: warm it in the hand, flex nothing, bag and label each part.',
      because: `${listNames([...new Set(meltables.map((part) => part.material))])} cannot stand what the metal gets.`,
    });
  }
  return tasks;
}

/** A joint that holds nothing because what it held is missing. It is closed again with the new part. */
function isOpenAlready(joint: PlanJoint, input: PlanInput): boolean {
  const known = input.parts.filter((part) => joint.partKeys.includes(part.key));
  return known.length > 0 && known.filter((part) => part.state !== 'missing').length < 2;
}

function createJointTasks(joint: PlanJoint, input: PlanInput): TaskDraft[] {
  const { way } = joint;
  const sparks = way.tool === 'rotary';
  const isAxle = joint.kind === 'formed axle';
  const opening: TaskDraft = {
    key: `open:${joint.key}`,
    station: 'open',
    title: `${way.label}: ${joint.label}`,
    partKeys: joint.partKeys,
    jointKey: joint.key,
    tags: [
      'open joint',
      'dismantle',
      ...(joint.kind === 'rivet post' ? (['rivet head off'] as const) : []),
      ...(isAxle ? (['wheels off'] as const) : []),
      ...(sparks || way.tool === 'iron' ? (['spark'] as const) : []),
    ],
    hazards: [
      ...(way.tool === 'drill' ? ['drilling'] : []),
      ...(sparks ? ['grinding'] : []),
      ...(way.tool === 'iron' ? ['soldering-iron'] : []),
    ],
    ...(way.destroys ? { cannotBeUndone: way.destroys } : {}),
    handsOnMin: way.minutes,
    how: describeWay(joint),
    because: `${joint.because ?? 'It is opened.'} ${Math.round(way.risk * 100)} % risk of damage (planning estimate).`,
  };
  if (joint.kind !== 'rivet post' || chooseOption('S3', input.decisions) !== 'pilot first') return [opening];
  return [
    {
      key: `pilot:${joint.key}`,
      station: 'open',
      title: `Drill a pilot hole: ${joint.label}`,
      partKeys: joint.partKeys,
      jointKey: joint.key,
      tags: ['pilot hole', 'dismantle'],
      hazards: ['drilling'],
      cannotBeUndone: 'metal drilled from the post',
      handsOnMin: 6,
      how: 'Centre-punch lightly, 1 mm bit straight down the middle. If it wanders, lean a smaller bit back to the centre before going deeper.',
      because: 'School: pilot first (S3).',
    },
    opening,
  ];
}

function describeWay(joint: PlanJoint): string {
  const lost = joint.way.destroys ? ` Afterwards gone: ${joint.way.destroys}.` : ' Nothing is destroyed.';
  const behind = joint.way.behindJoints.length ? ' Reached only after the joints before it.' : '';
  return `${joint.kind[0]!.toUpperCase()}${joint.kind.slice(1)}. Photograph it first, support the casting close to the joint.${behind}${lost}`;
}

export function listNames(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;
}
