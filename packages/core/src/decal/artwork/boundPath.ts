import type { Box } from '../../model/drawing.ts';
import { flattenPath } from '../../drawing/flattenPath.ts';

/** The box round what a path runs through. */
export function boundPath(d: string): Box {
  const points = flattenPath(d).flat();
  if (points.length === 0) return [0, 0, 0, 0];
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    [left, top] = [Math.min(left, x), Math.min(top, y)];
    [right, bottom] = [Math.max(right, x), Math.max(bottom, y)];
  }
  return [left, top, right, bottom];
}
