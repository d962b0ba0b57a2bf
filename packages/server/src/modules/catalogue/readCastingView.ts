import type { CastingView } from '@sardonyx/contract';
import { believeUnlisted, countSettled, PART_ROLES } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import {
  CastingPartRow,
  CastingRow,
  FeatureRow,
  FeatureStateRow,
  JointRow,
  MakerRow,
  ToyRangeRow,
  VariantRow,
  VariantStateRow,
} from '../../entities/catalogue.ts';
import { SourceRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readInOrder } from './readInOrder.ts';
import { findRow } from '../rows/versionedRows.ts';

/** A casting with its parts, joints, variants and the features its range is known by. */
export async function readCastingView(manager: EntityManager, castingId: string): Promise<CastingView> {
  const casting = await findRow(manager, CastingRow, castingId, 'This casting');
  const range = await findRow(manager, ToyRangeRow, casting.rangeId, 'This range');
  const variants = await manager.find(VariantRow, { where: { castingId }, order: { startEarliest: 'ASC' } });
  const features = await readInOrder(manager, FeatureRow, { rangeId: range.id });
  const specimens = await manager.find(SpecimenRow, { where: { castingId }, order: { id: 'ASC' } });
  const settledIds = specimens.flatMap(({ settledVariantId }) => settledVariantId ?? []);
  return {
    casting,
    range,
    maker: await findRow(manager, MakerRow, range.makerId, 'This maker'),
    parts: (await manager.findBy(CastingPartRow, { castingId })).sort(
      (a, b) => PART_ROLES.indexOf(a.role) - PART_ROLES.indexOf(b.role),
    ),
    joints: await manager.findBy(JointRow, { castingId }),
    features,
    states: await readInOrder(manager, FeatureStateRow, { featureId: In(features.map((feature) => feature.id)) }),
    variants,
    variantStates: await manager.findBy(VariantStateRow, { variantId: In(variants.map((variant) => variant.id)) }),
    unlistedChance: variants.length ? believeUnlisted(casting.listed, countSettled(variants, settledIds)) : null,
    specimens: specimens.map(({ id, jobId, name }) => ({ id, jobId, name })),
    sources: await manager.findBy(SourceRow, { castingId }),
  };
}
