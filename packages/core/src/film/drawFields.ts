import { outlinePolygon } from '../drawing/paths.ts';
import type { DrawingView } from '../model/drawing.ts';
import { nameOfArea, type Area, type SpecimenPart } from '../model/workpiece.ts';

/** A view with the fields that the restorer drew on it, as shapes of their parts. */
export function drawFields(
  view: DrawingView,
  parts: readonly Pick<SpecimenPart, 'id' | 'key'>[],
  areas: readonly Pick<Area, 'specimenPartId' | 'kind' | 'name' | 'outline'>[],
): DrawingView {
  const fields = areas.flatMap((area) => {
    const partKey = parts.find(({ id }) => id === area.specimenPartId)?.key;
    if (!partKey || area.outline?.view !== view.view) return [];
    const outline = outlinePolygon(area.outline.points.map(({ x, y }) => [x, y] as const));
    return [{ partKey, surface: 'coat' as const, mask: nameOfArea(area), ...outline }];
  });
  if (fields.length === 0) return view;
  // Over its part's own coat, under what is drawn on it.
  const shapes = view.shapes.flatMap((shape, i) => {
    const isLastCoat =
      shape.surface === 'coat' &&
      !view.shapes.slice(i + 1).some((other) => other.partKey === shape.partKey && other.surface === 'coat');
    return isLastCoat ? [shape, ...fields.filter(({ partKey }) => partKey === shape.partKey)] : [shape];
  });
  return { ...view, shapes };
}
