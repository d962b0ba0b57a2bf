import type { Trace } from '../model/trace.ts';
import { moveArtwork } from './artwork.ts';
import { outlineTrace } from './outlineTrace.ts';

/**
 * A trace whose view is as large as what was traced: a roof that is higher than the drawing had it lifts the drawing, a bumper
 * before its left edge moves it. Where a half was mirrored, both sides grow alike, so that the middle stays the middle.
 */
export function fitTrace(trace: Trace): Trace {
  const boxes = [
    ...trace.shapes.flatMap((shape) => {
      const outline = outlineTrace(shape, trace);
      return outline ? [outline.box] : [];
    }),
    ...trace.artwork.map(({ box }) => box),
  ];
  const isMirrored = trace.shapes.some((shape) => shape.isMirrored);
  const across = growth(
    boxes.map(([left, , right]) => [left, right]),
    trace.widthMm,
    isMirrored && trace.view !== 'base',
  );
  const up = growth(
    boxes.map(([, top, , bottom]) => [top, bottom]),
    trace.heightMm,
    isMirrored && trace.view === 'base',
  );
  const move = <P extends { readonly x: number; readonly y: number }>(place: P): P => ({
    ...place,
    x: place.x + across.before,
    y: place.y + up.before,
  });
  const { photo } = trace;
  return {
    ...trace,
    widthMm: across.before + trace.widthMm + across.behind,
    heightMm: up.before + trace.heightMm + up.behind,
    underAt: move(trace.underAt),
    photo: photo && { ...photo, dx: photo.dx + across.before, dy: photo.dy + up.before },
    shapes: trace.shapes.map((shape) => ({ ...shape, nodes: shape.nodes.map(move) })),
    artwork: trace.artwork.map((shape) => moveArtwork(shape, across.before, up.before)),
    anchors: trace.anchors.map(move),
    joints: trace.joints.map(move),
  };
}

/** What a view lacks before its beginning and behind its end, mm. */
function growth(reaches: readonly (readonly [number, number])[], size: number, isEven: boolean) {
  const before = Math.max(0, ...reaches.map(([from]) => -from));
  const behind = Math.max(0, ...reaches.map(([, to]) => to - size));
  return isEven ? { before: Math.max(before, behind), behind: Math.max(before, behind) } : { before, behind };
}
