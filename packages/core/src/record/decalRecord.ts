import type { DecalOrder } from '../decal/decalOrder.ts';
import type { DecalAct } from '../decal/placing/decalAct.ts';
import type { DecalSheet } from '../decal/decalSheet.ts';
import type { DecalPlan } from '../model/decal.ts';

/** A decal of the plan: what it is, how it came, and what happened while it was placed. */
export interface RecordDecal extends Pick<DecalPlan, 'copies' | 'panel' | 'place'> {
  readonly part: string;
  readonly area: string;
  readonly name: string;
  readonly artwork: RecordArtwork | null;
  readonly ordered: readonly (Pick<DecalOrder, 'count' | 'rating'> & { readonly artwork: string })[];
  readonly printed: readonly RecordDecalPrint[];
  readonly acts: readonly (Omit<DecalAct, 'id' | 'layerId' | 'ofId'> & {
    /** Number of the act that it takes back (1 is the first). */
    readonly takesBack: number | null;
  })[];
}

export interface RecordArtwork {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** How its size is known. */
  readonly sizeFrom: string;
  readonly inks: readonly string[];
  readonly note: string;
}

/** A sheet on which copies of it were. */
export interface RecordDecalPrint extends Pick<
  DecalSheet,
  'at' | 'who' | 'film' | 'isSpoiled' | 'measured' | 'correctedBy'
> {
  readonly paper: string;
  readonly pieces: number;
}
