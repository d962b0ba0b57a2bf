import type { Joint, JointKind, JointWay } from '../model/catalogue.ts';
import type { Task } from '../model/work.ts';
import type { FoundJoint, WishForJoint } from '../model/workpiece.ts';
import type { KnownJoint } from './planTypes.ts';

const way = (
  label: string,
  minutes: number,
  risk: number,
  destroys = '',
  tool: JointWay['tool'] = 'hand',
): JointWay => ({
  ...{ key: 'way-1', label, tool, minutes, risk, destroys, behindJoints: [] },
});

/** How a joint that nobody knew of is opened (planning estimates, on the careful side). */
const USUAL_WAY: Readonly<Record<JointKind, JointWay>> = {
  'rivet post': way('Drill the head off', 10, 0.06, 'the rivet head', 'drill'),
  screw: way('Undo the screw', 3, 0.03),
  'bent tab': way('Lift the tab', 6, 0.15),
  'formed axle': way('Grind one head off', 10, 0.08, 'one axle head', 'rotary'),
  snap: way('Ease it out', 5, 0.2),
  glue: way('Part the glue', 15, 0.3, 'the glued seam'),
  solder: way('Unsolder it', 15, 0.15, 'the soldered seam', 'iron'),
  'peened pin': way('Drill the pin', 12, 0.15, 'the pin', 'drill'),
  'sprung pin': way('Hold the spring, push the pin out', 6, 0.12),
  'push fit': way('Ease it out', 4, 0.12),
};

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
      ways: [USUAL_WAY[kind]],
    })),
  ];
  return all.map(({ key, label, kind, partKeys, ways }) => {
    const wish = wishes.find((one) => one.jointKey === key)?.wish;
    const done = tasks.find((task) => task.key === `open:${key}` && task.state === 'done');
    // The title of the task says which way was taken.
    const taken = done && (ways.find((one) => done.title.startsWith(`${one.label}:`)) ?? ways[0]);
    return {
      ...{ key, label, kind, partKeys, ways },
      ...(wish ? { wish } : {}),
      ...(taken ? { openedBy: taken.key } : {}),
    };
  });
}
