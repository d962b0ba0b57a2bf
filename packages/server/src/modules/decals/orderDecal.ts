import { randomUUID } from 'node:crypto';
import type { OrderDecal } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { DecalArtworkRow, DecalOrderRow, DecalPlanRow } from '../../entities/decal.ts';
import { AreaRow, CoatingLayerRow, WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { insertWant } from '../jobs/wantWhatIsGone.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { jobOfPart } from '../rows/rowKind.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';

/** A planned decal is wanted of a supplier: as a want of its part like all others, which goes to the shopping list. */
export async function orderDecal(
  manager: EntityManager,
  layerId: string,
  { count, wantId }: OrderDecal,
  now: Date,
): Promise<DecalOrderRow> {
  const plan = await manager.findOneBy(DecalPlanRow, { layerId });
  if (!plan?.artworkId)
    throw refused('no-artwork', 'A supplier prints an artwork: choose one first.', { count: 'Choose its artwork.' });
  const artwork = await findRow(manager, DecalArtworkRow, plan.artworkId, 'This artwork');
  const layer = await findRow(manager, CoatingLayerRow, layerId, 'This decal');
  const { specimenPartId } = await findRow(manager, AreaRow, layer.areaId, 'Its area');
  const jobId = await jobOfPart(manager, specimenPartId);
  await assertJobIsOpen(manager, jobId);
  if (wantId !== null) await assertWantIsFree(manager, wantId, specimenPartId);
  const id = wantId ?? randomUUID();
  if (wantId === null) {
    const what = `${artwork.name}: ${count} pieces, ${artwork.widthMm.toFixed(2)} × ${artwork.heightMm.toFixed(2)} mm`;
    await insertWant(manager, { id, specimenPartId, kind: 'decal', what, getBy: 'buy' });
    if (jobId) await recompilePlan(manager, jobId, now);
  }
  const { name, widthMm, heightMm, shapes, cutLine } = artwork;
  const order = manager.create(DecalOrderRow, {
    ...{ id: randomUUID(), version: 1, layerId, wantId: id, count, rating: null },
    artwork: { id: artwork.id, name, widthMm, heightMm, shapes, cutLine },
  });
  await manager.insert(DecalOrderRow, order);
  return order;
}

async function assertWantIsFree(manager: EntityManager, wantId: string, specimenPartId: string): Promise<void> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  if (want.kind !== 'decal' || want.specimenPartId !== specimenPartId)
    throw refused('other-want', `“${want.what}” is no decal of this part.`, { wantId: 'Choose another.' });
  if (await manager.existsBy(DecalOrderRow, { wantId }))
    throw refused('there', `“${want.what}” is of a decal already.`, { wantId: 'Choose another.' });
}
