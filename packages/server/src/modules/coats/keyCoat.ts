import { checkKeying, isStanding } from '@sardonyx/core';
import type { KeyCoat } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { refuseAll } from '../../http/errors.ts';
import { readStandingCoats } from '../film/readStandingCoats.ts';
import { findRow } from '../rows/versionedRows.ts';
import { writeLog } from '../tasks/writeLog.ts';
import { findStandingCoat } from './findStandingCoat.ts';

/** The outermost coat, whose window has shut, was rubbed dull: the next one holds on it. */
export async function keyCoat(
  manager: EntityManager,
  layerId: string,
  { who }: KeyCoat,
  now: Date,
): Promise<CoatingLayerRow> {
  const { layer, layers, step } = await findStandingCoat(manager, layerId);
  const outermost = layers.filter(isStanding).sort((a, b) => b.seq - a.seq)[0]!;
  const film = (await readStandingCoats(manager, layers)).find((coat) => coat.layerId === layerId);
  refuseAll(checkKeying({ name: layer.name, isOutermost: outermost.id === layerId, spans: film?.spans ?? null }, now));
  await manager.update(CoatingLayerRow, { id: layerId }, { keyedAt: now.toISOString(), version: layer.version + 1 });
  if (step) await writeLog(manager, step, { act: 'note', who, at: now, note: `Keyed, ${layer.name}` });
  return findRow(manager, CoatingLayerRow, layerId, 'This coat');
}
