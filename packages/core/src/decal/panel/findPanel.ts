import type { Box, Drawing, ViewKind } from '../../model/drawing.ts';
import type { MeasuredPanel } from '../../model/decal.ts';
import type { Area } from '../../model/workpiece.ts';
import { USUAL_PLACING, type Panel } from './fitPanel.ts';

/** How far the drawing of a casting may be off at a panel's two edges together, mm (planning estimate). */
const DRAWN_SD = 0.4;

export interface FoundPanel extends Panel {
  readonly from: 'measured' | 'drawing';
  readonly marginMm: number;
  /** Where its middle lies on a view of the drawing; null where it is not drawn. */
  readonly middle: { readonly view: ViewKind; readonly x: number; readonly y: number } | null;
}

/** How high over the foot of its drawing an area lies, mm; null where it is not drawn. Low ones are placed first. */
export function findHeight(
  drawing: Drawing | null,
  partKey: string,
  area: Pick<Area, 'name' | 'outline'>,
): number | null {
  const drawn = findDrawn(drawing, partKey, area);
  return drawn && drawn.footMm - drawn.box[3];
}

/**
 * The panel that a decal is for: as somebody measured it, else the box of its area on the drawing, where that has a name or an outline of
 * its own. null where neither is known: a whole side is no panel.
 */
export function findPanel(
  measured: MeasuredPanel | null,
  drawing: Drawing | null,
  partKey: string,
  area: Pick<Area, 'name' | 'outline'>,
): FoundPanel | null {
  const drawn = findDrawn(drawing, partKey, area);
  const middle = drawn && {
    view: drawn.view,
    x: (drawn.box[0] + drawn.box[2]) / 2,
    y: (drawn.box[1] + drawn.box[3]) / 2,
  };
  if (measured) {
    const { widthMm, heightMm, sdMm, marginMm } = measured;
    return { width: { mm: widthMm, sd: sdMm }, height: { mm: heightMm, sd: sdMm }, from: 'measured', marginMm, middle };
  }
  if (!drawn) return null;
  const [left, top, right, bottom] = drawn.box;
  return {
    width: { mm: right - left, sd: DRAWN_SD },
    height: { mm: bottom - top, sd: DRAWN_SD },
    ...{ from: 'drawing', marginMm: USUAL_PLACING.marginMm, middle },
  };
}

interface Drawn {
  readonly view: ViewKind;
  readonly box: Box;
  /** Where the view ends below. */
  readonly footMm: number;
}

/** By its own outline, else in the first view that shows what has its name. */
function findDrawn(
  drawing: Drawing | null,
  partKey: string,
  { name, outline }: Pick<Area, 'name' | 'outline'>,
): Drawn | null {
  const views = drawing?.views ?? [];
  if (outline) {
    const box = boxRound(outline.points);
    return { view: outline.view, box, footMm: views.find(({ view }) => view === outline.view)?.heightMm ?? box[3] };
  }
  for (const { view, shapes, heightMm } of views) {
    const own = shapes.filter((shape) => name !== '' && shape.partKey === partKey && shape.mask === name);
    const corners = own.flatMap(({ box: [left, top, right, bottom] }) => [
      { x: left, y: top },
      { x: right, y: bottom },
    ]);
    if (corners.length > 0) return { view, box: boxRound(corners), footMm: heightMm };
  }
  return null;
}

function boxRound(points: readonly { readonly x: number; readonly y: number }[]): Box {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
