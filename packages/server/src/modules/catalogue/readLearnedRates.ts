import { learnRates, selectAnswers, type LearnedRates, type SettledBy, type SettledCase } from '@sardonyx/core';
import { In, IsNull, Not, type DataSource, type EntityManager } from 'typeorm';
import { FeatureStateRow, HistoryRow, VariantStateRow } from '../../entities/catalogue.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readGiven } from './readGiven.ts';
import { readStatedCatalogue } from './readStatedCatalogue.ts';

/** Worked out once for what was settled and read: asked with every catalogue. */
const learnedOf = new WeakMap<DataSource, { readonly key: string; readonly rates: LearnedRates }>();

/** What the settled models of this bench teach of its rates. */
export async function readLearnedRates(manager: EntityManager): Promise<LearnedRates> {
  // The model that an issue was written down from agrees with it in all that was read, mistakes and all.
  const settled = await manager.findBy(SpecimenRow, {
    settledVariantId: Not(IsNull()),
    settledBy: Not<SettledBy>('found on this model'),
  });
  if (settled.length === 0) return learnRates([]);
  const givenOf = await readGiven(
    manager,
    settled.map(({ id }) => id),
  );
  const recorded = await manager.findBy(VariantStateRow, { variantId: In(settled.map((one) => one.settledVariantId)) });
  const featureId = In([...new Set(recorded.map((row) => row.featureId))]);
  const key = JSON.stringify([
    settled.map(({ id, castingId, settledVariantId }) => [id, castingId, settledVariantId, givenOf(id)]),
    await manager.find(HistoryRow),
    await manager.find(HouseStyleRow),
    ...[recorded, await manager.findBy(FeatureStateRow, { featureId })],
  ]);
  const known = learnedOf.get(manager.connection);
  if (known?.key === key) return known.rates;
  const cases: SettledCase[] = [];
  for (const { id, castingId, settledVariantId } of settled) {
    const catalogue = await readStatedCatalogue(manager, castingId);
    cases.push({ catalogue, variantId: settledVariantId!, answers: selectAnswers(catalogue, givenOf(id)) });
  }
  const rates = learnRates(cases);
  learnedOf.set(manager.connection, { key, rates });
  return rates;
}
