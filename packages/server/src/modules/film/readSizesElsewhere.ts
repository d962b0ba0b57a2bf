import { nameOfArea } from '@sardonyx/core';
import type { SizeElsewhere } from '@sardonyx/contract';
import { In, Not, type EntityManager } from 'typeorm';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';

/** How large the same area of the same casting was found to be on other models, by whatever way but another taking over. */
export async function readSizesElsewhere(manager: EntityManager, areaId: string): Promise<SizeElsewhere[]> {
  const area = await findRow(manager, AreaRow, areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const { castingId, id } = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  if (castingId === null) return [];
  const others = await manager.findBy(SpecimenRow, { castingId, id: Not(id) });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: In(others.map((one) => one.id)), key: part.key });
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map((one) => one.id)), kind: area.kind });
  const jobs = await manager.findBy(JobRow, { id: In(others.flatMap(({ jobId }) => jobId ?? [])) });
  return areas.flatMap(({ specimenPartId, size, ...one }): SizeElsewhere[] => {
    if (size === null || size.way === 'same casting' || nameOfArea(one) !== nameOfArea(area)) return [];
    const specimenId = parts.find((other) => other.id === specimenPartId)!.specimenId;
    const model = others.find((other) => other.id === specimenId)!;
    return [{ model: jobs.find((job) => job.id === model.jobId)?.number ?? model.name, size }];
  });
}
