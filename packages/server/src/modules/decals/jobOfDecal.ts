import type { EntityManager } from 'typeorm';
import type { DecalPlanRow } from '../../entities/decal.ts';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { jobOfArea } from '../rows/rowKind.ts';

/** The job that plans a decal. */
export async function jobOfDecal(manager: EntityManager, { layerId }: DecalPlanRow): Promise<string | null> {
  const layer = await manager.findOneBy(CoatingLayerRow, { id: layerId });
  return layer && jobOfArea(manager, layer.areaId);
}
