import type { EntityManager } from 'typeorm';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, WantRow } from '../../entities/workpiece.ts';

export interface SpecimenParts {
  readonly of: (specimenId: string) => {
    parts: SpecimenPartRow[];
    areas: AreaRow[];
    layers: CoatingLayerRow[];
    wants: WantRow[];
  };
}

/** The parts, areas, layers and wants of every specimen, read in four queries and handed out by specimen. */
export async function readSpecimenParts(manager: EntityManager): Promise<SpecimenParts> {
  const parts = await manager.find(SpecimenPartRow);
  const areas = await manager.find(AreaRow);
  const layers = await manager.find(CoatingLayerRow);
  const wants = await manager.find(WantRow);
  return {
    of: (specimenId) => {
      const own = parts.filter((part) => part.specimenId === specimenId);
      const partIds = new Set(own.map((part) => part.id));
      const ownAreas = areas.filter((area) => partIds.has(area.specimenPartId));
      const areaIds = new Set(ownAreas.map((area) => area.id));
      return {
        parts: own,
        areas: ownAreas,
        layers: layers.filter((layer) => areaIds.has(layer.areaId)),
        wants: wants.filter((want) => partIds.has(want.specimenPartId)),
      };
    },
  };
}
