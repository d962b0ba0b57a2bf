import type { SchoolOption } from '../model/school.ts';
import type { DecalSheet } from './decalSheet.ts';
import type { DecalAct } from './placing/decalAct.ts';

interface DecalAsked {
  readonly layerId: string;
  readonly artwork: { readonly id: string; readonly widthMm: number } | null;
  readonly copies: number;
  readonly sets: number;
  readonly isPlaced: boolean;
}

/** Sets that are printed or ordered, by how decals are placed: a second one costs nothing when the first folds. */
export const countSets = (way: SchoolOption<'S20'>): number =>
  way === 'wet pad and two sets' || way === 'bare paper slide' ? 2 : 1;

/** A size that differs by less is the same, mm. */
const SAME_MM = 0.01;

/** How many of a planned decal are still to be printed: all sets, less what is in hand; none once it lies. */
export function countWanted(
  decal: DecalAsked,
  sheets: readonly Pick<DecalSheet, 'pieces' | 'artworks'>[],
  acts: readonly Pick<DecalAct, 'layerId' | 'act'>[],
): number {
  if (decal.isPlaced || decal.artwork === null) return 0;
  return Math.max(0, decal.copies * decal.sets - countInHand(decal, sheets, acts));
}

/** Pieces that were printed of its artwork for it, at its present size, and are not lost. */
export function countInHand(
  { layerId, artwork }: Pick<DecalAsked, 'layerId' | 'artwork'>,
  sheets: readonly Pick<DecalSheet, 'pieces' | 'artworks'>[],
  acts: readonly Pick<DecalAct, 'layerId' | 'act'>[],
): number {
  if (artwork === null) return 0;
  const printed = sheets.flatMap(({ pieces, artworks }) =>
    artworks.some(({ id, widthMm }) => id === artwork.id && Math.abs(widthMm - artwork.widthMm) < SAME_MM)
      ? pieces.filter((piece) => piece.layerId === layerId && piece.artworkId === artwork.id)
      : [],
  );
  const lost = acts.filter((one) => one.layerId === layerId && one.act === 'lost').length;
  return Math.max(0, printed.length - lost);
}
