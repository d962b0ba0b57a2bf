import { createPaperDates, type JobRecord, type PaperDates } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { HouseStyleRow } from '../../entities/house.ts';
import { findRow } from '../rows/versionedRows.ts';
import { findStandingRecord } from '../signing/readSignings.ts';
import { composeRecord } from './composeRecord.ts';

/** The record of a job: as it was signed, or from what is in the database now while nobody signed it. */
export const readRecord = async (manager: EntityManager, jobId: string, now: Date): Promise<JobRecord> =>
  (await findStandingRecord(manager, jobId)) ?? composeRecord(manager, jobId, now);

/** The record, and how its days are written: by the clock on the wall of the bench. */
export async function readRecordToSay(
  manager: EntityManager,
  jobId: string,
  now: Date,
): Promise<{ readonly record: JobRecord; readonly dates: PaperDates }> {
  const { zone } = await findRow(manager, HouseStyleRow, 'house', 'The house style');
  return { record: await readRecord(manager, jobId, now), dates: createPaperDates(zone) };
}
