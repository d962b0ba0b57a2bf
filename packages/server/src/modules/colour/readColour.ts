import type { ColourView, MixView } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { ColourCaptureRow, MixRow, MixStepRow } from '../../entities/colour.ts';
import { JobRow } from '../../entities/work.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Colours of one job: as they were, and as they were mixed, with every line of the log. */
export async function readColour(manager: EntityManager, jobId: string): Promise<ColourView> {
  await findRow(manager, JobRow, jobId, 'This job');
  return {
    captures: await manager.find(ColourCaptureRow, { where: { jobId }, order: { takenAt: 'ASC' } }),
    mixes: await readMixes(manager, jobId),
  };
}

/** Every mixing of a job with its log, the first first. */
export async function readMixes(manager: EntityManager, jobId: string): Promise<MixView[]> {
  const mixes = await manager.find(MixRow, { where: { jobId }, order: { startedAt: 'ASC' } });
  const steps = await manager.find(MixStepRow, {
    where: { mixId: In(mixes.map((mix) => mix.id)) },
    order: { seq: 'ASC' },
  });
  return mixes.map((mix) => ({ ...mix, steps: steps.filter((step) => step.mixId === mix.id) }));
}
