import { describeStandingCoats, isStanding, type CoatingLayer, type LaidCoat, type StandingCoat } from '@sardonyx/core';
import { In, IsNull, MoreThanOrEqual, Not, type EntityManager } from 'typeorm';
import { CoatTouchRow, RoomReadingRow } from '../../entities/drying.ts';
import { PaintProductRow } from '../../entities/paint.ts';
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
  const touches = await manager.find(CoatTouchRow, { order: { at: 'ASC' } });
  const touched = await manager.findBy(CoatingLayerRow, {
    id: In([...new Set(touches.map(({ layerId }) => layerId))]),
    appliedAt: Not(IsNull()),
  });
  const coats = [...standing, ...touched];
  const productIds = new Set(coats.flatMap(({ productId }) => productId ?? []));
  const first = Math.min(...coats.map(({ appliedAt }) => Date.parse(appliedAt!)));
  const log = await manager.find(RoomReadingRow, {
    where: { at: MoreThanOrEqual(new Date(first - ROOM_HOLDS_MS).toISOString()) },
    order: { at: 'ASC' },
  });
  return describeStandingCoats(standing, {
    products: await manager.findBy(PaintProductRow, { id: In([...productIds]) }),
    ...{ touches, touched },
    readings: log.map(({ at, tempC, humidity }) => ({ at: Date.parse(at), tempC, humidity })),
  });
}
