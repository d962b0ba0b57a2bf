import { USUAL_WAYS } from '../assembly/usualWays.ts';
import type { Joint } from '../model/catalogue.ts';
import type { Task } from '../model/work.ts';
import type { FoundJoint, WishForJoint } from '../model/workpiece.ts';
import type { KnownJoint } from '../compile/planTypes.ts';
import { listWays } from '../opening/selectStandableWays.ts';

/** The joints of a specimen: its casting's and those found on it, with what is wished for each and what is open already. */
export function listJoints(
  joints: readonly Pick<Joint, 'key' | 'label' | 'kind' | 'partKeys' | 'ways'>[],
  found: readonly FoundJoint[],
  wishes: readonly WishForJoint[],
  tasks: readonly Pick<Task, 'key' | 'title' | 'state'>[],
): KnownJoint[] {
  const all = [
    ...joints,
    ...found.map(({ id, label, kind, partKeys }) => ({
      key: `found:${id}`,
      label,
      kind,
      partKeys,
      ways: [USUAL_WAYS[kind]],
    })),
  ];
  return all.map(({ key, label, kind, partKeys, ways }) => {
    const wish = wishes.find((one) => one.jointKey === key)?.wish;
    const done = tasks.find((task) => task.key === `open:${key}` && task.state === 'done');
    // The title of the task says which way was taken.
    const taken = done && (listWays({ kind, ways }).find((one) => done.title.startsWith(`${one.label}:`)) ?? ways[0]);
    return {
      ...{ key, label, kind, partKeys, ways },
      ...(wish ? { wish } : {}),
      ...(taken ? { openedBy: taken.key } : {}),
    };
  });
}
