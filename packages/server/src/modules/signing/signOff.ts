import { randomUUID } from 'node:crypto';
import { checkSignOff, listLacks } from '@sardonyx/core';
import type { SignOff } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { JobRow, SigningRow, TaskRow } from '../../entities/work.ts';
import { SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { composeRecord } from '../record/composeRecord.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Closes a job: nothing of it is open any more, what its record lacks has a reason, and the record is kept as it is now. */
export async function signOff(
  manager: EntityManager,
  jobId: string,
  { who, because }: SignOff,
  now: Date,
): Promise<JobRow> {
  const job = await findRow(manager, JobRow, jobId, 'This job');
  if (job.signedOffAt) throw refused('signed-off', `${job.number} is signed off already.`);
  const specimens = await manager.findBy(SpecimenRow, { jobId });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: In(specimens.map((specimen) => specimen.id)) });
  const wants = await manager.findBy(WantRow, { specimenPartId: In(parts.map((part) => part.id)) });
  const refusals = checkSignOff(wants, await manager.findBy(TaskRow, { jobId }), now);
  if (refusals.length) {
    const shown = refusals.slice(0, 3).map((refusal) => refusal.message);
    const rest = refusals.length - shown.length;
    throw refused(refusals[0]!.code, `Not signed off. ${shown.join(' ')}${rest ? ` And ${rest} more.` : ''}`);
  }
  const lacks = listLacks(await composeRecord(manager, jobId, now));
  if (lacks.length && because.trim() === '')
    throw refused('record-lacks', `Not signed off. ${lacks.map(({ what }) => what).join(' ')}`, {
      because: 'Say why it is signed without that, or put it right.',
    });
  await closeJob(manager, job, { who, lacks, because: lacks.length ? because.trim() : '' }, now);
  return findRow(manager, JobRow, jobId, 'This job');
}

/** Writes the signature and keeps the record with it. */
export async function closeJob(
  manager: EntityManager,
  { id, version }: Pick<JobRow, 'id' | 'version'>,
  { who, lacks, because }: Pick<SigningRow, 'lacks' | 'because'> & { readonly who: string },
  now: Date,
): Promise<void> {
  const signedAt = now.toISOString();
  await manager.update(
    JobRow,
    { id },
    { signedOffAt: signedAt, signedOffBy: who, station: 'sign-off', version: version + 1 },
  );
  const signing = { id: randomUUID(), version: 1, jobId: id, signedAt, signedBy: who, lacks, because };
  const open = { reopenedAt: null, reopenedBy: null, reopenedBecause: null };
  await manager.insert(SigningRow, { ...signing, ...open, record: '' });
  // Its own signature stands in it.
  const record = JSON.stringify(await composeRecord(manager, id, now));
  await manager.update(SigningRow, { id: signing.id }, { record });
}
