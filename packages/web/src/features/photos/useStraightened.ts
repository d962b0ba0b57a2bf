import type { Photo } from '@sardonyx/core';
import { useFlat } from './useFlat.ts';
import { usePhotoWorker } from './worker/usePhotoWorker.ts';

/** A photograph seen straight from above, as soon as its worker has it; with what is shown meanwhile. */
export function useStraightened(photo: Photo | null) {
  const worker = usePhotoWorker();
  const { flat, problem } = useFlat(photo, worker, 0);
  return {
    flat: photo ? flat : null,
    problem: photo ? problem : null,
    isWaiting: photo !== null && flat === null && problem === null,
    ...{ share: worker.progress, cancel: worker.cancel },
  };
}
