import { InvalidInputError } from '../model/errors.ts';
import type { OpeningModel } from './openingModel.ts';

/** Throws InvalidInputError where a joint names a part, or a way a joint or part, that the model does not have. */
export function assertKeysKnown({ parts, joints }: OpeningModel): void {
  const partKeys = new Set(parts.map(({ key }) => key));
  const jointKeys = new Set(joints.map(({ key }) => key));
  const check = (jointKey: string, what: 'part' | 'joint', keys: readonly string[]) => {
    const strange = keys.filter((key) => !(what === 'part' ? partKeys : jointKeys).has(key));
    if (strange.length)
      throw new InvalidInputError(
        'unknown-key',
        `Joint "${jointKey}" names a ${what} that the model does not have: ${strange.join(', ')}.`,
        'joints',
        { joint: jointKey, keys: strange },
      );
  };
  for (const { key, partKeys: held, ways } of joints) {
    check(key, 'part', held);
    for (const way of ways) {
      check(key, 'joint', way.behindJoints);
      check(key, 'part', way.behindParts);
    }
  }
}
