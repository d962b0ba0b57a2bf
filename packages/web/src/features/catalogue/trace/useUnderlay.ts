import type { CastingPhoto } from '@sardonyx/contract';
import type { Region } from '@sardonyx/core';
import { useFlat, type PhotoWorker } from '../../photos/index.ts';

/** A photograph seen straight from above, at its address in the browser. */
export interface FlatUnder {
  readonly url: string;
  readonly region: Region;
}

/** The straightened photograph that a trace lies over. */
export function useUnderlay(
  photos: readonly CastingPhoto[],
  photoId: string | undefined,
  worker: PhotoWorker,
): { readonly photo: CastingPhoto['photo'] | null; readonly under: FlatUnder | null; readonly problem: string | null } {
  const photo = photos.find((one) => one.photo.id === photoId)?.photo ?? null;
  const { flat, problem } = useFlat(photo, worker, 0);
  return { photo, under: flat, problem };
}
