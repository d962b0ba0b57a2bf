import type { CastingPart, Joint } from '../model/catalogue.ts';
import type { PartRole } from '../model/partRole.ts';

type BuiltPart = Pick<CastingPart, 'key' | 'role'>;
type BuiltJoint = Pick<Joint, 'key' | 'partKeys'>;

/** What stands outside and shuts something in. */
const SHELLS: ReadonlySet<PartRole> = new Set(['body', 'cab', 'load']);
/** What it is shut with. */
const FLOORS: ReadonlySet<PartRole> = new Set(['base']);
/** What is shut in between. */
const INSIDE: ReadonlySet<PartRole> = new Set(['glazing', 'interior', 'mechanism']);

/**
 * What lies behind what, from the construction: a joint that holds something inside is reached when every joint that shuts its
 * shell is open. A joint that itself shuts the model (it holds a shell and a floor) lies behind nothing, whatever else its post
 * goes through. Joint key -> keys of the joints that must be open first; joints that lie behind none are left out.
 */
export function workOutBehind(
  parts: readonly BuiltPart[],
  joints: readonly BuiltJoint[],
): ReadonlyMap<string, readonly string[]> {
  const roleOf = new Map(parts.map((part) => [part.key, part.role]));
  const has = ({ partKeys }: BuiltJoint, roles: ReadonlySet<PartRole>) =>
    partKeys.some((key) => roles.has(roleOf.get(key) ?? 'trim'));
  const shuts = (joint: BuiltJoint) => has(joint, SHELLS) && has(joint, FLOORS);
  const closing = joints.filter(shuts);
  const behind = new Map<string, readonly string[]>();
  for (const joint of joints) {
    if (shuts(joint) || !has(joint, INSIDE)) continue;
    const before = closing.filter((one) => sharesRoom(joint, one, joints, roleOf)).map(({ key }) => key);
    if (before.length > 0) behind.set(joint.key, before);
  }
  return behind;
}

/** The room that a joint lies in is shut by the joints of the shells and floors that it reaches without opening anything. */
function sharesRoom(
  inner: BuiltJoint,
  outer: BuiltJoint,
  joints: readonly BuiltJoint[],
  roleOf: ReadonlyMap<string, PartRole>,
): boolean {
  const reached = new Set(inner.partKeys);
  for (let size = -1; size !== reached.size;) {
    size = reached.size;
    for (const { partKeys } of joints) {
      const own = partKeys.filter((key) => INSIDE.has(roleOf.get(key) ?? 'trim') && reached.has(key));
      if (own.length > 0) for (const key of partKeys) reached.add(key);
    }
  }
  const walls = [...reached].filter((key) => {
    const role = roleOf.get(key);
    return role !== undefined && (SHELLS.has(role) || FLOORS.has(role));
  });
  return walls.length === 0 || outer.partKeys.some((key) => walls.includes(key));
}
