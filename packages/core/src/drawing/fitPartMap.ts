import type { DrawingView } from '../model/drawing.ts';
import { ASPECT, computePartMap, type LabelWidth, type PartMap } from './computePartMap.ts';

/** A part map on a sheet of a given size, and how many of its millimetres one of the model's takes. */
export interface FittedPartMap extends PartMap {
  readonly scale: number;
}

/** Names and gaps do not grow with the parts: a few rounds are enough. */
const ROUNDS = 8;
/** Where names alone fill the sheet the model is still drawn as long as this on it, so that its parts can be told apart. */
const LEAST_MODEL_MM = 45;

/**
 * The exploded part map drawn as large as a sheet allows while names keep their size: the longer of its sides becomes sheetMm
 * within 2 %, unless the names, or parts that are large enough to see, need more. Places, boxes and lines are millimetres of the sheet; shapes are the model's
 * own and are to be drawn `scale` times as large, then moved.
 */
export function fitPartMap(
  view: DrawingView,
  joints: readonly { readonly partKeys: readonly string[] }[],
  sheetMm: number,
  labelMm?: LabelWidth,
): FittedPartMap {
  const least = LEAST_MODEL_MM / Math.max(view.widthMm, view.heightMm);
  let scale = 1;
  let map = computePartMap(view, joints, labelMm);
  for (let round = 0; round < ROUNDS && map.parts.length > 0; round++) {
    const size = Math.max(map.widthMm, map.heightMm * ASPECT);
    if (Math.abs(size / sheetMm - 1) < 0.02) break;
    if (size > sheetMm && scale <= least) break;
    scale = Math.max(least, scale * Math.min(2, Math.max(0.5, sheetMm / size)));
    map = computePartMap(enlarge(view, scale), joints, labelMm);
  }
  const parts = map.parts.map((part) => ({
    ...part,
    shapes: view.shapes.filter(({ partKey }) => partKey === part.partKey),
  }));
  return { ...map, parts, scale };
}

const enlarge = (view: DrawingView, by: number): DrawingView => ({
  ...view,
  shapes: view.shapes.map((shape) => ({
    ...shape,
    box: [shape.box[0] * by, shape.box[1] * by, shape.box[2] * by, shape.box[3] * by] as const,
  })),
});
