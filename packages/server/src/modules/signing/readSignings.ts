import type { JobRecord } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { SigningRow } from '../../entities/work.ts';
import { notFound } from '../../http/errors.ts';

/** Each time a job was signed, the first first. */
export const readSignings = (manager: EntityManager, jobId: string): Promise<SigningRow[]> =>
  manager.find(SigningRow, { where: { jobId }, order: { signedAt: 'ASC' } });

/** The record as it was when it was signed that time. */
export async function readSignedRecord(manager: EntityManager, signingId: string): Promise<JobRecord> {
  const row = await manager.findOne(SigningRow, { where: { id: signingId }, select: { id: true, record: true } });
  if (!row) throw notFound('This signing');
  return JSON.parse(row.record) as JobRecord;
}

/** The record that a signed-off job stands by; null while it is open, and where it was signed before records were kept. */
export async function findStandingRecord(manager: EntityManager, jobId: string): Promise<JobRecord | null> {
  const signing = (await readSignings(manager, jobId)).at(-1);
  return signing?.reopenedAt === null ? readSignedRecord(manager, signing.id) : null;
}
