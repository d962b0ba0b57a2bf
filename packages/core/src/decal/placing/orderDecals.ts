/** A decal that is to be placed, as the order asks about it. */
export interface DecalToPlace {
  readonly layerId: string;
  readonly areaId: string;
  /** Its place among the layers of its area: what is under goes on before what is over. */
  readonly seq: number;
  readonly lengthMm: number;
  /** How low it lies on its side, mm from the ground; null where nobody knows. */
  readonly heightAboveMm: number | null;
  /** The joint that it crosses is not closed for good yet. */
  readonly isSeamOpen: boolean;
}

export type OrderReason = 'under another' | 'longest' | 'lowest' | 'seam is open';

export interface OrderedDecal {
  readonly layerId: string;
  /** Why it stands where it stands; null for what follows from none. */
  readonly because: OrderReason | null;
}

/**
 * In which order decals are placed: under before over, then the longest, then the lowest, so that no hand rests on one that lies. Across an
 * open seam none is placed: they come last.
 */
export function orderDecals(decals: readonly DecalToPlace[]): OrderedDecal[] {
  const left = [...decals];
  const placed: OrderedDecal[] = [];
  const isUnder = (one: DecalToPlace, other: DecalToPlace) => one.areaId === other.areaId && one.seq < other.seq;
  while (left.length > 0) {
    // None that lies on another that is still to come; there is always one with the least seq.
    const ready = left.filter((one) => !left.some((other) => other !== one && isUnder(other, one)));
    ready.sort(
      (a, b) =>
        Number(a.isSeamOpen) - Number(b.isSeamOpen) ||
        b.lengthMm - a.lengthMm ||
        (a.heightAboveMm ?? Infinity) - (b.heightAboveMm ?? Infinity) ||
        (a.layerId < b.layerId ? -1 : 1),
    );
    const [next, second] = ready as [DecalToPlace, DecalToPlace | undefined];
    left.splice(left.indexOf(next), 1);
    const because = ((): OrderReason | null => {
      if (next.isSeamOpen) return 'seam is open';
      if (left.some((other) => isUnder(next, other))) return 'under another';
      if (!second) return null;
      return next.lengthMm > second.lengthMm ? 'longest' : next.heightAboveMm !== null ? 'lowest' : null;
    })();
    placed.push({ layerId: next.layerId, because });
  }
  return placed;
}
