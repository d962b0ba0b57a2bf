import type { DrawingShape, DrawingView } from '../model/drawing.ts';
import type { Trace } from '../model/trace.ts';
import { moveArtwork } from './artwork.ts';
import { outlineTrace } from './outlineTrace.ts';

/**
 * A view as it was traced. Parts without a line keep what they had in the view that it takes the place of, so that every part
 * stands on the part map; what is traced lies where the first of its parts lay among them. Lines of parts that are gone are
 * left out.
 */
export function drawTraced(
  trace: Omit<Trace, 'photo'>,
  under: DrawingView,
  parts: readonly { readonly key: string }[],
): DrawingView {
  const { view, widthMm, heightMm, underAt } = trace;
  const isThere = ({ partKey }: { readonly partKey: string }) => parts.some(({ key }) => key === partKey);
  const outlined = trace.shapes.filter(isThere).flatMap((shape): DrawingShape[] => {
    const outline = outlineTrace(shape, trace);
    const { partKey, surface, area } = shape;
    return outline ? [{ partKey, surface, ...(area ? { mask: area } : {}), d: outline.d, box: outline.box }] : [];
  });
  const traced = [...outlined, ...trace.artwork.filter(isThere)];
  const isTraced = ({ partKey }: DrawingShape) => traced.some((shape) => shape.partKey === partKey);
  const first = under.shapes.findIndex(isTraced);
  const [behind, before] = first < 0 ? [under.shapes, []] : [under.shapes.slice(0, first), under.shapes.slice(first)];
  const rest = (shapes: readonly DrawingShape[]) =>
    shapes
      .filter((shape) => !isTraced(shape) && isThere(shape))
      .map((shape) => moveArtwork(shape, underAt.x, underAt.y));
  return {
    ...{ view, widthMm, heightMm, shapes: [...rest(behind), ...traced, ...rest(before)], anchors: trace.anchors },
    ...(trace.joints.length ? { joints: trace.joints } : {}),
  };
}
