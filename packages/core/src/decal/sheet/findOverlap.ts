import type { Point } from '../../model/plane.ts';
import { layOutline, type CutPiece, type Placement } from './cutPiece.ts';
import { growRuns } from './growRuns.ts';
import { PITCH } from './sheetBench.ts';

/** Sizes are typed and rounded: so much is let pass, mm. */
const ROUNDING = 0.02;

/** The first piece that lies on another, on what is gone, or off the sheet; null where none does. Pieces that only touch are apart. */
export function findOverlap(
  pieces: readonly (CutPiece & Pick<Placement, 'x' | 'y' | 'turn'>)[],
  sheet: { readonly lengthMm: number; readonly widthMm: number },
  gone: readonly (readonly Point[])[] = [],
): string | null {
  const taken: { from: number; to: number }[][] = [];
  for (const outline of gone) {
    const [left, top] = [Math.min(...outline.map((p) => p.x)), Math.min(...outline.map((p) => p.y))];
    const { rows } = growRuns(outline, 0, PITCH);
    for (const [i, row] of rows.entries())
      for (let r = 0; r < row.length; r += 2)
        (taken[Math.max(0, Math.round(top / PITCH) + i)] ??= []).push({ from: left + row[r]!, to: left + row[r + 1]! });
  }
  for (const { id, outline, x, y, turn } of pieces) {
    const runs = growRuns(layOutline(outline, { x: 0, y: 0, turn }), 0, PITCH);
    const isOff =
      x < -ROUNDING ||
      y < -ROUNDING ||
      x + runs.width > sheet.lengthMm + ROUNDING ||
      y + runs.height > sheet.widthMm + ROUNDING;
    if (isOff) return id;
    const first = Math.round(y / PITCH);
    for (const [i, row] of runs.rows.entries()) {
      const own = (taken[first + i] ??= []);
      for (let r = 0; r < row.length; r += 2) {
        const [from, to] = [x + row[r]! + ROUNDING, x + row[r + 1]! - ROUNDING];
        if (own.some((one) => one.from < to && from < one.to)) return id;
        own.push({ from, to });
      }
    }
  }
  return null;
}
