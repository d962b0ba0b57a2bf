import type { CastingPhoto } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { PhotoRow } from '../../entities/photo.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';

/** Photographs of models of a casting, by model: what a drawing can be traced from. */
export async function readCastingPhotos(manager: EntityManager, castingId: string): Promise<CastingPhoto[]> {
  const models = await manager.findBy(SpecimenRow, { castingId });
  const photos = await manager.find(PhotoRow, {
    where: { jobId: In(models.flatMap(({ jobId }) => jobId ?? [])) },
    order: { takenAt: 'ASC' },
  });
  return photos.flatMap((photo) => {
    const own = models.filter(({ jobId }) => jobId === photo.jobId);
    // One that is of another model of the same job shows another casting.
    const model = photo.specimenId ? own.find(({ id }) => id === photo.specimenId) : own[0];
    return model ? [{ photo, model: model.name }] : [];
  });
}
