import { drawCasting, liesOnShell, type CastingSize, type DrawnPart } from '../construction/drawCasting.ts';
import type { DrawingShape, DrawingView } from '../model/drawing.ts';
import type { Trace } from '../model/trace.ts';
import { outlineTrace } from './outlineTrace.ts';

/**
 * A view as it was traced. In the side view a part without a traced shape gets its plain one, behind what is traced or
 * before it as its kind lies on the model, so that every part stands on the part map.
 */
export function drawTraced(trace: Trace, size: CastingSize, parts: readonly DrawnPart[]): DrawingView {
  const { view, widthMm, heightMm, anchors } = trace;
  const traced = trace.shapes.flatMap((shape): DrawingShape[] => {
    const outline = parts.some(({ key }) => key === shape.partKey) ? outlineTrace(shape, trace) : null;
    return outline ? [{ partKey: shape.partKey, surface: shape.surface, d: outline.d, box: outline.box }] : [];
  });
  const plain = view === 'side' ? drawCasting(size, parts).views.find((one) => one.view === 'side')! : null;
  const rest = plain?.shapes.filter(({ partKey }) => traced.every((shape) => shape.partKey !== partKey)) ?? [];
  const isInFront = ({ partKey }: DrawingShape) => liesOnShell(parts.find(({ key }) => key === partKey)!.shape);
  const named = new Set(anchors.map(({ featureKey }) => featureKey));
  return {
    ...{ view, widthMm, heightMm },
    shapes: [...rest.filter((shape) => !isInFront(shape)), ...traced, ...rest.filter(isInFront)],
    anchors: [...(plain?.anchors.filter(({ featureKey }) => !named.has(featureKey)) ?? []), ...anchors],
  };
}
