import type { SchoolOption } from '../model/school.ts';
import type { DecalSheet, SheetPiece } from './decalSheet.ts';
import { isSamePrint, type ComparedArtwork } from './isSamePrint.ts';
import { selectStandingActs, type DecalAct } from './placing/decalAct.ts';

/** What is asked of a sheet: which pieces, and how their artworks were. */
export type PrintedPieces = Pick<DecalSheet, 'at' | 'isSpoiled'> & {
  readonly pieces: readonly Pick<SheetPiece, 'layerId' | 'artworkId'>[];
  readonly artworks: readonly ComparedArtwork[];
};

export interface DecalAsked {
  readonly layerId: string;
  readonly artwork: ComparedArtwork | null;
  readonly copies: number;
  readonly sets: number;
  readonly isPlaced: boolean;
  /** Pieces that a supplier is to send. */
  readonly coming: number;
}

/** Sets that are printed or ordered, by how decals are placed: a second one costs nothing when the first folds. */
export const countSets = (way: SchoolOption<'S20'>): number =>
  way === 'wet pad and two sets' || way === 'bare paper slide' ? 2 : 1;

/** How many of a planned decal are still to be had: all sets, less what is in hand and on its way; none once it lies. */
export function countWanted(decal: DecalAsked, sheets: readonly PrintedPieces[], acts: readonly DecalAct[]): number {
  if (decal.isPlaced || decal.artwork === null) return 0;
  return Math.max(0, decal.copies * decal.sets - countInHand(decal, sheets, acts) - decal.coming);
}

/** Pieces that were printed of its artwork for it, as that is now, and are not lost. */
export function countInHand(
  { layerId, artwork }: Pick<DecalAsked, 'layerId' | 'artwork'>,
  sheets: readonly PrintedPieces[],
  acts: readonly DecalAct[],
): number {
  if (artwork === null) return 0;
  const same = sheets.filter(
    ({ isSpoiled, artworks }) => !isSpoiled && artworks.some((one) => isSamePrint(one, artwork)),
  );
  const printed = same.flatMap(({ pieces }) =>
    pieces.filter((piece) => piece.layerId === layerId && piece.artworkId === artwork.id),
  );
  // What was lost before any of this size was there was of another.
  const since = same.map(({ at }) => at).sort()[0] ?? '';
  const lost = selectStandingActs(acts).filter(
    (one) => one.layerId === layerId && one.act === 'lost' && one.at >= since,
  );
  return Math.max(0, printed.length - lost.length);
}
