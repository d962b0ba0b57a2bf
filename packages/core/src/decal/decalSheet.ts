import type { PieceToPrint } from './print/drawSheet.ts';
import type { Paper } from './print/paper.ts';
import type { MeasuredRules, PrinterScale } from './print/printerScale.ts';
import type { Placement } from './sheet/cutPiece.ts';
import type { Film } from './white/judgeFilms.ts';

/** One piece of a sheet: a decal of a plan, and which of its copies. */
export interface SheetPiece extends Omit<Placement, 'id' | 'sheet'> {
  readonly layerId: string;
  readonly artworkId: string;
}

/** An artwork as it was on the day of the print. */
export interface PrintedArtwork extends PieceToPrint {
  readonly id: string;
  readonly name: string;
}

/** A sheet that was printed; it stays as it was. */
export interface DecalSheet {
  readonly id: string;
  readonly at: string;
  readonly who: string;
  readonly paper: Paper;
  readonly film: Film;
  /** The sheet of film that was begun with that print; null for a new one. */
  readonly continuesId: string | null;
  /** It did not come out: its pieces are none, its film is gone all the same. */
  readonly isSpoiled: boolean;
  readonly pieces: readonly SheetPiece[];
  /** As they were when it was printed: what changes afterwards is on no paper. */
  readonly artworks: readonly PrintedArtwork[];
  /** What it was made smaller by. */
  readonly correctedBy: PrinterScale;
  /** Its rules as they came out; null until somebody measured them. */
  readonly measured: MeasuredRules | null;
}
