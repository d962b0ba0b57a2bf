import { listFailures, type PastFailure } from '@sardonyx/core';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';

/** Coats of all jobs that were rejected, with what lay under them. */
export async function readFailures(manager: EntityManager): Promise<PastFailure[]> {
  const rejected = await manager.findBy(CoatingLayerRow, { stage: 'applied', rejection: Not(IsNull()) });
  if (rejected.length === 0) return [];
  const areaIds = [...new Set(rejected.map(({ areaId }) => areaId))];
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(areaIds), stage: 'applied' });
  const areas = await manager.findBy(AreaRow, { id: In(areaIds) });
  const parts = await manager.findBy(SpecimenPartRow, { id: In(areas.map(({ specimenPartId }) => specimenPartId)) });
  const specimens = await manager.findBy(SpecimenRow, { id: In(parts.map(({ specimenId }) => specimenId)) });
  const jobs = await manager.findBy(JobRow, { id: In(specimens.flatMap(({ jobId }) => jobId ?? [])) });
  return listFailures(
    rejected.map((layer) => {
      const area = areas.find(({ id }) => id === layer.areaId)!;
      const part = parts.find(({ id }) => id === area.specimenPartId)!;
      const specimen = specimens.find(({ id }) => id === part.specimenId)!;
      return {
        ...{ layer, material: part.material, onArea: layers.filter(({ areaId }) => areaId === layer.areaId) },
        jobNumber: jobs.find(({ id }) => id === specimen.jobId)?.number ?? '',
      };
    }),
  );
}
