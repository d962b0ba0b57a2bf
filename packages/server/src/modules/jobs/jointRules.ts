import { createFoundJointKey } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { JointRow } from '../../entities/catalogue.ts';
import { FoundJointRow, type JointConditionRow, type JointWishRow } from '../../entities/opening.ts';
import { SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';

/** A joint of the casting, or one that was found. */
export async function assertJointIsKnown(
  manager: EntityManager,
  { specimenId, jointKey }: Pick<JointWishRow | JointConditionRow, 'specimenId' | 'jointKey'>,
) {
  const { castingId } = await findRow(manager, SpecimenRow, specimenId, 'This model');
  const found = await manager.findBy(FoundJointRow, { specimenId });
  const isKnown =
    found.some(({ id }) => createFoundJointKey(id) === jointKey) ||
    (castingId !== null && (await manager.existsBy(JointRow, { castingId, key: jointKey })));
  if (!isKnown) throw refused('joint', 'This model has no such joint.', { jointKey: 'Choose one of its joints.' });
}

export async function assertPartsAreThere(manager: EntityManager, { specimenId, partKeys }: FoundJointRow) {
  const own = new Set((await manager.findBy(SpecimenPartRow, { specimenId })).map((part) => part.key));
  const strange = partKeys.filter((key) => !own.has(key));
  if (strange.length)
    throw refused('parts', `This model has no part ${strange.join(', ')}.`, {
      partKeys: 'Choose parts of this model.',
    });
}
