import { isStanding } from '@sardonyx/core';
import type { RejectCoat } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { badInput } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';
import { moveJobAlong } from '../tasks/moveJobAlong.ts';
import { writeLog } from '../tasks/writeLog.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { findStandingCoat } from './findStandingCoat.ts';

/**
 * A coat does not stay: it is marked so with the reason, with whatever lies on it. Its removal and the coat that follows
 * become tasks; the record keeps both.
 */
export async function rejectCoat(
  manager: EntityManager,
  layerId: string,
  { who, because, failure, helped, photoHash }: RejectCoat,
  now: Date,
): Promise<CoatingLayerRow> {
  const { layer, jobId, layers, step } = await findStandingCoat(manager, layerId);
  if (photoHash && !(await manager.existsBy(PhotoRow, { hash: photoHash })))
    throw badInput('That picture is not on this bench.', { photoHash: 'Choose a picture of this bench.' });
  const above = layers.filter((other) => isStanding(other) && other.seq > layer.seq);
  for (const one of [layer, ...above])
    await manager.update(
      CoatingLayerRow,
      { id: one.id },
      {
        rejection: {
          ...{ at: now.toISOString(), by: who },
          because: one === layer ? because : `it lay on ${layer.name}, which was rejected: ${because}`,
          ...(one === layer && failure ? { failure, helped: helped ?? '' } : {}),
          ...(one === layer && photoHash ? { photoHash } : {}),
        },
        version: one.version + 1,
      },
    );
  if (step) await writeLog(manager, step, { act: 'note', who, at: now, note: `Rejected, ${layer.name}: ${because}` });
  await recompilePlan(manager, jobId, now);
  await moveJobAlong(manager, jobId);
  return findRow(manager, CoatingLayerRow, layerId, 'This coat');
}
