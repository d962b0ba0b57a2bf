import { isStanding, listCoatsOf } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readEvidence } from '../tasks/readEvidence.ts';

/** A coat that stands on a model whose job is open, with the layers of its area and the step that it ended; throws for any other. */
export async function findStandingCoat(manager: EntityManager, layerId: string) {
  const layer = await findRow(manager, CoatingLayerRow, layerId, 'This coat');
  const area = await findRow(manager, AreaRow, layer.areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const { id: specimenId, jobId } = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  if (!jobId) throw refused('no-job', 'Coats belong to a model that has a job.');
  await assertJobIsOpen(manager, jobId);
  if (!isStanding(layer))
    throw refused('not-standing', 'Only a coat that was put on and stands can be asked for this.');
  const layers = await manager.findBy(CoatingLayerRow, { areaId: area.id });
  const evidence = await readEvidence(manager, { jobId, specimenId, id: '' });
  const done = await manager.findBy(TaskRow, { specimenId, state: 'done' });
  const step = done.find((task) =>
    listCoatsOf(task, evidence).some((coat) => coat.areaId === area.id && coat.kind === layer.kind),
  );
  return { layer, area, jobId, layers, step: step ?? null };
}
