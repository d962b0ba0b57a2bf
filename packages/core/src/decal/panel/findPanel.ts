import type { Box, Drawing } from '../../model/drawing.ts';
import type { MeasuredPanel } from '../../model/decal.ts';
import type { Area } from '../../model/workpiece.ts';
import { USUAL_PLACING, type Panel } from './fitPanel.ts';

/** How far the drawing of a casting may be off at a panel's two edges together, mm (planning estimate). */
const DRAWN_SD = 0.4;

export interface FoundPanel extends Panel {
  readonly from: 'measured' | 'drawing';
  readonly marginMm: number;
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
  if (measured) {
    const { widthMm, heightMm, sdMm, marginMm } = measured;
    return { width: { mm: widthMm, sd: sdMm }, height: { mm: heightMm, sd: sdMm }, from: 'measured', marginMm };
  }
  const box = area.outline ? boxRound(area.outline.points) : drawing && findBox(drawing, partKey, area.name);
  if (!box) return null;
  const [left, top, right, bottom] = box;
  return {
    width: { mm: right - left, sd: DRAWN_SD },
    height: { mm: bottom - top, sd: DRAWN_SD },
    ...{ from: 'drawing', marginMm: USUAL_PLACING.marginMm },
  };
}

/** In the first view that shows it. */
function findBox({ views }: Drawing, partKey: string, name: string): Box | null {
  if (name === '') return null;
  for (const { shapes } of views) {
    const own = shapes.filter((shape) => shape.partKey === partKey && shape.mask === name).map(({ box }) => box);
    if (own.length > 0)
      return [
        Math.min(...own.map(([left]) => left)),
        Math.min(...own.map(([, top]) => top)),
        Math.max(...own.map(([, , right]) => right)),
        Math.max(...own.map(([, , , bottom]) => bottom)),
      ];
  }
  return null;
}

function boxRound(points: readonly { readonly x: number; readonly y: number }[]): Box {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
