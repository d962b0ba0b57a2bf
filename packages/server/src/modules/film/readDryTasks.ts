import { dryTasks, type FilmSpans } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow } from '../../entities/workpiece.ts';
import { readStandingCoats } from './readStandingCoats.ts';

/** The tasks of a model, with when the coats that they left bear what. */
export async function readDryTasks(
  manager: EntityManager,
  specimenId: string,
): Promise<(TaskRow & { film: FilmSpans | null })[]> {
  const tasks = await manager.findBy(TaskRow, { specimenId });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId });
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
  const layers = await manager.find(CoatingLayerRow, {
    where: { areaId: In(areas.map(({ id }) => id)) },
    order: { seq: 'ASC' },
  });
  return dryTasks(tasks, { parts, areas, layers }, await readStandingCoats(manager, layers));
}
