import { findOverpaint } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { AreaRow, CoatingLayerRow, FindingRow, SpecimenPartRow } from '../../entities/workpiece.ts';

/** Which of these specimens wear a coat outside that is not the factory's. */
export async function readOverpainted(
  manager: EntityManager,
  specimenIds: readonly string[],
): Promise<ReadonlySet<string>> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: In(specimenIds), role: 'body' });
  const specimenPartId = In(parts.map((part) => part.id));
  const areas = await manager.findBy(AreaRow, { specimenPartId });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(areas.map((area) => area.id)), stage: 'found' });
  const findings = await manager.findBy(FindingRow, { specimenPartId });
  return new Set(
    specimenIds.filter((id) => {
      const own = parts.filter((part) => part.specimenId === id);
      return findOverpaint({ parts: own, areas, layers, findings }) !== null;
    }),
  );
}
