import { flattenLines } from '../../drawing/flattenLines.ts';
import { flattenPath } from '../../drawing/flattenPath.ts';
import type { Artwork } from '../../model/decal.ts';
import type { Point } from '../../model/plane.ts';

/** An artwork in square cells, with so much room round it; each holds 0 or one more than the place of the ink that is seen there. */
export interface InkRaster {
  readonly cellMm: number;
  readonly roomMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly cells: Uint8Array;
  /** '#rrggbb', in the order in which they are met. */
  readonly inks: readonly string[];
}

const MOST_CELLS = 4_000_000;
const MOST_INKS = 250;

/** A cell shows the last shape that covers its middle. A large artwork gets larger cells. */
export function rasterArtwork(artwork: Artwork, cellMm: number, roomMm: number): InkRaster {
  const sizeOf = (cell: number) => [artwork.widthMm, artwork.heightMm].map((mm) => Math.ceil((mm + 2 * roomMm) / cell));
  let cell = cellMm;
  while (sizeOf(cell)[0]! * sizeOf(cell)[1]! > MOST_CELLS) cell *= 1.5;
  const [columns, rows] = sizeOf(cell) as [number, number];
  const cells = new Uint8Array(columns * rows);
  const inks: string[] = [];
  const indexOf = (ink: string): number => {
    if (!inks.includes(ink) && inks.length < MOST_INKS) inks.push(ink);
    return Math.max(0, inks.indexOf(ink)) + 1;
  };
  const toCells = ({ x, y }: Point): Point => ({ x: (x + roomMm) / cell - 0.5, y: (y + roomMm) / cell - 0.5 });
  const target = { cells, columns, rows };
  for (const shape of artwork.shapes) {
    const rings = flattenPath(shape.d).map((ring) => ring.map(toCells));
    if (shape.fill !== null) fillRings(target, rings, shape.isEvenOdd, indexOf(shape.fill));
    if (shape.stroke !== null)
      for (const line of flattenLines(shape.d))
        drawLine(target, line.map(toCells), shape.strokeMm / 2 / cell, indexOf(shape.stroke));
  }
  return { cellMm: cell, roomMm, columns, rows, cells, inks };
}

interface Target {
  readonly cells: Uint8Array;
  readonly columns: number;
  readonly rows: number;
}

/** Row by row, by how often a line winds round a middle. */
function fillRings({ cells, columns, rows }: Target, rings: readonly Point[][], isEvenOdd: boolean, ink: number): void {
  const crossings: { x: number; way: number }[][] = [];
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const [top, bottom, way] = a.y < b.y ? [a, b, 1] : [b, a, -1];
      for (let row = Math.max(0, Math.ceil(top.y)); row < bottom.y && row < rows; row++)
        (crossings[row] ??= []).push({ x: top.x + ((row - top.y) / (bottom.y - top.y)) * (bottom.x - top.x), way });
    });
  crossings.forEach((list, row) => {
    list.sort((a, b) => a.x - b.x);
    let winding = 0;
    for (let i = 0; i + 1 < list.length; i++) {
      winding += list[i]!.way;
      if (isEvenOdd ? winding % 2 === 0 : winding === 0) continue;
      const to = Math.min(columns, Math.ceil(list[i + 1]!.x));
      for (let column = Math.max(0, Math.ceil(list[i]!.x)); column < to; column++) cells[row * columns + column] = ink;
    }
  });
}

function drawLine({ cells, columns, rows }: Target, points: readonly Point[], radius: number, ink: number): void {
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b] = [points[i]!, points[i + 1]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const square = dx * dx + dy * dy;
    const [top, bottom] = [Math.floor(Math.min(a.y, b.y) - radius), Math.ceil(Math.max(a.y, b.y) + radius)];
    const [left, right] = [Math.floor(Math.min(a.x, b.x) - radius), Math.ceil(Math.max(a.x, b.x) + radius)];
    for (let row = Math.max(0, top); row <= bottom && row < rows; row++)
      for (let column = Math.max(0, left); column <= right && column < columns; column++) {
        const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((column - a.x) * dx + (row - a.y) * dy) / square));
        if (Math.hypot(column - a.x - t * dx, row - a.y - t * dy) <= radius) cells[row * columns + column] = ink;
      }
  }
}
