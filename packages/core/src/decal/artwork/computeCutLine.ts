import { contours } from 'd3-contour';
import { enclose } from '../../drawing/computeOutlineArea.ts';
import type { Artwork } from '../../model/decal.ts';
import type { Point } from '../../model/plane.ts';
import { simplifyRing } from '../../trace/simplifyRing.ts';
import { computeDistances } from './distanceField.ts';
import { rasterArtwork } from './rasterArtwork.ts';

/** Film that is left round the ink, mm (planning estimate: cut close, but not into the ink). */
const USUAL_RIM = 0.6;
const CELL = 0.1;
/** Bays narrower than twice this are bridged: a knife does not go there. */
const BRIDGE = 4;
const WIDER = 1.6;
const MOST_BRIDGE = 80;
/** A cut may be so far off, mm. */
const TOLERANCE = 0.03;

/**
 * The line along which a decal is cut in one piece: round all its ink at a distance, with bays that a knife can follow. Ink is grown until
 * letters and bays close, then shrunk again (closing), by distances on a raster; where it stays in pieces it is grown further.
 */
export function computeCutLine(artwork: Artwork, rimMm: number = USUAL_RIM): Point[] {
  for (let bridge = BRIDGE; bridge <= MOST_BRIDGE; bridge *= WIDER) {
    const lines = closeInk(artwork, rimMm, bridge);
    if (lines.length === 1) return lines[0]!;
  }
  const { widthMm: w, heightMm: h } = artwork;
  return [
    { x: -rimMm, y: -rimMm },
    { x: w + rimMm, y: -rimMm },
    { x: w + rimMm, y: h + rimMm },
    { x: -rimMm, y: h + rimMm },
  ];
}

function closeInk(artwork: Artwork, rimMm: number, bridge: number): Point[][] {
  const room = bridge + rimMm + 4 * CELL;
  const { cells, columns, rows, cellMm, inks } = rasterArtwork(artwork, CELL, room);
  if (inks.length === 0) return [];
  // Distances run between middles of cells: the edge of the ink lies half a cell beyond its last one, and the outside begins at a whole one.
  const reach = Math.round((bridge + rimMm) / cellMm);
  const outside = computeDistances(cells, columns, rows).map((away) => (away > reach - 0.5 ? 1 : 0));
  // What is nearer to the outside than the bridge is given back; the rim stays.
  const depth = computeDistances(outside, columns, rows);
  const level = reach - 0.5 - rimMm / cellMm;
  const [shape] = contours().size([columns, rows]).thresholds([level])([...depth]);
  return shape!.coordinates.map(([outer]) => {
    const ring = outer!.slice(0, -1).map(([x, y]) => ({ x: x! * cellMm - room, y: y! * cellMm - room }));
    const line = simplifyRing(ring, TOLERANCE);
    return enclose(line) < 0 ? line.reverse() : line;
  });
}
