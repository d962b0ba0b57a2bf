import type { Trace } from '../model/trace.ts';
import { moveArtwork } from './artwork.ts';
import { outlineTrace } from './outlineTrace.ts';

/** A trace whose view is as large as what was traced: a roof that is higher than the drawing had it lifts the drawing. */
export function fitTrace(trace: Trace): Trace {
  const boxes = [
    ...trace.shapes.flatMap((shape) => {
      const outline = outlineTrace(shape, trace);
      return outline ? [outline.box] : [];
    }),
    ...trace.artwork.map(({ box }) => box),
  ];
  const rise = Math.max(0, ...boxes.map(([, top]) => -top));
  const lower = <P extends { readonly y: number }>(place: P): P => ({ ...place, y: place.y + rise });
  return {
    ...trace,
    widthMm: Math.max(trace.widthMm, ...boxes.map(([, , right]) => right)),
    heightMm: Math.max(trace.heightMm, ...boxes.map(([, , , bottom]) => bottom)) + rise,
    photo: trace.photo && { ...trace.photo, dy: trace.photo.dy + rise },
    shapes: trace.shapes.map((shape) => ({ ...shape, nodes: shape.nodes.map(lower) })),
    artwork: trace.artwork.map((shape) => moveArtwork(shape, 0, rise)),
    anchors: trace.anchors.map(lower),
  };
}
