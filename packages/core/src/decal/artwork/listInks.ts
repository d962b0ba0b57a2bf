import type { Artwork, InkShare } from '../../model/decal.ts';
import { computeDistances } from './distanceField.ts';
import { rasterArtwork } from './rasterArtwork.ts';

export interface InkSum {
  /** The most of it first; what lies wholly under another is not there. */
  readonly inks: readonly InkShare[];
  /** What within the outline of all ink is not printed, as a share of that outline's area: holes, and bays that a rim would bridge. */
  readonly bareShare: number;
}

const CELL = 0.1;
/** Gaps narrower than twice this belong to the piece: between two letters, not beside them. */
const BRIDGE_MM = 1;

/** Which inks are seen of an artwork, and how much of its piece stays bare. */
export function listInks(artwork: Artwork): InkSum {
  const room = BRIDGE_MM + 3 * CELL;
  const { cells, columns, rows, cellMm, inks } = rasterArtwork(artwork, CELL, room);
  const counts = new Map<number, number>();
  for (const cell of cells) if (cell > 0) counts.set(cell, (counts.get(cell) ?? 0) + 1);
  const printed = [...counts.values()].reduce((sum, one) => sum + one, 0);
  const far = computeDistances(cells, columns, rows).map((away) => (away * cellMm > BRIDGE_MM ? 1 : 0));
  const depth = computeDistances(far, columns, rows);
  let piece = 0;
  for (let i = 0; i < cells.length; i++) if (cells[i]! > 0 || depth[i]! * cellMm > BRIDGE_MM) piece++;
  return {
    inks: [...counts]
      .sort((a, b) => b[1] - a[1])
      .map(([ink, count]) => ({ hex: inks[ink - 1]!, share: count / printed })),
    bareShare: piece > 0 ? (piece - printed) / piece : 0,
  };
}
