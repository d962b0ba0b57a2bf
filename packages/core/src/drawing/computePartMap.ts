import type { Box, DrawingShape, DrawingView } from '../model/drawing.ts';

/** A part on the map: its shapes, moved by (dx, dy), and the line back to where it sits. */
export interface PlacedPart {
  readonly partKey: string;
  readonly shapes: readonly DrawingShape[];
  readonly dx: number;
  readonly dy: number;
  /** Where it stands on the map, label strip included. */
  readonly box: Box;
  readonly leader: { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number } | null;
}

export interface PartMap {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly parts: readonly PlacedPart[];
}

/** Millimetres that the label of a part takes. */
export type LabelWidth = (partKey: string) => number;

const GAP_MM = 5;
/** Room under each part for its name. */
const LABEL_MM = 6;

/**
 * Exploded part map of a view: the body (or the largest part) stays in the middle, parts whose middle lies above its own go to rows
 * above, the others to rows below, each row filled left to right in the order they have on the model. Nothing overlaps.
 * Parts without a shape in this view are left out. labelMm gives the width that a part's name needs under it.
 */
export function computePartMap(view: DrawingView, labelMm: LabelWidth = () => 24): PartMap {
  const groups = groupByPart(view.shapes);
  const anchor = groups.find((part) => part.partKey === 'body') ?? selectLargest(groups);
  if (!anchor) return { widthMm: 0, heightMm: 0, parts: [] };
  const widthMm = Math.max(view.widthMm, anchor.box[2] - anchor.box[0]) + 2 * GAP_MM + 44;
  const others = groups.filter((part) => part !== anchor);
  const above = others.filter((part) => middleY(part.box) < middleY(anchor.box));
  const below = others.filter((part) => middleY(part.box) >= middleY(anchor.box));
  const rowsAbove = packRows(above, widthMm, labelMm);
  const rowsBelow = packRows(below, widthMm, labelMm);

  const placed: PlacedPart[] = [];
  let y = GAP_MM;
  for (const row of rowsAbove) y = placeRow(row, y, widthMm, labelMm, placed);
  y = placeRow([anchor], y, widthMm, labelMm, placed);
  for (const row of rowsBelow) y = placeRow(row, y, widthMm, labelMm, placed);

  const home = placed.find((part) => part.partKey === anchor.partKey)!;
  const parts = placed.map((part) => (part === home ? part : { ...part, leader: leaderFrom(part, home) }));
  return { widthMm, heightMm: y, parts };
}

interface PartGroup {
  readonly partKey: string;
  readonly shapes: DrawingShape[];
  readonly box: Box;
}

function selectLargest(groups: readonly PartGroup[]): PartGroup | undefined {
  return [...groups].sort((a, b) => areaOf(b.box) - areaOf(a.box))[0];
}

function groupByPart(shapes: readonly DrawingShape[]): PartGroup[] {
  const keys = [...new Set(shapes.map((shape) => shape.partKey))];
  return keys.map((partKey) => {
    const own = shapes.filter((shape) => shape.partKey === partKey);
    return { partKey, shapes: own, box: own.map((shape) => shape.box).reduce((a, b) => joinBoxes(a, b)) };
  });
}

function packRows(parts: readonly PartGroup[], widthMm: number, labelMm: LabelWidth): PartGroup[][] {
  const rows: PartGroup[][] = [];
  let used = Infinity;
  for (const part of [...parts].sort((a, b) => middleY(a.box) - middleY(b.box) || a.box[0] - b.box[0])) {
    const need = slotWidth(part, labelMm) + GAP_MM;
    if (used + need > widthMm) {
      rows.push([]);
      used = GAP_MM;
    }
    rows[rows.length - 1]!.push(part);
    used += need;
  }
  return rows.map((row) => row.sort((a, b) => a.box[0] - b.box[0]));
}

function placeRow(
  row: readonly PartGroup[],
  top: number,
  widthMm: number,
  labelMm: LabelWidth,
  placed: PlacedPart[],
): number {
  const height = Math.max(...row.map((part) => part.box[3] - part.box[1]));
  const used = row.reduce((sum, part) => sum + slotWidth(part, labelMm), 0);
  const space = (widthMm - used) / (row.length + 1);
  let x = space;
  for (const part of row) {
    const slot = slotWidth(part, labelMm);
    const [left, partTop, right, bottom] = part.box;
    const dx = x + (slot - (right - left)) / 2 - left;
    const dy = top + (height - (bottom - partTop)) / 2 - partTop;
    placed.push({
      partKey: part.partKey,
      shapes: part.shapes,
      dx,
      dy,
      box: [x, top, x + slot, top + height + LABEL_MM],
      leader: null,
    });
    x += slot + space;
  }
  return top + height + LABEL_MM + GAP_MM;
}

/** From the nearer edge of the part to where it sat on the model, clipped to the edge of the home part's place. */
function leaderFrom(part: PlacedPart, home: PlacedPart): PlacedPart['leader'] {
  const own = part.shapes.map((shape) => shape.box).reduce((a, b) => joinBoxes(a, b));
  const seatX = (own[0] + own[2]) / 2 + home.dx;
  const isAbove = part.box[3] <= home.box[1];
  const x1 = (own[0] + own[2]) / 2 + part.dx;
  return isAbove
    ? { x1, y1: part.box[3] - LABEL_MM, x2: seatX, y2: home.box[1] }
    : { x1, y1: part.box[1], x2: seatX, y2: home.box[3] - LABEL_MM };
}

const slotWidth = (part: PartGroup, labelMm: LabelWidth) => Math.max(labelMm(part.partKey), part.box[2] - part.box[0]);
const areaOf = (box: Box) => (box[2] - box[0]) * (box[3] - box[1]);
const middleY = (box: Box) => (box[1] + box[3]) / 2;
const joinBoxes = (a: Box, b: Box): Box => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
];
