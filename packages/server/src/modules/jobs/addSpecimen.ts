import { randomUUID } from 'node:crypto';
import type { AddSpecimen } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { JobRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { badInput } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { fitOutSpecimen } from './fitOutSpecimen.ts';

/** Another model of a job, with its parts and a plan of its own; a donor belongs to no job and is only taken from. */
export async function addSpecimen(
  manager: EntityManager,
  jobId: string,
  { name, castingId, isDonor }: AddSpecimen,
  now: Date,
): Promise<SpecimenRow> {
  await findRow(manager, JobRow, jobId, 'This job');
  await assertJobIsOpen(manager, jobId);
  if (castingId && !(await manager.existsBy(CastingRow, { id: castingId })))
    throw badInput('This casting is not in the catalogue.', { castingId: 'Choose one from the catalogue.' });
  if (isDonor && !castingId)
    throw badInput('A donor is of a casting that is known: what it can give follows from that.', {
      castingId: 'Say which casting it is.',
    });
  const specimen = manager.create(SpecimenRow, {
    ...{ id: isDonor ? randomUUID() : await nextId(manager, jobId), version: 1, castingId, name, note: '', isDonor },
    ...{ jobId: isDonor ? null : jobId, settledVariantId: null, settledBy: null },
  });
  await manager.insert(SpecimenRow, specimen);
  await fitOutSpecimen(manager, specimen);
  await recompilePlan(manager, jobId, now);
  return findRow(manager, SpecimenRow, specimen.id, 'This model');
}

/** Models of a job stand in the order they came: their ids count up. */
async function nextId(manager: EntityManager, jobId: string): Promise<string> {
  for (let i = 1; ; i++) {
    const id = `${jobId}-${i}`;
    if (!(await manager.existsBy(SpecimenRow, { id }))) return id;
  }
}
