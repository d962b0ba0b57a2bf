import { checkKeying, isStanding } from '@sardonyx/core';
import type { KeyCoat } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { refuseAll, refused } from '../../http/errors.ts';
import { readStandingCoats } from '../film/readStandingCoats.ts';
import { findRow } from '../rows/versionedRows.ts';
import { writeLog } from '../tasks/writeLog.ts';
import { findStandingCoat } from './findStandingCoat.ts';

/** The outermost coat, whose window has shut, was rubbed dull: the next one holds on it. Or it was not, after all. */
export async function keyCoat(
  manager: EntityManager,
  layerId: string,
  { who, isKeyed }: KeyCoat,
  now: Date,
): Promise<CoatingLayerRow> {
  const { layer, layers, step } = await findStandingCoat(manager, layerId);
  const outermost = layers.filter(isStanding).sort((a, b) => b.seq - a.seq)[0]!;
  const isOutermost = outermost.id === layerId;
  if (isKeyed) {
    const film = (await readStandingCoats(manager, layers)).find((coat) => coat.layerId === layerId);
    refuseAll(checkKeying({ name: layer.name, isOutermost, spans: film?.spans ?? null }, now));
  } else if (!isOutermost)
    throw refused('not-outermost', `Another coat lies on ${layer.name}, on the strength of its keying.`);
  const keyedAt = isKeyed ? now.toISOString() : null;
  await manager.update(CoatingLayerRow, { id: layerId }, { keyedAt, version: layer.version + 1 });
  const note = `${isKeyed ? 'Keyed' : 'Not keyed after all'}, ${layer.name}`;
  if (step) await writeLog(manager, step, { act: 'note', who, at: now, note });
  return findRow(manager, CoatingLayerRow, layerId, 'This coat');
}
