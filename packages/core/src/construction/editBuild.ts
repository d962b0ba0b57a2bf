import type { JointKind } from '../model/catalogue.ts';
import { ROLE_OF_SHAPE, type PartShape } from '../model/partShape.ts';
import type { Material } from '../model/material.ts';
import type { Build } from './completeBuild.ts';
import { createKey } from './createKey.ts';

/** Parts and joints while somebody changes them. */
export interface BuildDraft {
  readonly parts: Build['parts'];
  readonly joints: readonly Pick<Build['joints'][number], 'key' | 'label' | 'kind' | 'partKeys' | 'behind'>[];
}

type DraftPart = BuildDraft['parts'][number];
type DraftJoint = BuildDraft['joints'][number];

export interface NewPart {
  readonly name: string;
  readonly shape: PartShape;
  readonly material: Material;
  /** What holds it, and by what; null: it lies loose. */
  readonly held: { readonly partKey: string; readonly kind: JointKind } | null;
}

const keysOf = (rows: readonly { readonly key: string }[]) => rows.map(({ key }) => key);

/** A part more, with the joint that holds it. Its key is made from its name. */
export function addPart(draft: BuildDraft, { name, shape, material, held }: NewPart): BuildDraft {
  const key = createKey(name, keysOf(draft.parts), 'part');
  const part: DraftPart = { key, name, shape, role: ROLE_OF_SHAPE[shape], material, count: 1, sizes: {} };
  const parts = [...draft.parts, part];
  if (held === null) return { ...draft, parts };
  return addJoint({ ...draft, parts }, { label: name.toLowerCase(), kind: held.kind, partKeys: [held.partKey, key] });
}

/** A joint more, with a key made from its label. */
export function addJoint(draft: BuildDraft, joint: Pick<DraftJoint, 'label' | 'kind' | 'partKeys'>): BuildDraft {
  const key = createKey(joint.label, keysOf(draft.joints), 'joint');
  return { ...draft, joints: [...draft.joints, { ...joint, key, behind: null }] };
}

/** A part less. Joints hold what else they held; one that would hold a single part goes with it. */
export const removePart = (draft: BuildDraft, key: string): BuildDraft =>
  dropEmptyJoints({
    parts: draft.parts.filter((part) => part.key !== key),
    joints: draft.joints.map((joint) => ({ ...joint, partKeys: joint.partKeys.filter((one) => one !== key) })),
  });

/** A joint less; what lay behind it lies behind it no more. */
export const removeJoint = (draft: BuildDraft, key: string): BuildDraft => ({
  ...draft,
  joints: draft.joints
    .filter((joint) => joint.key !== key)
    .map((joint) => ({ ...joint, behind: joint.behind && joint.behind.filter((one) => one !== key) })),
});

/** One part becomes two of its kind, held as it was: wheels into front and rear ones. Pieces are shared out, at least one each. */
export function splitPart(draft: BuildDraft, key: string, names: readonly [string, string]): BuildDraft {
  const part = draft.parts.find((one) => one.key === key);
  if (!part) return draft;
  const second = createKey(names[1], keysOf(draft.parts), 'part');
  const half = Math.max(1, Math.ceil(part.count / 2));
  return {
    parts: draft.parts.flatMap((one) =>
      one.key === key
        ? [
            { ...one, name: names[0], count: half },
            { ...one, key: second, name: names[1], count: Math.max(1, one.count - half) },
          ]
        : [one],
    ),
    joints: draft.joints.map((joint) =>
      joint.partKeys.includes(key) ? { ...joint, partKeys: [...joint.partKeys, second] } : joint,
    ),
  };
}

/** Two parts become one, called as the first; a joint between the two is gone. */
export function joinParts(draft: BuildDraft, key: string, other: string): BuildDraft {
  const gone = draft.parts.find((one) => one.key === other);
  if (!gone || key === other) return draft;
  return dropEmptyJoints({
    parts: draft.parts
      .filter((part) => part.key !== other)
      .map((part) =>
        part.key === key && part.shape === gone.shape ? { ...part, count: part.count + gone.count } : part,
      ),
    joints: draft.joints.map((joint) => ({
      ...joint,
      partKeys: [...new Set(joint.partKeys.map((one) => (one === other ? key : one)))],
    })),
  });
}

export const changePart = (draft: BuildDraft, key: string, changes: Partial<Omit<DraftPart, 'key'>>): BuildDraft => ({
  ...draft,
  parts: draft.parts.map((part) => (part.key === key ? { ...part, ...changes } : part)),
});

export const changeJoint = (draft: BuildDraft, key: string, changes: Partial<Omit<DraftJoint, 'key'>>): BuildDraft =>
  dropBehindItself({
    ...draft,
    joints: draft.joints.map((joint) => (joint.key === key ? { ...joint, ...changes } : joint)),
  });

const dropEmptyJoints = (draft: BuildDraft): BuildDraft =>
  draft.joints
    .filter(({ partKeys }) => partKeys.length < 2)
    .reduce((rest, joint) => removeJoint(rest, joint.key), draft);

const dropBehindItself = (draft: BuildDraft): BuildDraft => ({
  ...draft,
  joints: draft.joints.map((joint) => ({
    ...joint,
    behind: joint.behind && joint.behind.filter((key) => key !== joint.key),
  })),
});
