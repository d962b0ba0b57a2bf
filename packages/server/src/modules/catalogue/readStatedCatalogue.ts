import { assembleCatalogue, type IdentifyCatalogue } from '@sardonyx/core';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import {
  CastingRow,
  FeatureRow,
  FeatureStateRow,
  HistoryRow,
  ToyRangeRow,
  VariantRow,
  VariantStateRow,
} from '../../entities/catalogue.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { SourceRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readInOrder } from './readInOrder.ts';

/**
 * The catalogue with rates as they are stated: what is learned is learned from this one. For a known casting only its own
 * variants; for an unknown one everything.
 */
export async function readStatedCatalogue(
  manager: EntityManager,
  castingId: string | null,
): Promise<IdentifyCatalogue> {
  const variants = await manager.find(VariantRow, { where: castingId ? { castingId } : {}, order: { id: 'ASC' } });
  const variantId = In(variants.map((variant) => variant.id));
  const rows = {
    variants,
    castings: await manager.find(CastingRow, {
      select: { id: true, number: true, name: true, lengthMm: true, wheelbaseMm: true, listed: true },
    }),
    variantStates: castingId
      ? await manager.findBy(VariantStateRow, { variantId })
      : await manager.find(VariantStateRow),
    sources: castingId ? await manager.findBy(SourceRow, { variantId }) : await manager.find(SourceRow),
    ranges: await manager.find(ToyRangeRow, { select: { id: true, name: true } }),
    features: await manager.find(FeatureRow, { order: { id: 'ASC' } }),
    states: await readInOrder(manager, FeatureStateRow),
    settled: await readSettled(manager),
    histories: await manager.find(HistoryRow, { order: { prior: 'DESC', key: 'ASC' } }),
  };
  const house = await manager.findOneBy(HouseStyleRow, { id: 'house' });
  return {
    ...assembleCatalogue(rows, castingId !== null),
    ...(house ? { colourSpread: { batchSd: house.colourBatchSd, fadingSd: house.colourFadingSd } } : {}),
  };
}

async function readSettled(manager: EntityManager) {
  const settled = await manager.findBy(SpecimenRow, { settledVariantId: Not(IsNull()) });
  return settled.map(({ castingId, settledVariantId }) => ({ castingId, variantId: settledVariantId! }));
}
