import type { CatalogueView } from '@sardonyx/contract';
import { groupBy, identifySpecimen, selectAnswers } from '@sardonyx/core';
import { IsNull, Not, type EntityManager } from 'typeorm';
import { CastingRow, MakerRow, ToyRangeRow, VariantRow } from '../../entities/catalogue.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readGiven } from './readGiven.ts';
import { readIdentifyCatalogue } from './readIdentifyCatalogue.ts';

/** All castings with their issues, and which of these the shelf holds. */
export async function readCatalogue(manager: EntityManager): Promise<CatalogueView> {
  const makers = new Map((await manager.find(MakerRow)).map((maker) => [maker.id, maker]));
  const ranges = await manager.find(ToyRangeRow, { order: { name: 'ASC' } });
  const rangeById = new Map(ranges.map((range) => [range.id, range]));
  const castings = await manager.find(CastingRow);
  const variantsOf = groupBy(
    await manager.find(VariantRow, { order: { startEarliest: 'ASC', id: 'ASC' } }),
    (variant) => variant.castingId,
  );
  const specimens = await manager.findBy(SpecimenRow, { castingId: Not(IsNull()) });
  const leaders = await findLeaders(manager, specimens);
  return {
    ranges: ranges.map((range) => ({ ...range, makerName: makers.get(range.makerId)?.name ?? '' })),
    castings: castings
      .map(({ id, rangeId, number, name, bodyType, lengthMm, wheelbaseMm, drawing }) => {
        const range = rangeById.get(rangeId)!;
        const own = variantsOf.get(id) ?? [];
        return {
          ...{ id, number, name, bodyType, lengthMm, wheelbaseMm },
          side: drawing.views[0]!,
          rangeName: range.name,
          makerName: makers.get(range.makerId)?.name ?? '',
          fromYear: own.length ? Math.floor(Math.min(...own.map((variant) => variant.startEarliest))) : null,
          toYear: own.length ? Math.floor(Math.max(...own.map((variant) => variant.endLatest))) : null,
          variantCount: own.length,
          onShelf: specimens.filter((specimen) => specimen.castingId === id).length,
          variants: own.map((variant) => ({
            ...{ id: variant.id, name: variant.name, rarity: variant.rarity },
            ...{ fromYear: Math.floor(variant.startEarliest), toYear: Math.floor(variant.endLatest) },
            onShelf: leaders.get(variant.id) ?? [],
          })),
        };
      })
      .sort(
        (a, b) => a.makerName.localeCompare(b.makerName) || a.number.localeCompare(b.number, 'en', { numeric: true }),
      ),
  };
}

/** A variant stands on the shelf when it is more probable than not for some model there. */
const HELD = 0.5;

async function findLeaders(manager: EntityManager, specimens: readonly SpecimenRow[]): Promise<Map<string, string[]>> {
  const givenOf = await readGiven(
    manager,
    specimens.map(({ id }) => id),
  );
  const held = new Map<string, string[]>();
  for (const [castingId, own] of groupBy(specimens, (specimen) => specimen.castingId)) {
    const catalogue = await readIdentifyCatalogue(manager, castingId);
    for (const { id } of own) {
      const [leader] = identifySpecimen(catalogue, selectAnswers(catalogue, givenOf(id))).ranked;
      if (leader && leader.probability > HELD) held.set(leader.variantId, [...(held.get(leader.variantId) ?? []), id]);
    }
  }
  return held;
}
