import type { Point } from '../../model/plane.ts';
import type { DecalSheet } from '../decalSheet.ts';
import { findRoom } from '../print/paper.ts';
import type { PrinterScale } from '../print/printerScale.ts';
import { layOutline } from './cutPiece.ts';

/** What is asked of a sheet: which pieces lie where, and along which line each was cut. */
type PrintedLines = Pick<DecalSheet, 'id' | 'paper' | 'continuesId' | 'pieces' | 'correctedBy'> & {
  readonly artworks: readonly { readonly id: string; readonly cutLine: readonly Point[] }[];
};

/**
 * What is gone of a sheet of film: all that was printed on it, one print after the other, as it lies. A print that was not corrected, or
 * by another measure, lies elsewhere by what the printer really does.
 */
export function listGone(sheets: readonly PrintedLines[], id: string, printer: PrinterScale): Point[][] {
  const gone: Point[][] = [];
  const seen = new Set<string>();
  for (let next: string | null = id; next !== null && !seen.has(next);) {
    seen.add(next);
    const sheet = sheets.find((one) => one.id === next);
    if (!sheet) break;
    const room = findRoom(sheet.paper);
    const [kx, ky] = [printer.along / sheet.correctedBy.along, printer.down / sheet.correctedBy.down];
    for (const piece of sheet.pieces) {
      const { cutLine } = sheet.artworks.find((one) => one.id === piece.artworkId)!;
      gone.push(
        layOutline(cutLine, piece).map(({ x, y }) => ({
          x: (x + room.x) * kx - room.x,
          y: (y + room.y) * ky - room.y,
        })),
      );
    }
    next = sheet.continuesId;
  }
  return gone;
}
