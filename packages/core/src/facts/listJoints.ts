import { addWaysOfKind, usualWayOf } from '../assembly/usualWays.ts';
import type { Joint, JointKind, JointWay } from '../model/catalogue.ts';
import type { LoggedWork } from '../model/task.ts';
import type { FoundCondition, FoundJoint, JointCondition, WishForJoint } from '../model/workpiece.ts';
import type { KnownJoint } from './specimenFacts.ts';
import type { StandingWork } from './standingWork.ts';

/** What is written down of the joints of a specimen: its casting's, those found on it, wishes, and how each was found. */
export interface JointRows {
  readonly joints: readonly Pick<Joint, 'key' | 'label' | 'kind' | 'partKeys' | 'ways'>[];
  readonly foundJoints: readonly Pick<FoundJoint, 'id' | 'label' | 'kind' | 'partKeys'>[];
  readonly jointWishes: readonly Pick<WishForJoint, 'jointKey' | 'wish'>[];
  readonly jointConditions: readonly Pick<FoundCondition, 'jointKey' | 'condition'>[];
}

/** The joints of a specimen, with what is wished for each, and how it stands. */
export function listJoints(
  { joints, foundJoints, jointWishes, jointConditions }: JointRows,
  standing: readonly StandingWork[],
): KnownJoint[] {
  const all = [
    ...joints,
    ...foundJoints.map(({ id, label, kind, partKeys }) => ({
      key: createFoundJointKey(id),
      ...{ label, kind, partKeys },
      ways: [],
    })),
  ];
  return all.map(({ key, label, kind, partKeys, ways: own }) => {
    const ways = addWaysOfKind(kind, own);
    const wish = jointWishes.find((one) => one.jointKey === key)?.wish;
    const opened = standing.find(({ work }) => work.act === 'open' && work.of.jointKey === key)?.work;
    const condition = jointConditions.find((one) => one.jointKey === key)?.condition;
    return {
      ...{ key, label, kind, partKeys, ways },
      ...(wish ? { wish } : {}),
      ...(opened ? openAsLogged(kind, ways, opened) : condition ? standAsFound(ways, condition) : {}),
    };
  });
}

/** The way that was taken stays, also when the casting's own ways were changed since. */
function openAsLogged(kind: JointKind, ways: readonly JointWay[], { way, handsOnMin }: LoggedWork) {
  // What was done otherwise took no way that is known; the first of its ways stands for it.
  const taken = way ?? ways[0] ?? usualWayOf(kind);
  const isKnown = ways.some((one) => one.key === taken.key);
  const { key, label, destroys } = taken;
  const asLogged: JointWay = { key, label, destroys, tool: 'hand', minutes: handsOnMin, risk: 0, behindJoints: [] };
  return { openedBy: key, ways: isKnown ? ways : [...ways, asLogged] };
}

/** Glued, the glue is parted whatever the joint was made for; all else that was found holds nothing. */
export function standAsFound(ways: readonly JointWay[], condition: JointCondition) {
  if (condition === 'glued') {
    const behindJoints = ways[0]?.behindJoints ?? [];
    return { condition, ways: [{ ...usualWayOf('glue'), key: 'part-glue', behindJoints }] };
  }
  const asFound: JointWay = {
    ...{ key: 'as-found', label: 'Take apart', tool: 'hand', minutes: 0, risk: 0, destroys: '', behindJoints: [] },
  };
  return { condition, openedBy: asFound.key, ways: [...ways, asFound] };
}

/** A joint that only came to light while opening has this key among the others. */
export const createFoundJointKey = (id: FoundJoint['id']): string => `found:${id}`;
