import type { Point } from '../../model/plane.ts';
import type { CutPiece, Placement } from './cutPiece.ts';

export interface NestQuestion {
  readonly pieces: readonly CutPiece[];
  /** What of a sheet can be printed on, mm; its length lies along x. */
  readonly sheet: { readonly lengthMm: number; readonly widthMm: number };
  /** Sheets that were begun, used before new ones: the outlines that are gone, as they lie. */
  readonly begun: readonly (readonly (readonly Point[])[])[];
  /** Between two pieces. */
  readonly spacingMm: number;
}

export interface Nest {
  readonly placements: readonly Placement[];
  /** New sheets that are needed. */
  readonly newSheets: number;
  /** How much of the last sheet is used, from its left edge. */
  readonly lengthMm: number;
  /** Larger than a sheet, whichever way they lie. */
  readonly tooLarge: readonly string[];
}
