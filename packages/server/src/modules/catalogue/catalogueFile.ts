import type { CatalogueTables } from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import {
  CastingRow,
  FeatureRow,
  FeatureStateRow,
  MakerRow,
  ToyRangeRow,
  VariantRow,
  VariantStateRow,
} from '../../entities/catalogue.ts';
import { SourceRow } from '../../entities/workpiece.ts';

/** The tables of the catalogue, parents before children. */
export const TABLE_CLASSES = {
  makers: MakerRow,
  ranges: ToyRangeRow,
  features: FeatureRow,
  states: FeatureStateRow,
  castings: CastingRow,
  variants: VariantRow,
  variantStates: VariantStateRow,
  sources: SourceRow,
} as const;

export async function readCatalogueTables(manager: EntityManager): Promise<CatalogueTables> {
  return {
    makers: await manager.find(MakerRow, { order: { id: 'ASC' } }),
    ranges: await manager.find(ToyRangeRow, { order: { id: 'ASC' } }),
    features: await manager.find(FeatureRow, { order: { id: 'ASC' } }),
    states: await manager.find(FeatureStateRow, { order: { id: 'ASC' } }),
    castings: await manager.find(CastingRow, { order: { id: 'ASC' } }),
    variants: await manager.find(VariantRow, { order: { id: 'ASC' } }),
    variantStates: await manager.find(VariantStateRow, { order: { id: 'ASC' } }),
    sources: await manager.find(SourceRow, { where: { specimenId: IsNull() }, order: { id: 'ASC' } }),
  };
}
