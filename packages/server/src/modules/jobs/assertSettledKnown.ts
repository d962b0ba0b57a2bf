import type { EntityManager } from 'typeorm';
import { VariantRow } from '../../entities/catalogue.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';

/** A model is settled as one of the issues of its casting, and with how that is known. */
export async function assertSettledKnown(manager: EntityManager, row: SpecimenRow): Promise<void> {
  const { settledVariantId, settledBy, castingId } = row;
  if (settledVariantId === null && settledBy === null) return;
  if (settledVariantId === null || settledBy === null)
    throw refused('settled', 'A model is settled with its issue and with how that is known.', {
      [settledVariantId === null ? 'settledVariantId' : 'settledBy']: 'Say this too.',
    });
  if (!castingId || !(await manager.existsBy(VariantRow, { id: settledVariantId, castingId })))
    throw refused('settled', 'This issue is none of the casting.', { settledVariantId: 'Choose one from the list.' });
}
