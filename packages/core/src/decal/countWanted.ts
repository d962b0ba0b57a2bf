import type { SchoolOption } from '../model/school.ts';
import type { DecalSheet } from './decalSheet.ts';

/** Sets that are printed or ordered, by how decals are placed: a second one costs nothing when the first folds. */
export const countSets = (way: SchoolOption<'S20'>): number =>
  way === 'wet pad and two sets' || way === 'bare paper slide' ? 2 : 1;

/** A size that differs by less is the same, mm. */
const SAME_MM = 0.01;

/** How many of a planned decal are still to be printed: all sets, less what was printed of that artwork for it at its present size; none once it lies. */
export function countWanted(
  decal: {
    readonly layerId: string;
    readonly artwork: { readonly id: string; readonly widthMm: number } | null;
    readonly copies: number;
    readonly sets: number;
    readonly isPlaced: boolean;
  },
  sheets: readonly Pick<DecalSheet, 'pieces' | 'artworks'>[],
): number {
  const { artwork } = decal;
  if (decal.isPlaced || artwork === null) return 0;
  const printed = sheets.flatMap(({ pieces, artworks }) =>
    artworks.some(({ id, widthMm }) => id === artwork.id && Math.abs(widthMm - artwork.widthMm) < SAME_MM)
      ? pieces.filter(({ layerId, artworkId }) => layerId === decal.layerId && artworkId === artwork.id)
      : [],
  );
  return Math.max(0, decal.copies * decal.sets - printed.length);
}
