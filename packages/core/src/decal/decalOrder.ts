import type { DecalRating } from '../model/decal.ts';
import type { Versioned } from '../model/catalogue.ts';
import type { PrintedArtwork } from './decalSheet.ts';

/** Pieces that are wanted of a supplier, of an artwork as it was that day. */
export interface DecalOrder extends Versioned {
  readonly layerId: string;
  /** The want that goes to the shopping list, is ordered and comes. */
  readonly wantId: string;
  /** Pieces: all copies of all sets. */
  readonly count: number;
  readonly artwork: PrintedArtwork;
  readonly rating: DecalRating | null;
}
