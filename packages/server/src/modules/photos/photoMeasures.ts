import { computePhotoMeasure, InvalidInputError, solveHomography, type Measured } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PhotoMeasureRow, PhotoRow } from '../../entities/photo.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Control points that do not span a plane are refused before they are kept. */
export function assertSpansPlane({ control }: PhotoRow): void {
  if (control) refuseInvalid(() => solveHomography(control.points), 'control');
}

/** Works the value out from the points; what cannot be measured is refused with the reason. */
export async function measureAgain(manager: EntityManager, row: PhotoMeasureRow): Promise<void> {
  const { value, sd } = await measure(manager, row);
  Object.assign(row, { value, sd });
}

/** A changed row keeps the value that belongs to it now. */
export async function storeMeasure(manager: EntityManager, row: PhotoMeasureRow): Promise<void> {
  const { value, sd } = await measure(manager, row);
  await manager.update(PhotoMeasureRow, { id: row.id }, { value, sd });
  Object.assign(row, { value, sd });
}

/** Better control points change everything that was measured by them. What they make impossible keeps its old value. */
export async function measureAllAgain(manager: EntityManager, photo: PhotoRow): Promise<void> {
  const { control } = photo;
  if (!control) return;
  for (const row of await manager.findBy(PhotoMeasureRow, { photoId: photo.id })) {
    const { value, sd } = computePhotoMeasure(control, photo, row);
    await manager.update(PhotoMeasureRow, { id: row.id }, { value, sd, version: row.version + 1 });
  }
}

async function measure(manager: EntityManager, row: PhotoMeasureRow): Promise<Measured> {
  const photo = await findRow(manager, PhotoRow, row.photoId, 'This photo');
  const { control } = photo;
  if (!control)
    throw refused('not-straightened', 'Straighten the photo first: show four points whose places are known.');
  return refuseInvalid(() => computePhotoMeasure(control, photo, row), 'points');
}

function refuseInvalid<T>(compute: () => T, field: string): T {
  try {
    return compute();
  } catch (error) {
    if (error instanceof InvalidInputError) throw refused(error.code, error.message, { [field]: error.message });
    throw error;
  }
}
