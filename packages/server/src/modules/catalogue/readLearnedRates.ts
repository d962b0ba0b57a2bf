import { learnRates, selectAnswers, type LearnedRates, type SettledBy, type SettledCase } from '@sardonyx/core';
import { In, IsNull, Not, type DataSource, type EntityManager } from 'typeorm';
import { HistoryRow, VariantStateRow } from '../../entities/catalogue.ts';
import { MeasurementRow, ObservationRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readOverpainted } from './readOverpainted.ts';
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
  const specimenId = In(settled.map(({ id }) => id));
  const observations = await manager.findBy(ObservationRow, { specimenId });
  const measurements = await manager.findBy(MeasurementRow, { specimenId });
  const overpainted = await readOverpainted(
    manager,
    settled.map(({ id }) => id),
  );
  const key = JSON.stringify([
    [...overpainted],
    settled.map(({ id, castingId, settledVariantId }) => [id, castingId, settledVariantId]),
    ...[observations, measurements, await manager.find(HistoryRow)],
    await manager.findBy(VariantStateRow, { variantId: In(settled.map((one) => one.settledVariantId)) }),
  ]);
  const known = learnedOf.get(manager.connection);
  if (known?.key === key) return known.rates;
  const cases: SettledCase[] = [];
  for (const { id, castingId, settledVariantId } of settled) {
    const catalogue = await readStatedCatalogue(manager, castingId);
    const own = <T extends { readonly specimenId: string }>(rows: readonly T[]) =>
      rows.filter((row) => row.specimenId === id);
    const answers = selectAnswers(catalogue, own(observations), own(measurements), overpainted.has(id));
    cases.push({ catalogue, variantId: settledVariantId!, answers });
  }
  const rates = learnRates(cases);
  learnedOf.set(manager.connection, { key, rates });
  return rates;
}
