import { listLacks } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { JobRow } from '../entities/work.ts';
import { composeRecord } from '../modules/record/composeRecord.ts';
import { findRow } from '../modules/rows/versionedRows.ts';
import { closeJob } from '../modules/signing/signOff.ts';
import type { JobNote } from './jobNotes.ts';

/** Keeps the record of a demo job that is signed off, as signing it does. */
export async function signJob(manager: EntityManager, { number, signedOff, signedWithout }: JobNote): Promise<void> {
  if (!signedOff) return;
  const job = await findRow(manager, JobRow, number.toLowerCase(), 'This job');
  const at = new Date(job.signedOffAt!);
  const lacks = listLacks(await composeRecord(manager, job.id, at));
  await closeJob(manager, job, { who: signedOff, lacks, because: lacks.length ? (signedWithout ?? '') : '' }, at);
}
