import { randomUUID } from 'node:crypto';
import type { LogDecal } from '@sardonyx/contract';
import { findFilm, gatherSheets, selectStandingActs } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { DecalActRow, DecalSheetRow } from '../../entities/decal.ts';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readDecalOrders } from './readDecalOrders.ts';

/** What happened to a piece while it was placed is written down, with the film and the age of its sheet. */
export async function logDecal(
  manager: EntityManager,
  layerId: string,
  body: LogDecal,
  now: Date,
): Promise<DecalActRow> {
  const layer = await findRow(manager, CoatingLayerRow, layerId, 'This decal');
  if (layer.kind !== 'decal' || layer.stage !== 'planned')
    throw refused('no-decal', 'Only a planned decal is placed.', { act: 'Plan a decal first.' });
  if ((body.act === 'trouble') !== (body.trouble !== null))
    throw refused('trouble', 'Say what went wrong, and only then.', { trouble: 'What went wrong?' });
  if (body.act !== 'slid' && body.soakS !== null)
    throw refused('soak', 'Seconds in water belong to a decal that slid.', { soakS: 'Leave it empty.' });
  const acts = await manager.findBy(DecalActRow, { layerId });
  if ((body.act === 'taken back') !== selectStandingActs(acts).some(({ id }) => id === body.ofId))
    throw refused('taken-back', 'That is taken back already, or was never written down.', {
      ofId: 'Only what stands of this decal.',
    });
  const sheets = gatherSheets(await readDecalOrders(manager), await manager.find(DecalSheetRow));
  const act = manager.create(DecalActRow, {
    ...{ id: randomUUID(), layerId, at: now.toISOString() },
    ...findFilm(layerId, sheets, now),
    ...body,
  });
  await manager.insert(DecalActRow, act);
  return act;
}
