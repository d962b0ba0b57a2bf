import type { Photo } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import type { FlatPicture } from './worker/protocol.ts';
import type { PhotoWorker } from './worker/usePhotoWorker.ts';

/** A photograph seen straight from above, worked out beside the page; its address holds as long as it is shown. `round` asks again. */
export function useFlat(photo: Photo | null, worker: PhotoWorker, round: number) {
  const [got, setGot] = useState<{ flat: (FlatPicture & { url: string }) | null; problem: string | null }>({
    ...{ flat: null, problem: null },
  });
  const { straighten } = worker;
  const control = photo?.control;
  const hash = photo?.hash;
  useEffect(() => {
    if (!control || !hash) return;
    let url: string | null = null;
    let isCurrent = true;
    setGot({ flat: null, problem: null });
    straighten(`/api/photos/${hash}/full`, control).then(
      (flat) => {
        if (!isCurrent) return;
        url = URL.createObjectURL(flat.picture);
        setGot({ flat: { ...flat, url }, problem: null });
      },
      (error: unknown) =>
        isCurrent && setGot({ flat: null, problem: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      isCurrent = false;
      if (url) URL.revokeObjectURL(url);
    };
    // The worker's functions change with its progress; the question does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [control, hash, round]);
  return got;
}
