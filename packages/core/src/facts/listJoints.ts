import { USUAL_WAYS } from '../assembly/usualWays.ts';
import type { Joint, JointKind, JointWay } from '../model/catalogue.ts';
import type { LoggedWork } from '../model/task.ts';
import { listWays } from '../opening/selectStandableWays.ts';
import type { FoundJoint, WishForJoint } from '../model/workpiece.ts';
import type { KnownJoint } from './specimenFacts.ts';
import type { StandingWork } from './standingWork.ts';

/** The joints of a specimen: its casting's and those found on it, with what is wished for each and what is open already. */
export function listJoints(
  joints: readonly Pick<Joint, 'key' | 'label' | 'kind' | 'partKeys' | 'ways'>[],
  found: readonly Pick<FoundJoint, 'id' | 'label' | 'kind' | 'partKeys'>[],
  wishes: readonly Pick<WishForJoint, 'jointKey' | 'wish'>[],
  standing: readonly StandingWork[],
): KnownJoint[] {
  const all = [
    ...joints,
    ...found.map(({ id, label, kind, partKeys }) => ({
      key: createFoundJointKey(id),
      ...{ label, kind, partKeys },
      ways: [USUAL_WAYS[kind]],
    })),
  ];
  return all.map(({ key, label, kind, partKeys, ways }) => {
    const wish = wishes.find((one) => one.jointKey === key)?.wish;
    const opened = standing.find(({ work }) => work.act === 'open' && work.of.jointKey === key)?.work;
    return {
      ...{ key, label, kind, partKeys, ways },
      ...(wish ? { wish } : {}),
      ...(opened ? openAsLogged(kind, ways, opened) : {}),
    };
  });
}

/** The way that was taken stays, also when the casting's own ways were changed since. */
function openAsLogged(kind: JointKind, ways: readonly JointWay[], { way, handsOnMin }: LoggedWork) {
  // What was done otherwise took no way that is known; the first of its ways stands for it.
  const taken = way ?? ways[0] ?? USUAL_WAYS[kind];
  const isKnown = listWays({ kind, ways }).some((one) => one.key === taken.key);
  const { key, label, destroys } = taken;
  const asLogged: JointWay = { key, label, destroys, tool: 'hand', minutes: handsOnMin, risk: 0, behindJoints: [] };
  return { openedBy: key, ways: isKnown ? ways : [...ways, asLogged] };
}

/** A joint that only came to light while opening has this key among the others. */
const createFoundJointKey = (id: string): string => `found:${id}`;
