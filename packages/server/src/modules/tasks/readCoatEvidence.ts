import { In, type EntityManager } from 'typeorm';
import { AreaRow, CoatingLayerRow, SpecimenPartRow } from '../../entities/workpiece.ts';

export interface CoatRows {
  readonly parts: SpecimenPartRow[];
  readonly areas: AreaRow[];
  /** From the metal outwards. */
  readonly layers: CoatingLayerRow[];
}

/** The parts of a specimen, and what lies on them. */
export async function readCoatEvidence(manager: EntityManager, specimenId: string): Promise<CoatRows> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId });
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
  const layers = await manager.find(CoatingLayerRow, {
    where: { areaId: In(areas.map(({ id }) => id)) },
    order: { seq: 'ASC' },
  });
  return { parts, areas, layers };
}
