import { listColourNeeds, type ColourNeed } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import { readFacts, readHouseRows } from '../tasks/readFacts.ts';

/** Every area of the open jobs that is planned in a colour. */
export async function readColourNeeds(manager: EntityManager): Promise<ColourNeed[]> {
  const house = await readHouseRows(manager);
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const needs: ColourNeed[] = [];
  for (const job of jobs)
    for (const specimen of await manager.findBy(SpecimenRow, { jobId: job.id })) {
      const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
      const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
      const own = listColourNeeds({
        ...{ parts, areas, facts: await readFacts(manager, job, specimen, house) },
        layers: await manager.findBy(CoatingLayerRow, { areaId: In(areas.map(({ id }) => id)), stage: 'applied' }),
        drawing: specimen.castingId ? await readDrawing(manager, specimen.castingId) : null,
      });
      const whose = { jobId: job.id, jobNumber: job.number, specimenName: specimen.name };
      needs.push(...own.map((need) => ({ ...whose, ...need })));
    }
  return needs;
}
