import type { CoatHow, CoatingLayer } from '../model/workpiece.ts';

/** Somebody said something of it. */
export const isTold = (how: CoatHow): boolean => Object.values(how).some((value) => value !== null && value !== '');

type PutOn = Pick<CoatingLayer, 'stage' | 'productId' | 'appliedAt' | 'how'>;

/**
 * How the next coat of a pot is likely to be put on: as the last one of it was, else with the gun as it was last set, whatever was in
 * it. The humidity is that of today's room.
 */
export function usualHow(layers: readonly PutOn[], productId: string, humidity: number | null): CoatHow {
  const told = layers
    .filter(({ stage, how }) => stage === 'applied' && how !== null)
    .sort((a, b) => ((a.appliedAt ?? '') < (b.appliedAt ?? '') ? 1 : -1));
  const same = told.find((layer) => layer.productId === productId)?.how;
  const gun = told[0]?.how;
  return {
    ...{ batch: same?.batch ?? '', thinnerParts: same?.thinnerParts ?? null, humidity },
    ...{ pressureBar: (same ?? gun)?.pressureBar ?? null, nozzleMm: (same ?? gun)?.nozzleMm ?? null },
  };
}
