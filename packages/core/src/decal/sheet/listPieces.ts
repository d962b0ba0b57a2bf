import type { DecalArtwork } from '../../model/decal.ts';
import type { Film, JudgedArtwork } from '../white/judgeFilms.ts';
import { cutFor } from './cutFor.ts';
import type { CutPiece } from './cutPiece.ts';

/** A planned decal, as a sheet asks about it. */
export interface DecalToPrint {
  readonly layerId: string;
  readonly plan: { readonly artworkId: string | null } | null;
  readonly toPrint: number;
  readonly judged: JudgedArtwork | null;
}

/** A piece that is wanted on a sheet. */
export interface WantedPiece extends CutPiece {
  readonly layerId: string;
  readonly artworkId: string;
}

export interface PiecesOfFilm {
  readonly pieces: readonly WantedPiece[];
  /** Decals that this film does not do, or of which nobody knows yet what they will lie on. */
  readonly notOnFilm: readonly string[];
}

/** What goes on a sheet of one film: all that is still to be printed and that this film does. */
export function listPieces(
  decals: readonly DecalToPrint[],
  artworks: readonly Pick<DecalArtwork, 'id' | 'cutLine' | 'inkLine'>[],
  film: Film,
): PiecesOfFilm {
  const pieces: WantedPiece[] = [];
  const notOnFilm: string[] = [];
  for (const { layerId, plan, toPrint, judged } of decals) {
    const artwork = artworks.find(({ id }) => id === plan?.artworkId);
    if (!artwork || toPrint === 0) continue;
    if (judged?.films.find((one) => one.film === film)?.answer !== 'does') {
      notOnFilm.push(layerId);
      continue;
    }
    for (let copy = 1; copy <= toPrint; copy++)
      pieces.push({ id: `${layerId} ${copy}`, layerId, artworkId: artwork.id, outline: cutFor(film, artwork) });
  }
  return { pieces, notOnFilm };
}
