import type { CoatHow, CoatingLayer, CoatFailureKind } from '../model/workpiece.ts';

/** A coat that failed, by what it was, what lay under it and what the room was like. */
export interface PastFailure {
  readonly layerId: string;
  readonly productId: string;
  readonly productName: string;
  /** The pot below, or null for what is no coat of this bench. */
  readonly overProductId: string | null;
  readonly overName: string;
  readonly kind: CoatFailureKind;
  readonly because: string;
  readonly helped: string;
  readonly tempC: number | null;
  /** How it was put on, so far as somebody said so. */
  readonly how: CoatHow | null;
  /** Of the picture that shows it. */
  readonly photoHash: string | null;
  readonly at: string;
  readonly jobNumber: string;
}

export interface RejectedLayer {
  readonly layer: CoatingLayer;
  /** All layers of its area. */
  readonly onArea: readonly CoatingLayer[];
  readonly material: string;
  readonly jobNumber: string;
}

/** What failed and how, so far as somebody said so: with the coat that lay under it then, the latest first. */
export function listFailures(rejected: readonly RejectedLayer[]): PastFailure[] {
  return rejected
    .flatMap(({ layer, onArea, material, jobNumber }): PastFailure[] => {
      const { rejection, productId } = layer;
      if (!rejection?.failure || productId === null) return [];
      const below = onArea
        .filter((one) => one.stage === 'applied' && one.seq < layer.seq && one.appliedAt !== null)
        .filter((one) => one.removedAt === null || one.removedAt > layer.appliedAt!)
        .sort((a, b) => b.seq - a.seq)[0];
      return [
        {
          ...{ layerId: layer.id, productId, productName: layer.name, jobNumber, tempC: layer.tempC, at: rejection.at },
          ...{ overProductId: below?.productId ?? null, overName: below?.name ?? material },
          ...{ kind: rejection.failure, because: rejection.because, helped: rejection.helped ?? '' },
          ...{ how: layer.how, photoHash: rejection.photoHash ?? null },
        },
      ];
    })
    .sort((a, b) => b.at.localeCompare(a.at));
}

/** What is worth remembering before this pot goes on over that one: the same pair first, then the same pot over anything. */
export function recallFailures(
  past: readonly PastFailure[],
  productId: string,
  overProductId: string | null,
): PastFailure[] {
  const own = past.filter((one) => one.productId === productId);
  const isPair = (one: PastFailure) => one.overProductId === overProductId;
  return [...own.filter(isPair), ...own.filter((one) => !isPair(one))];
}
