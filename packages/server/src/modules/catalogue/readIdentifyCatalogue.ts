import type { IdentifyCatalogue } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { HouseStyleRow } from '../../entities/house.ts';
import { readLearnedRates } from './readLearnedRates.ts';
import { readStatedCatalogue } from './readStatedCatalogue.ts';

/**
 * The catalogue as identification wants it, with what the bench learned of its rates. For a known casting only its own
 * variants; for an unknown one everything.
 */
export async function readIdentifyCatalogue(
  manager: EntityManager,
  castingId: string | null,
): Promise<IdentifyCatalogue> {
  const catalogue = await readStatedCatalogue(manager, castingId);
  const house = await manager.findOneBy(HouseStyleRow, { id: 'house' });
  if (!house?.learnsRates) return catalogue;
  const { alteration, misreading, caseCount } = await readLearnedRates(manager);
  return caseCount > 0 ? { ...catalogue, rates: { alteration, misreading } } : catalogue;
}
