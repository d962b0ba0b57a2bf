import { gatherCost, type JobCost } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { OrderLineRow } from '../../entities/order.ts';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readLogsOf, type LogsOfJob } from './readLogsOf.ts';

/**
 * What a job took out of pots and drawers and what was got for it, with what it cost so far as that is known.
 *
 * @param logs where they were read already
 */
export async function readCost(manager: EntityManager, jobId: string, logs?: LogsOfJob): Promise<JobCost> {
  await findRow(manager, JobRow, jobId, 'This job');
  const specimens = await manager.findBy(SpecimenRow, { jobId });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: In(specimens.map(({ id }) => id)) });
  return gatherCost({
    jobId,
    ...(logs ?? (await readLogsOf(manager, jobId))),
    // What was right is in its drawer or with its want; what was not was paid for all the same.
    orders: await manager.findBy(OrderLineRow, { jobId, quality: In(['poor', 'wrong']) }),
    wants: await manager.findBy(WantRow, { specimenPartId: In(parts.map(({ id }) => id)) }),
    wastedActs: await readWasted(manager, jobId, parts),
  });
}

/** Coats that were rejected, and what was poured into mixes that were given up. */
async function readWasted(
  manager: EntityManager,
  jobId: string,
  parts: readonly SpecimenPartRow[],
): Promise<ReadonlySet<string>> {
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(areas.map(({ id }) => id)), stage: 'applied' });
  const givenUp = (await manager.findBy(MixRow, { jobId })).filter((mix) => mix.endedAt && !mix.productId);
  const steps = await manager.findBy(MixStepRow, { mixId: In(givenUp.map(({ id }) => id)) });
  const rejected = layers.filter((layer) => layer.rejection !== null);
  return new Set([...rejected, ...steps].map(({ id }) => id));
}
