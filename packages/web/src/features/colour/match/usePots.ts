import { createShelfPaints, type Geometry } from '@sardonyx/core';
import { useMemo } from 'react';
import { useColourBench } from '../ColourContext.tsx';
import type { Pots } from '../worker/protocol.ts';

/** The pots as the solver wants them, the same object as long as nothing on the shelf changed. */
export function usePots(geometry: Geometry, inMix: readonly string[] = []): Pots {
  const { shelf } = useColourBench();
  const key = inMix.join();
  return useMemo(
    () => ({ paints: createShelfPaints(shelf.products, shelf.pots, key.split(',')), geometry }),
    [shelf, geometry, key],
  );
}
