import { outlinePolygon } from '../drawing/paths.ts';
import type { DrawingShape, DrawingView } from '../model/drawing.ts';
import { nameOfArea, type Area, type SpecimenPart } from '../model/workpiece.ts';

export type FieldOfPart = Pick<Area, 'kind' | 'name' | 'outline'>;

/**
 * A view with the fields that the restorer drew on it, as shapes of their parts: over the part's own coat, under what is drawn on
 * it. What the casting's drawing had of such a field is no longer there, on any view.
 */
export function drawFields(
  view: DrawingView,
  parts: readonly Pick<SpecimenPart, 'id' | 'key'>[],
  areas: readonly (FieldOfPart & Pick<Area, 'specimenPartId'>)[],
): DrawingView {
  return parts.reduce(
    (drawn, { id, key }) =>
      drawFieldsOf(
        drawn,
        key,
        areas.filter(({ specimenPartId }) => specimenPartId === id),
      ),
    view,
  );
}

/** The same of one part. */
export function drawFieldsOf(view: DrawingView, partKey: string, areas: readonly FieldOfPart[]): DrawingView {
  const drawn = areas.filter(({ kind, outline }) => kind === 'mask' && outline !== null);
  if (drawn.length === 0) return view;
  const names = drawn.map(nameOfArea);
  const isReplaced = (shape: DrawingShape) =>
    shape.partKey === partKey && shape.mask !== undefined && names.includes(shape.mask);
  const shapes = view.shapes.filter((shape) => !isReplaced(shape));
  const fields = drawn.flatMap((area): DrawingShape[] => {
    if (area.outline!.view !== view.view) return [];
    const outline = outlinePolygon(area.outline!.points.map(({ x, y }) => [x, y] as const));
    return [{ partKey, surface: 'coat', mask: nameOfArea(area), ...outline }];
  });
  const lastCoat = shapes.findLastIndex((shape) => shape.partKey === partKey && shape.surface === 'coat');
  return { ...view, shapes: shapes.toSpliced(lastCoat + 1, 0, ...fields) };
}
