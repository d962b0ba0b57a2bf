import { randomUUID } from 'node:crypto';
import type { TouchCoat } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CoatTouchRow } from '../../entities/drying.ts';
import { badInput } from '../../http/errors.ts';
import { findStandingCoat } from './findStandingCoat.ts';

/** Somebody touched a coat: this one and all later ones of its paint are reckoned with it. */
export async function touchCoat(
  manager: EntityManager,
  layerId: string,
  { test, isReady, at, who }: TouchCoat,
  now: Date,
): Promise<CoatTouchRow> {
  const { layer } = await findStandingCoat(manager, layerId);
  const moment = Date.parse(at);
  if (moment > now.getTime() + 60_000 || moment < Date.parse(layer.appliedAt!))
    throw badInput(
      'A coat is touched after it went on, and not in the future. Nothing was saved.',
      { at: 'Between the coat and now.' },
      'impossible-date',
    );
  const touch = manager.create(CoatTouchRow, {
    ...{ id: randomUUID(), version: 1, layerId, test, isReady, who },
    at: new Date(moment).toISOString(),
  });
  await manager.insert(CoatTouchRow, touch);
  return touch;
}
