import { randomUUID } from 'node:crypto';
import type { RecordStates } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { FeatureStateRow, VariantRow, VariantStateRow } from '../../entities/catalogue.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Puts a variant's states of one feature in place of what was recorded before. */
export async function recordStates(
  manager: EntityManager,
  variantId: string,
  { featureId, states }: RecordStates,
): Promise<void> {
  await findRow(manager, VariantRow, variantId, 'This issue');
  const known = await manager.findBy(FeatureStateRow, { featureId, id: In(states.map((state) => state.stateId)) });
  if (known.length !== new Set(states.map((state) => state.stateId)).size || known.length !== states.length)
    throw refused('state', 'A state is named twice, or is not one of this feature. Nothing was saved.');
  const sum = states.reduce((total, state) => total + state.share, 0);
  if (sum > 1 + 1e-6)
    throw refused('shares', `The shares add up to ${Number(sum.toFixed(3))}. Nothing was saved.`, {
      share: 'At most 1 together.',
    });
  await manager.delete(VariantStateRow, { variantId, featureId });
  for (const { stateId, share } of states)
    await manager.insert(VariantStateRow, { id: randomUUID(), version: 1, variantId, featureId, stateId, share });
}
