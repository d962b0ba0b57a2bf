import { isStanding, listCoatsOf } from '@sardonyx/core';
import type { RejectCoat } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { moveJobAlong } from '../tasks/moveJobAlong.ts';
import { writeLog } from '../tasks/writeLog.ts';
import { readEvidence } from '../tasks/readEvidence.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';

/**
 * A coat does not stay: it is marked so with the reason, with whatever lies on it. Its removal and the coat that follows
 * become tasks; the record keeps both.
 */
export async function rejectCoat(
  manager: EntityManager,
  layerId: string,
  { who, because }: RejectCoat,
  now: Date,
): Promise<CoatingLayerRow> {
  const layer = await findRow(manager, CoatingLayerRow, layerId, 'This coat');
  const area = await findRow(manager, AreaRow, layer.areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const { id: specimenId, jobId } = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  if (!jobId) throw refused('no-job', 'Coats are rejected on a model that has a job.');
  await assertJobIsOpen(manager, jobId);
  if (!isStanding(layer)) throw refused('not-standing', 'Only a coat that was put on and stands can be rejected.');
  const above = (await manager.findBy(CoatingLayerRow, { areaId: area.id })).filter(
    (other) => isStanding(other) && other.seq > layer.seq,
  );
  const evidence = await readEvidence(manager, { jobId, specimenId, id: '' });
  const done = await manager.findBy(TaskRow, { specimenId, state: 'done' });
  const step = done.find((task) =>
    listCoatsOf(task, evidence).some((coat) => coat.areaId === area.id && coat.kind === layer.kind),
  );
  for (const one of [layer, ...above])
    await manager.update(
      CoatingLayerRow,
      { id: one.id },
      {
        rejection: {
          ...{ at: now.toISOString(), by: who },
          because: one === layer ? because : `it lay on ${layer.name}, which was rejected: ${because}`,
        },
        version: one.version + 1,
      },
    );
  if (step) await writeLog(manager, step, { act: 'note', who, at: now, note: `Rejected, ${layer.name}: ${because}` });
  await recompilePlan(manager, jobId, now);
  await moveJobAlong(manager, jobId);
  return findRow(manager, CoatingLayerRow, layerId, 'This coat');
}
