import type { JointKind, JointWay } from '../model/catalogue.ts';
import { chooseOption } from './schools.ts';

interface OpenableJoint {
  readonly key: string;
  readonly kind: JointKind;
  readonly ways: readonly JointWay[];
}

/**
 * The joints that this job opens, each with the ways its schools allow. A way that belongs to another option of its school
 * is left out unless no way of the chosen option is known. "Leave and mask" (S4) keeps the axles in, "never opened" (S2)
 * leaves everything closed.
 */
export function selectJointsToOpen<J extends OpenableJoint>(
  joints: readonly J[],
  decisions: Readonly<Record<string, string>>,
): J[] {
  if (chooseOption('S2', decisions) === 'never opened') return [];
  const keepsAxles = chooseOption('S4', decisions) === 'leave and mask';
  const open = joints
    .filter((joint) => !(keepsAxles && joint.kind === 'formed axle'))
    .map((joint) => {
      const chosen = joint.ways.filter(
        (way) => way.school && chooseOption(way.school.key, decisions) === way.school.option,
      );
      return chosen.length ? { ...joint, ways: chosen } : joint;
    });
  return dropUnreachable(open);
}

/** What lies behind a joint that stays closed stays closed too. */
function dropUnreachable<J extends OpenableJoint>(joints: readonly J[]): J[] {
  const keys = new Set(joints.map((joint) => joint.key));
  const reachable = joints.flatMap((joint) => {
    const ways = joint.ways.filter((way) => way.behindJoints.every((key) => keys.has(key)));
    return ways.length ? [{ ...joint, ways }] : [];
  });
  return reachable.length === joints.length ? reachable : dropUnreachable(reachable);
}
