import { refused } from '../../http/errors.ts';
import type { EntityManager } from 'typeorm';
import { DecalArtworkRow, DecalPlanRow, type DecalOrderRow } from '../../entities/decal.ts';
import { FeatureStateRow } from '../../entities/catalogue.ts';
import { CoatingLayerRow, WantRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';

/** A plan is of a decal that is planned, and of an artwork that is there. */
export async function assertDecalPlanned(manager: EntityManager, { layerId, artworkId }: DecalPlanRow): Promise<void> {
  const layer = await findRow(manager, CoatingLayerRow, layerId, 'This decal');
  if (layer.kind !== 'decal' || layer.stage !== 'planned')
    throw refused('no-decal', 'Only a planned decal has an artwork.', { layerId: 'Plan a decal first.' });
  if (artworkId !== null) await findRow(manager, DecalArtworkRow, artworkId, 'This artwork');
}

export async function assertStateKnown(manager: EntityManager, { featureStateId }: DecalArtworkRow): Promise<void> {
  if (featureStateId !== null) await findRow(manager, FeatureStateRow, featureStateId, 'This state');
}

/** What a decal is planned of stays; sheets keep their own copy. */
export async function assertNotPlanned(manager: EntityManager, { id, name }: DecalArtworkRow): Promise<void> {
  const planned = await manager.countBy(DecalPlanRow, { artworkId: id });
  if (planned > 0)
    throw refused(
      'in-use',
      `${name} is planned ${planned === 1 ? 'once' : `${planned} times`}: take it off there first.`,
    );
}

/** Only what lies on the bench can be looked at. */
export async function assertCame(manager: EntityManager, { wantId, rating }: DecalOrderRow): Promise<void> {
  const { state, what } = await findRow(manager, WantRow, wantId, 'This want');
  if (rating !== null && state !== 'solved')
    throw refused('not-here', `“${what}” is not here yet: it is rated when it has come.`);
}
