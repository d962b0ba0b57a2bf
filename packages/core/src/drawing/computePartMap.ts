import type { Box, DrawingShape, DrawingView } from '../model/drawing.ts';
import type { Point } from '../model/plane.ts';

/** A part on the map: its shapes, moved by (dx, dy), and the line back to what it is joined to. */
export interface PlacedPart {
  readonly partKey: string;
  readonly shapes: readonly DrawingShape[];
  readonly dx: number;
  readonly dy: number;
  /** Where it stands on the map, name included. */
  readonly box: Box;
  /** Middle of the foot of its name. */
  readonly label: Point;
  /** What it is joined to on the way to the middle; null for the one in the middle. */
  readonly holder: string | null;
  /** From the part to its holder; empty for the one in the middle. */
  readonly leader: readonly Point[];
}

export interface PartMap {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly parts: readonly PlacedPart[];
}

/** Millimetres that the name of a part takes. */
export type LabelWidth = (partKey: string) => number;

const GAP_MM = 5;
/** Height of a name, with the air around it. */
const LABEL_MM = 6;
/** A row is as high as a finger needs, however small its parts are. */
const LEAST_ROW_MM = 9;
/** How wide against its height a map may best be. */
export const ASPECT = 1.05;

/** A longer name of the part in the middle stands under it, not beside it: it would make the map too wide for all others. */
const LONG_NAME_MM = 34;
const isBeside = (middle: PartGroup, labelMm: LabelWidth) => labelMm(middle.partKey) <= LONG_NAME_MM;

interface PartGroup {
  readonly partKey: string;
  readonly shapes: readonly DrawingShape[];
  readonly box: Box;
}

/** Where a part belongs: what it is joined to on the way to the middle, how far out, and on which side. */
interface Place extends PartGroup {
  readonly parent: string | null;
  readonly depth: number;
  readonly isAbove: boolean;
}

interface Row {
  readonly isAbove: boolean;
  readonly places: readonly Place[];
}

/**
 * Exploded part map of a view. The body (or the largest part) stays in the middle; every other part moves out along the
 * joints that hold it, one row a joint, upwards when it sits in the upper half of what holds it. What hangs on a moved part
 * moves on in the same direction. Rows keep the order of the model from left to right; nothing overlaps, names stand on the
 * outer side, and leader lines run between the places. Of several widths the one that fits a square best is taken.
 *
 * Parts without a shape in this view are left out; a part that no joint holds stands beside the middle one. labelMm gives the
 * width that a part's name needs.
 */
export function computePartMap(
  view: DrawingView,
  joints: readonly { readonly partKeys: readonly string[] }[],
  labelMm: LabelWidth = () => 24,
): PartMap {
  const groups = groupByPart(view.shapes);
  const middle = groups.find((part) => part.partKey === 'body') ?? selectLargest(groups);
  if (!middle) return { widthMm: 0, heightMm: 0, parts: [] };
  const places = placeAlongJoints(groups, middle, joints);
  const widest = Math.max(...places.map((place) => slotWidth(place, labelMm)));
  const beside = isBeside(middle, labelMm) ? 2 * (labelMm(middle.partKey) + GAP_MM) : 0;
  const least = Math.max(widest, slotWidth(middle, labelMm) + beside) + 2 * GAP_MM;
  const maps = [1, 1.15, 1.3, 1.5, 1.75].map((factor) => layOut(places, middle, least * factor, labelMm));
  const size = (map: PartMap) => Math.max(map.widthMm, map.heightMm * ASPECT);
  return maps.reduce((a, b) => (size(b) < size(a) ? b : a));
}

/** Breadth first from the middle along the joints. */
function placeAlongJoints(
  groups: readonly PartGroup[],
  middle: PartGroup,
  joints: readonly { readonly partKeys: readonly string[] }[],
): Place[] {
  const places: Place[] = [{ ...middle, parent: null, depth: 0, isAbove: false }];
  const isNew = (group: PartGroup) => !places.some((place) => place.partKey === group.partKey);
  const hang = (parent: Place, group: PartGroup) => {
    const isAbove = parent.depth > 0 ? parent.isAbove : middleOf(group.box).y < middleOf(parent.box).y;
    places.push({ ...group, parent: parent.partKey, depth: parent.depth + 1, isAbove });
  };
  for (let i = 0; places.length < groups.length; i++) {
    const parent = places[i];
    if (!parent) {
      hang(places[0]!, groups.find(isNew)!);
      i--;
      continue;
    }
    const held = joints.filter((joint) => joint.partKeys.includes(parent.partKey)).flatMap((joint) => joint.partKeys);
    for (const group of groups) if (held.includes(group.partKey) && isNew(group)) hang(parent, group);
  }
  return places;
}

function layOut(places: readonly Place[], middle: PartGroup, widthMm: number, labelMm: LabelWidth): PartMap {
  const rows: Row[] = [
    ...createRows(places, true, widthMm, labelMm).reverse(),
    { isAbove: false, places: [places[0]!] },
    ...createRows(places, false, widthMm, labelMm),
  ];
  const slots: Slot[][] = [];
  let y = GAP_MM;
  for (const row of rows) {
    const placed = placeRow(row, y, widthMm, labelMm);
    slots.push(placed);
    y = placed[0]!.box[3] + GAP_MM;
  }
  return {
    widthMm,
    heightMm: y,
    parts: slots.flatMap((row) => row.map((slot) => finish(slot, slots, middle, labelMm))),
  };
}

/** Rows from the middle outwards; a depth that is too wide for one row takes several. */
function createRows(places: readonly Place[], isAbove: boolean, widthMm: number, labelMm: LabelWidth): Row[] {
  const rows: Place[][] = [];
  const own = places.filter((place) => place.depth > 0 && place.isAbove === isAbove);
  for (const depth of [...new Set(own.map((place) => place.depth))].sort((a, b) => a - b)) {
    let used = Infinity;
    for (const place of own.filter((one) => one.depth === depth).sort(byPlace)) {
      const need = slotWidth(place, labelMm) + GAP_MM;
      if (used + need > widthMm) {
        rows.push([]);
        used = GAP_MM;
      }
      rows.at(-1)!.push(place);
      used += need;
    }
  }
  return rows.map((row) => ({ isAbove, places: row.sort((a, b) => middleOf(a.box).x - middleOf(b.box).x) }));
}

const byPlace = (a: Place, b: Place) => middleOf(a.box).y - middleOf(b.box).y || a.box[0] - b.box[0];

interface Slot {
  readonly place: Place;
  readonly dx: number;
  readonly dy: number;
  readonly box: Box;
}

function placeRow({ places, isAbove }: Row, top: number, widthMm: number, labelMm: LabelWidth): Slot[] {
  const isMiddle = places[0]!.depth === 0;
  const foot = isMiddle && isBeside(places[0]!, labelMm) ? 0 : LABEL_MM;
  const height = Math.max(LEAST_ROW_MM - foot, ...places.map(({ box }) => box[3] - box[1]));
  const used = places.reduce((sum, place) => sum + slotWidth(place, labelMm), 0);
  const space = (widthMm - used) / (places.length + 1);
  let x = space;
  return places.map((place) => {
    const slot = slotWidth(place, labelMm);
    const [left, partTop, right, bottom] = place.box;
    const dx = x + (slot - (right - left)) / 2 - left;
    // Parts stand on the side that looks to the middle.
    const inner = isAbove ? top + foot + height - (bottom - partTop) : top;
    const box: Box = [x, top, x + slot, top + height + foot];
    x += slot + space;
    return { place, dx, dy: inner - partTop, box };
  });
}

function finish(slot: Slot, rows: readonly Slot[][], middle: PartGroup, labelMm: LabelWidth): PlacedPart {
  const { place, dx, dy, box } = slot;
  const base = { partKey: place.partKey, holder: place.parent, shapes: place.shapes, dx, dy, box };
  if (place.partKey === middle.partKey && !isBeside(middle, labelMm))
    return { ...base, label: placeLabel(slot), leader: [] };
  if (place.partKey === middle.partKey) {
    const [left, top, , bottom] = box;
    const half = labelMm(place.partKey) / 2;
    return {
      ...base,
      box: [left - 2 * half, top, box[2], bottom],
      label: { x: left - half, y: (top + bottom) / 2 },
      leader: [],
    };
  }
  return { ...base, label: placeLabel(slot), leader: drawLeader(slot, rows) };
}

/** On the outer side, close to the part even where its row is taller. */
function placeLabel({ place, dy, box }: Slot): Point {
  const x = (box[0] + box[2]) / 2;
  return place.isAbove ? { x, y: place.box[1] + dy - 1.8 } : { x, y: place.box[3] + dy + LABEL_MM - 1.8 };
}

/** From the inner edge of the part, through the gaps of the rows between, to what holds it. */
function drawLeader(slot: Slot, rows: readonly Slot[][]): Point[] {
  const { place } = slot;
  const own = rows.findIndex((row) => row.includes(slot));
  const goal = rows.findIndex((row) => row.some((one) => one.place.partKey === place.parent));
  const parent = rows[goal]!.find((one) => one.place.partKey === place.parent)!;
  const step = place.isAbove ? 1 : -1;
  const start = { x: middleOf(place.box).x + slot.dx, y: (place.isAbove ? place.box[3] : place.box[1]) + slot.dy };
  const seat = middleOf(place.box).x + parent.dx;
  const [left, top, right, bottom] = parent.box;
  // The name of a part that is itself moved out stands between it and what hangs on it: the line ends there.
  const edge =
    parent.place.depth > 0 ? placeLabel(parent).y + (place.isAbove ? -4 : 1.2) : place.isAbove ? top : bottom;
  const end = { x: Math.min(Math.max(seat, left + 1), right - 1), y: edge };
  const line = [start];
  for (let row = own + step; row !== goal; row += step) {
    const [, rowTop, , rowBottom] = rows[row]![0]!.box;
    const x = findCorridor(rows[row]!, line.at(-1)!.x);
    const [near, far] = place.isAbove ? [rowTop, rowBottom] : [rowBottom, rowTop];
    line.push({ x, y: near - (step * GAP_MM) / 2 }, { x, y: far + (step * GAP_MM) / 2 });
  }
  return [...line, end];
}

/** The middle of the nearest free strip of a row. */
function findCorridor(row: readonly Slot[], x: number): number {
  const edges = [0, ...row.flatMap((slot) => [slot.box[0], slot.box[2]]), row.at(-1)!.box[2] + row[0]!.box[0]];
  const strips = Array.from({ length: edges.length / 2 }, (_, i) => (edges[2 * i]! + edges[2 * i + 1]!) / 2);
  return strips.reduce((a, b) => (Math.abs(b - x) < Math.abs(a - x) ? b : a));
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

const slotWidth = (part: PartGroup, labelMm: LabelWidth) => Math.max(labelMm(part.partKey), part.box[2] - part.box[0]);
const areaOf = (box: Box) => (box[2] - box[0]) * (box[3] - box[1]);
const middleOf = (box: Box): Point => ({ x: (box[0] + box[2]) / 2, y: (box[1] + box[3]) / 2 });
const joinBoxes = (a: Box, b: Box): Box => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
];
