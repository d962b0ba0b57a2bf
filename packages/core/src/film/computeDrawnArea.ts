import { computeOutlineArea, enclose } from '../drawing/computeOutlineArea.ts';
import type { Drawing, DrawingShape } from '../model/drawing.ts';
import { nameOfArea, type Area, type AreaSize } from '../model/workpiece.ts';

/** Corners, steps and ribs that no side view shows, over the flat of it (planning estimate). */
const RELIEF = 1.15;
/** A drawing is no measured surface: what is not seen on it is reckoned from what is (planning estimates). */
const SEEN_SD = 0.2;
const UNSEEN_SD = 0.35;
/** Of the outside, where nothing is drawn of a field with a colour of its own (planning estimate). */
const FIELD_SHARE = 0.15;
/** Inside and below there is as much as is seen from above, and the walls once more. */
const INSIDE_SHARE = 0.9;

/**
 * Surface of an area by the drawing's own outlines: both sides, both ends, and the roof as long as the side and as wide as the end.
 * A field with a colour of its own is what is drawn of it, on both sides where it is seen from the side. null where nothing of the
 * part is drawn.
 */
export function computeDrawnArea(drawing: Drawing, partKey: string, area: DrawnPlace): AreaSize | null {
  if (area.outline) return measureDrawn(drawing, partKey, area);
  const known = MEASURED.get(drawing) ?? new Map<string, AreaSize | null>();
  MEASURED.set(drawing, known);
  const key = JSON.stringify([partKey, area.kind, nameOfArea(area)]);
  const size = known.has(key) ? known.get(key)! : measureDrawn(drawing, partKey, area);
  known.set(key, size);
  return size;
}

/** As somebody measured an area, else by its drawing; null where neither is known. */
export const sizeOfArea = (
  area: DrawnPlace & Pick<Area, 'size'>,
  partKey: string,
  drawing: Drawing | null,
): AreaSize | null => area.size ?? (drawing && computeDrawnArea(drawing, partKey, area));

type DrawnPlace = Pick<Area, 'kind' | 'name' | 'outline'>;

/** Asked at every edit of a job, of a drawing that stays: reading its outlines anew made each edit a sixth slower. */
const MEASURED = new WeakMap<Drawing, Map<string, AreaSize | null>>();

function measureDrawn(drawing: Drawing, partKey: string, area: DrawnPlace): AreaSize | null {
  const shapesOf = (view: string) =>
    drawing.views.find((one) => one.view === view)?.shapes.filter((shape) => shape.partKey === partKey) ?? [];
  const [side, end, base] = [shapesOf('side'), shapesOf('end'), shapesOf('base')];
  const outer = (shapes: readonly DrawingShape[]) => shapes.filter(({ mask }) => mask === undefined);
  if (area.kind === 'mask') {
    const field = (shapes: readonly DrawingShape[]) => sumOf(shapes.filter(({ mask }) => mask === nameOfArea(area)));
    const own = area.outline ? Math.abs(enclose(area.outline.points)) * (area.outline.view === 'side' ? 2 : 1) : 0;
    const drawn = own || 2 * field(side) + field(end) + field(base);
    if (drawn > 0) return { way: 'drawing', value: drawn / 100, relativeSd: SEEN_SD };
    const whole = computeDrawnArea(drawing, partKey, { kind: 'outside', name: '', outline: null });
    return whole && { way: 'drawing', value: whole.value * FIELD_SHARE, relativeSd: 2 * UNSEEN_SD };
  }
  if (side.length === 0) return null;
  const [length, height] = sizeOf(side);
  const width = end.length ? sizeOf(end)[0] : base.length ? sizeOf(base)[1] : height;
  const flat = sumOf(outer(side));
  // As much of its box as is seen of it from the side.
  const fill = Math.min(1, flat / Math.max(1, length * height));
  const roof = length * width * Math.min(1, 0.5 + fill / 2);
  if (area.kind === 'underside') return { way: 'drawing', value: roof / 100, relativeSd: UNSEEN_SD };
  const ends = end.length ? sumOf(outer(end)) : width * height * fill;
  const value = ((2 * flat + 2 * ends + roof) * RELIEF) / 100;
  if (area.kind === 'inside') return { way: 'drawing', value: value * INSIDE_SHARE, relativeSd: UNSEEN_SD };
  return { way: 'drawing', value, relativeSd: end.length ? SEEN_SD : UNSEEN_SD };
}

const sumOf = (shapes: readonly DrawingShape[]): number =>
  shapes.reduce((sum, { d }) => sum + computeOutlineArea(d), 0);

function sizeOf(shapes: readonly DrawingShape[]): [width: number, height: number] {
  const edge = (at: 0 | 1 | 2 | 3) => shapes.map(({ box }) => box[at]);
  return [Math.max(...edge(2)) - Math.min(...edge(0)), Math.max(...edge(3)) - Math.min(...edge(1))];
}
