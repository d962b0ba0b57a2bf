import type { DecalState } from '@sardonyx/contract';
import { identifySpecimen, shareLeftStates, type LeftFeature } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { FeatureRow, FeatureStateRow, ToyRangeRow } from '../../entities/catalogue.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';
import { readIdentified } from '../catalogue/readIdentified.ts';

/** The decals that a model left the works with: by the issue that was settled, else by those it probably is. */
export async function readLeft(manager: EntityManager, specimen: SpecimenRow): Promise<LeftFeature[]> {
  if (specimen.castingId === null) return [];
  const { catalogue, answers, statements } = await readIdentified(manager, specimen.id);
  const { settledVariantId } = specimen;
  const ranked = settledVariantId
    ? [{ variantId: settledVariantId, probability: 1 }]
    : identifySpecimen(catalogue, answers, undefined, statements).ranked;
  return shareLeftStates(catalogue, ranked, 'decals');
}

/** All states of features of decals, whatever the range. */
export async function readDecalStates(manager: EntityManager): Promise<DecalState[]> {
  const features = await manager.find(FeatureRow, { where: { group: 'decals' }, order: { rangeId: 'ASC', id: 'ASC' } });
  const ranges = await manager.find(ToyRangeRow, { select: { id: true, name: true } });
  const states = await manager.findBy(FeatureStateRow, { featureId: In(features.map(({ id }) => id)) });
  return features.flatMap(({ id: featureId, label, rangeId }) => {
    const range = ranges.find(({ id }) => id === rangeId)?.name ?? '';
    return states
      .filter((state) => state.featureId === featureId)
      .map((state) => ({ id: state.id, label: state.label, featureId, feature: `${label}, ${range}` }));
  });
}
