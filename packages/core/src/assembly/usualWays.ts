import type { JointKind, JointWay } from '../model/catalogue.ts';
import type { SchoolAnswer } from '../model/school.ts';

const way = (
  key: string,
  label: string,
  tool: JointWay['tool'],
  [minutes, risk]: readonly [number, number],
  destroys = '',
  school?: SchoolAnswer,
): JointWay => ({ ...{ key, label, tool, minutes, risk, destroys, behindJoints: [] }, ...(school ? { school } : {}) });

/**
 * How such a joint can be opened, the usual way first; minutes and risk are planning estimates. A casting may add ways of its
 * own and have its own words for these.
 */
const WAYS_OF_KIND: Readonly<Record<JointKind, readonly [JointWay, ...JointWay[]]>> = {
  'rivet post': [
    way('usual', 'Drill the head off', 'drill', [10, 0.05], 'the rivet head', { key: 'S3', option: 'pilot first' }),
    way('wide-bit', 'Drill the head off with a wide bit', 'drill', [8, 0.1], 'the rivet head', {
      ...{ key: 'S3', option: 'big bit first' },
    }),
    way('cutter', 'Cut the head off with a deburring cutter', 'cutter', [18, 0.04], 'the rivet head', {
      ...{ key: 'S3', option: 'deburring cutter' },
    }),
  ],
  screw: [way('usual', 'Undo the screw', 'hand', [2, 0.01])],
  'bent tab': [way('usual', 'Lift the tabs', 'hand', [6, 0.1])],
  'formed axle': [
    way('usual', 'Grind one head off', 'rotary', [10, 0.05], 'one axle end', { key: 'S4', option: 'grind one head' }),
    way('pull', 'File the dome off and pull the axle', 'file', [16, 0.08], 'one axle end', {
      ...{ key: 'S4', option: 'pull' },
    }),
    // What is left for an axle that may be neither ground nor filed.
    way('nip', 'Nip the heads off with cutters', 'hand', [8, 0.12], 'the axle ends', {
      ...{ key: 'S4', option: 'cut through' },
    }),
  ],
  snap: [way('usual', 'Ease the snap', 'hand', [4, 0.15])],
  glue: [way('usual', 'Part the glue', 'hand', [15, 0.2])],
  solder: [way('usual', 'Unsolder', 'iron', [15, 0.15])],
  'peened pin': [way('usual', 'Drill the pin', 'drill', [12, 0.1], 'the pin')],
  'tapered pin': [way('usual', 'Wedge it apart', 'hand', [8, 0.12])],
  'sprung pin': [way('usual', 'Push the pin out', 'hand', [5, 0.05])],
  'push fit': [way('usual', 'Pull it out straight', 'hand', [2, 0.03])],
};

export const usualWayOf = (kind: JointKind): JointWay => WAYS_OF_KIND[kind][0];

/**
 * The casting's own ways, then those of its kind that it does not know: so that every answer of a school has a way on every
 * casting. Where one of its own destroys nothing (an axle that lifts out of its slots), none is added that does. What lies in
 * front of a joint is in front of it whichever way is taken.
 */
export function addWaysOfKind(kind: JointKind, own: readonly JointWay[]): readonly JointWay[] {
  const ofKind = WAYS_OF_KIND[kind];
  const behindJoints = own[0]?.behindJoints ?? [];
  if (own.some(({ tool, destroys }) => tool === 'hand' && destroys === '')) return own;
  const known = own.map((one) => {
    const alike = one.school ? undefined : ofKind.find(({ tool }) => tool === one.tool);
    return alike?.school ? { ...one, school: alike.school } : one;
  });
  const isMissing = (other: JointWay) =>
    known.length === 0 ||
    (other.school !== undefined &&
      known.every(
        ({ key, tool, school }) =>
          key !== other.key && (tool !== other.tool || school?.option !== other.school?.option),
      ));
  return [...known, ...ofKind.filter(isMissing).map((one) => ({ ...one, behindJoints }))];
}
