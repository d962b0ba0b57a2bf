import { SURFACES, VIEW_KINDS, type Drawing, type DrawingShape } from '../model/drawing.ts';

/** Whether a value from outside is a drawing: views with shapes and anchors, and nothing but path data in the paths. */
export function isDrawing(value: unknown): value is Drawing {
  return isRecord(value) && Array.isArray(value.views) && value.views.length > 0 && value.views.every(isView);
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
const isSize = (value: unknown) => typeof value === 'number' && Number.isFinite(value);
const PATH_DATA = /^[MmLlHhVvCcSsQqTtAaZz0-9\s,.eE+-]*$/;

const isView = (view: unknown): boolean =>
  isRecord(view) &&
  VIEW_KINDS.includes(view.view as never) &&
  isSize(view.widthMm) &&
  isSize(view.heightMm) &&
  Array.isArray(view.shapes) &&
  view.shapes.every(isDrawingShape) &&
  Array.isArray(view.anchors) &&
  view.anchors.every(isAnchor) &&
  (view.joints === undefined || (Array.isArray(view.joints) && view.joints.every(isJointPlace)));

/** A shape with nothing but path data in its path. */
export const isDrawingShape = (shape: unknown): shape is DrawingShape =>
  isRecord(shape) &&
  typeof shape.partKey === 'string' &&
  SURFACES.includes(shape.surface as never) &&
  typeof shape.d === 'string' &&
  PATH_DATA.test(shape.d) &&
  Array.isArray(shape.box) &&
  shape.box.length === 4 &&
  shape.box.every(isSize);

const isAnchor = (anchor: unknown): boolean =>
  isRecord(anchor) && typeof anchor.featureKey === 'string' && isSize(anchor.x) && isSize(anchor.y);

const isJointPlace = (place: unknown): boolean =>
  isRecord(place) && typeof place.jointKey === 'string' && isSize(place.x) && isSize(place.y);
