import {
  describeStandingCoats,
  isStanding,
  type CoatTouch,
  type CoatingLayer,
  type DryingRows,
  type DryingSheet,
  type LaidCoat,
  type StandingCoat,
} from '@sardonyx/core';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { CoatingLayerRow } from '../../entities/workpiece.ts';

/** So long before a coat the room may have been read last, and its temperature still counts. */
const ROOM_HOLDS_MS = 86_400_000;

/** When each coat that stands, of the layers of one or several models, bears what. */
export async function readStandingCoats(
  manager: EntityManager,
  layers: readonly (LaidCoat & Pick<CoatingLayer, 'stage' | 'rejection'>)[],
): Promise<StandingCoat[]> {
  const standing = layers.filter((layer) => isStanding(layer) && layer.appliedAt !== null && layer.productId !== null);
  if (standing.length === 0) return [];
  // Asked at every read of the bench: the columns that count, as they are stored.
  const touches = (
    await manager.query<(Omit<CoatTouch, 'isReady'> & { readonly isReady: 0 | 1 })[]>(
      'SELECT id, version, layerId, test, isReady, at, who FROM coat_touch ORDER BY at',
    )
  ).map((touch) => ({ ...touch, isReady: touch.isReady === 1 }));
  const touched = touches.length
    ? await manager.findBy(CoatingLayerRow, {
        id: In([...new Set(touches.map(({ layerId }) => layerId))]),
        appliedAt: Not(IsNull()),
      })
    : [];
  const coats = [...standing, ...touched];
  const productIds = [...new Set(coats.flatMap(({ productId }) => productId ?? []))];
  const first = Math.min(...coats.map(({ appliedAt }) => Date.parse(appliedAt!)));
  const log = await manager.query<{ at: string; tempC: number; humidity: number | null }[]>(
    'SELECT at, tempC, humidity FROM room_reading WHERE at >= ? ORDER BY at',
    [new Date(first - ROOM_HOLDS_MS).toISOString()],
  );
  return describeStandingCoats(standing, {
    products: await readProducts(manager, productIds),
    ...{ touches, touched },
    readings: log.map(({ at, tempC, humidity }) => ({ at: Date.parse(at), tempC, humidity })),
  });
}

type DryingProduct = DryingRows['products'][number];

async function readProducts(manager: EntityManager, ids: readonly string[]): Promise<DryingProduct[]> {
  const rows = await manager.query<(Omit<DryingProduct, 'drying'> & { readonly drying: string | null })[]>(
    `SELECT id, binder, dryFilmUm, flashMin, recoatMin, cureMin, minC, drying FROM paint_product WHERE id IN (${ids.map(() => '?').join(', ')})`,
    [...ids],
  );
  return rows.map((row) => ({ ...row, drying: row.drying === null ? null : (JSON.parse(row.drying) as DryingSheet) }));
}
