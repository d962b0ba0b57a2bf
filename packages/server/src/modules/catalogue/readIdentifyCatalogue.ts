import type { IdentifyCatalogue } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { CastingRow, FeatureRow, FeatureStateRow, VariantRow, VariantStateRow } from '../../entities/catalogue.ts';

/**
 * The catalogue as identification wants it. For a known casting: its own variants and the features that they are known
 * by; for an unknown one: everything.
 */
export async function readIdentifyCatalogue(
  manager: EntityManager,
  castingId: string | null,
): Promise<IdentifyCatalogue> {
  const variants = await manager.find(VariantRow, { where: castingId ? { castingId } : {}, order: { id: 'ASC' } });
  const recorded = castingId
    ? await manager.findBy(VariantStateRow, { variantId: In(variants.map((variant) => variant.id)) })
    : await manager.find(VariantStateRow);
  const features = await manager.findBy(FeatureRow, { id: In([...new Set(recorded.map((row) => row.featureId))]) });
  const states = await manager.findBy(FeatureStateRow, { featureId: In(features.map((feature) => feature.id)) });
  const castingName = new Map(
    (await manager.find(CastingRow)).map((casting) => [casting.id, `${casting.number} ${casting.name}`]),
  );
  const statesOf = groupBy(states, (state) => state.featureId);
  const recordedOf = groupBy(recorded, (row) => row.variantId);
  return {
    features: features.map(({ id, label, howToLook, effort, castIn, alteredChance }) => ({
      id,
      label,
      howToLook,
      effort,
      castIn,
      alteredChance,
      states: (statesOf.get(id) ?? []).map((state) => ({
        id: state.id,
        label: state.label,
        fromYear: state.fromYear,
        toYear: state.toYear,
        lookAlikes: (statesOf.get(id) ?? [])
          .filter((other) => state.lookAlikes.includes(other.key))
          .map((other) => other.id),
      })),
    })),
    variants: variants.map((variant) => ({
      id: variant.id,
      name: castingId ? variant.name : `${castingName.get(variant.castingId) ?? ''}, ${variant.name}`,
      castingId: variant.castingId,
      span: {
        startEarliest: variant.startEarliest,
        startLatest: variant.startLatest,
        endEarliest: variant.endEarliest,
        endLatest: variant.endLatest,
      },
      states: groupShares(recordedOf.get(variant.id) ?? []),
    })),
  };
}

function groupShares(rows: readonly VariantStateRow[]): Record<string, Record<string, number>> {
  const shares: Record<string, Record<string, number>> = {};
  for (const row of rows) (shares[row.featureId] ??= {})[row.stateId] = row.share;
  return shares;
}

function groupBy<T>(rows: readonly T[], keyOf: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return groups;
}
