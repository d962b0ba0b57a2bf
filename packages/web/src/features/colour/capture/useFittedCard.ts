import type { CameraFit, CardValues, Point } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import type { usePhotoWorker } from '../../photos/index.ts';

interface Fitted {
  readonly fit: CameraFit;
  readonly dots: readonly Point[];
}

/** The colour card of a picture: looked for by itself, or fitted on four corners; anew when either changes. */
export function useFittedCard(
  { fitCard }: Pick<ReturnType<typeof usePhotoWorker>, 'fitCard'>,
  url: string,
  corners: readonly Point[] | null,
  card: CardValues | null,
): { readonly fitted: Fitted | null; readonly problem: string | null } {
  const [fitted, setFitted] = useState<Fitted | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let isCurrent = true;
    setFitted(null);
    setProblem(null);
    fitCard(url, corners, card).then(
      (found) => isCurrent && setFitted(found),
      (error: unknown) => isCurrent && setProblem(error instanceof Error ? error.message : String(error)),
    );
    return () => void (isCurrent = false);
    // The worker's functions change with its progress; the question does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [url, corners, card]);
  return { fitted, problem };
}
