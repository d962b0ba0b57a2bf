import type { EarlierJob } from '@sardonyx/contract';
import { describeEarlier } from '@sardonyx/core';
import { In, Not, type EntityManager } from 'typeorm';
import { JobRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readRecord } from './readRecord.ts';

/** Older ones are in the cabinet and in their records. */
const MOST = 5;

/** Other jobs with a model of the same casting as one of this job's, the latest first. */
export async function readEarlier(manager: EntityManager, jobId: string, now: Date): Promise<EarlierJob[]> {
  const job = await findRow(manager, JobRow, jobId, 'This job');
  const own = await manager.findBy(SpecimenRow, { jobId: job.id });
  const castingIds = [...new Set(own.flatMap(({ castingId }) => castingId ?? []))];
  const others = await manager.find(SpecimenRow, { where: { castingId: In(castingIds), jobId: Not(job.id) } });
  const jobs = await manager.find(JobRow, {
    where: { id: In(others.flatMap(({ jobId: other }) => other ?? [])) },
    order: { intakeOn: 'DESC', number: 'DESC' },
    take: MOST,
  });
  const earlier: EarlierJob[] = [];
  for (const { id } of jobs) {
    const specimens = await manager.find(SpecimenRow, { where: { jobId: id }, order: { id: 'ASC' } });
    const isOfCasting = specimens.map(({ castingId }) => castingId !== null && castingIds.includes(castingId));
    earlier.push({ jobId: id, ...describeEarlier(await readRecord(manager, id, now), isOfCasting) });
  }
  return earlier;
}
