import { usualWayOf } from '../assembly/usualWays.ts';
import type { CastingPart, Joint } from '../model/catalogue.ts';
import { shapeOfRole } from '../model/partShape.ts';
import { workOutBehind } from './workOutBehind.ts';

/** A part as it is written down: what is not said has its usual value. */
export type GivenPart = Pick<CastingPart, 'key' | 'name' | 'role' | 'material' | 'count'> &
  Partial<Pick<CastingPart, 'shape' | 'sizes'>>;

export type GivenJoint = Pick<Joint, 'label' | 'kind' | 'partKeys'> & Partial<Pick<Joint, 'key' | 'behind'>>;

export interface Build {
  readonly parts: readonly Omit<CastingPart, 'id' | 'version' | 'castingId' | 'dependentBits'>[];
  readonly joints: readonly Omit<Joint, 'id' | 'version' | 'castingId'>[];
}

type BuildFault = { readonly path: string; readonly message: string };

/**
 * Parts and joints with their usual values: looks, keys, ways, and what lies behind what. `before`: the joints as they were;
 * one that keeps its kind keeps the ways that somebody wrote for it.
 */
export function completeBuild(
  given: readonly GivenPart[],
  givenJoints: readonly GivenJoint[],
  before: readonly Pick<Joint, 'key' | 'kind' | 'ways' | 'behind'>[] = [],
): Build {
  const parts = given.map(({ shape, sizes, ...part }) => ({
    ...part,
    shape: shape ?? shapeOfRole(part.role),
    sizes: sizes ?? {},
  }));
  const keyed = givenJoints.map(({ key, behind, ...joint }, i) => ({
    ...{ ...joint, key: key ?? `joint-${i + 1}`, behind: behind ?? null },
  }));
  const workedOut = workOutBehind(parts, keyed);
  const joints = keyed.map((joint) => {
    const behindJoints = joint.behind ?? workedOut.get(joint.key) ?? [];
    const was = before.find((one) => one.key === joint.key && one.kind === joint.kind);
    const ways = was ? was.ways : [usualWayOf(joint.kind)];
    // Ways that were written by hand know better what lies before each of them, until somebody says otherwise.
    const isKept = was?.behind === null && joint.behind === null && ways.some(({ key }) => key !== 'usual');
    const placed = ways.map((way) => ({
      ...way,
      behindJoints: isKept ? way.behindJoints.filter((key) => keyed.some((one) => one.key === key)) : behindJoints,
    }));
    return { ...joint, ways: placed };
  });
  return { parts, joints };
}

/** What does not fit in parts and joints, each with its place; empty where all fits. */
export function checkBuild(parts: readonly GivenPart[], joints: readonly GivenJoint[]): BuildFault[] {
  const faults: BuildFault[] = [];
  const keys = parts.map(({ key }) => key);
  parts.forEach(({ key, name }, i) => {
    if (keys.indexOf(key) < i) faults.push({ path: `parts.${i}.name`, message: `${name} is on the list twice.` });
  });
  const jointKeys = joints.map(({ key }, i) => key ?? `joint-${i + 1}`);
  joints.forEach(({ label, partKeys, behind }, i) => {
    const own = jointKeys[i]!;
    if (jointKeys.indexOf(own) < i)
      faults.push({ path: `joints.${i}.label`, message: `The joint "${label}" is on the list twice.` });
    if (partKeys.some((key) => !keys.includes(key)))
      faults.push({
        path: `joints.${i}.partKeys`,
        message: `The joint "${label}" holds a part that is not on the list.`,
      });
    if (behind?.includes(own))
      faults.push({ path: `joints.${i}.behind`, message: `The joint "${label}" cannot lie behind itself.` });
    if (behind?.some((key) => !jointKeys.includes(key)))
      faults.push({
        path: `joints.${i}.behind`,
        message: `The joint "${label}" lies behind one that is not on the list.`,
      });
  });
  return faults.length > 0 ? faults : findCircle(parts, joints);
}

/** Joints that wait for each other can never be opened. */
function findCircle(parts: readonly GivenPart[], given: readonly GivenJoint[]): BuildFault[] {
  const { joints } = completeBuild(parts, given);
  const before = new Map(joints.map(({ key, ways }) => [key, ways[0]!.behindJoints]));
  const done = new Set<string>();
  for (let size = -1; size !== done.size;) {
    size = done.size;
    for (const [key, keys] of before) if (keys.every((one) => done.has(one))) done.add(key);
  }
  const at = joints.findIndex(({ key }) => !done.has(key));
  if (at < 0) return [];
  const waits = before.get(joints[at]!.key)!.find((key) => !done.has(key))!;
  const other = joints.find(({ key }) => key === waits)!.label;
  return [
    {
      path: `joints.${at}.behind`,
      message: `"${joints[at]!.label}" lies behind "${other}", which in the end lies behind it: neither could be opened.`,
    },
  ];
}
