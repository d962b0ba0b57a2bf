import type { ReopenJob } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { JobRow, SigningRow } from '../../entities/work.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { closeJob } from './signOff.ts';
import { readSignings } from './readSignings.ts';

/** Opens a job that is signed off. The record that was signed stays as it is, beside the one that is written from now on. */
export async function reopenJob(
  manager: EntityManager,
  jobId: string,
  { who, because }: ReopenJob,
  now: Date,
): Promise<JobRow> {
  const job = await findRow(manager, JobRow, jobId, 'This job');
  if (!job.signedOffAt) throw refused('not-signed', `${job.number} is open: there is nothing to open again.`);
  // Signed by a version of the program that kept no records: what it says now is what was signed.
  if (!(await readSignings(manager, jobId)).some(({ reopenedAt }) => reopenedAt === null)) {
    const at = new Date(job.signedOffAt);
    await closeJob(manager, job, { who: job.signedOffBy ?? '', lacks: [], because: '' }, at);
  }
  const reopened = { reopenedAt: now.toISOString(), reopenedBy: who, reopenedBecause: because };
  const standing = (await readSignings(manager, jobId)).at(-1)!;
  await manager.update(SigningRow, { id: standing.id }, { ...reopened, version: standing.version + 1 });
  const { version } = await findRow(manager, JobRow, jobId, 'This job');
  await manager.update(JobRow, { id: jobId }, { signedOffAt: null, signedOffBy: null, version: version + 1 });
  await recompilePlan(manager, jobId, now, { because: 'the job was opened again' });
  return findRow(manager, JobRow, jobId, 'This job');
}
