import type { EntityManager } from 'typeorm';
import type { JobRow } from '../../entities/work.ts';
import { notFound, refused } from '../../http/errors.ts';
import { CATALOGUE_ROW_KINDS } from './catalogueRowKinds.ts';
import { JOB_ROW_KINDS } from './jobRowKinds.ts';
import { STOCK_ROW_KINDS } from './stockRowKinds.ts';
import { WORKSHOP_ROW_KINDS } from './workshopRowKinds.ts';
import type { RowKind } from './rowKind.ts';

/** Every noun that people edit row by row. */
export const ROW_KINDS: readonly RowKind[] = [
  ...JOB_ROW_KINDS,
  ...CATALOGUE_ROW_KINDS,
  ...WORKSHOP_ROW_KINDS,
  ...STOCK_ROW_KINDS,
];

/** Signed-off jobs are closed: their rows are read, not changed. */
export async function assertJobIsOpen(manager: EntityManager, jobId: string | null): Promise<void> {
  if (!jobId) return;
  // Asked at every edit: two columns, without the mapper's work.
  const [job] = await manager.query<Pick<JobRow, 'number' | 'signedOffAt'>[]>(
    'SELECT number, signedOffAt FROM job WHERE id = ?',
    [jobId],
  );
  if (!job) throw notFound('This job');
  if (job.signedOffAt) throw refused('signed-off', `${job.number} is signed off; its record stands as it is.`);
}
