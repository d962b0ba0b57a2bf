import type { ChangeBuild } from '@sardonyx/contract';
import type { BuildDraft } from '@sardonyx/core';

/** A draft as the server takes it. */
export const asRequest = ({ parts, joints }: BuildDraft): Pick<ChangeBuild, 'parts' | 'joints'> => ({
  parts: parts.map((part) => ({ ...part })),
  joints: joints.map(({ key, label, kind, partKeys, behind }) => ({
    ...{ key, label, kind, partKeys: [...partKeys] },
    behind: behind && [...behind],
  })),
});
