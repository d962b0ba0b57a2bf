import type { Point } from '../../model/plane.ts';

export const QUARTERS = [0, 90, 180, 270] as const;
/** Clockwise on the sheet, y down, degrees. */
export type Quarter = (typeof QUARTERS)[number];

/** What is cut out of a sheet in one piece: its cut line, closed (the first point is not repeated), millimetres, y down. */
export interface CutPiece {
  readonly id: string;
  readonly outline: readonly Point[];
}

/** Where a piece lies: its outline turned first, then moved so that the corner of its box lies at x, y, mm. */
export interface Placement {
  readonly id: string;
  /** Counted over the sheets that were begun, then new ones. */
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly turn: Quarter;
}

/** The outline as it lies, the corner of its box at x, y. */
export function layOutline(outline: readonly Point[], { x, y, turn }: Pick<Placement, 'x' | 'y' | 'turn'>): Point[] {
  const turned = outline.map((point) => turnPoint(point, turn));
  const [left, top] = [Math.min(...turned.map((p) => p.x)), Math.min(...turned.map((p) => p.y))];
  return turned.map((point) => ({ x: point.x - left + x, y: point.y - top + y }));
}

function turnPoint({ x, y }: Point, turn: Quarter): Point {
  switch (turn) {
    case 0:
      return { x, y };
    case 90:
      return { x: -y, y: x };
    case 180:
      return { x: -x, y: -y };
    case 270:
      return { x: y, y: -x };
  }
}
