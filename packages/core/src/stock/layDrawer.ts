import type { ThingShape } from './drawThing.ts';

/** Where a thing lies in the picture of its drawer, mm. */
export interface LaidThing<T> {
  readonly thing: T;
  readonly x: number;
  readonly y: number;
  readonly shape: ThingShape;
}

export interface LaidDrawer<T> {
  readonly width: number;
  readonly height: number;
  readonly things: readonly LaidThing<T>[];
}

/** Between things, mm: room for two lines of a name under each. */
const GAP = { across: 6, down: 13 } as const;
const EDGE = 6;

/** Things side by side in rows, the highest first, as wide as the drawer: nothing lies on another. */
export function layDrawer<T>(
  shapes: readonly { readonly thing: T; readonly shape: ThingShape }[],
  /** Least room that a thing's name takes under it, mm. */
  leastMm: number,
  widthMm: number,
): LaidDrawer<T> {
  const wide = Math.max(widthMm, ...shapes.map(({ shape }) => Math.max(shape.width, leastMm) + 2 * EDGE));
  let [x, y, row] = [EDGE, EDGE, 0];
  const things = [...shapes]
    .sort((a, b) => b.shape.height - a.shape.height || b.shape.width - a.shape.width)
    .map(({ thing, shape }): LaidThing<T> => {
      const own = Math.max(shape.width, leastMm);
      if (x > EDGE && x + own > wide - EDGE) [x, y, row] = [EDGE, y + row + GAP.down, 0];
      const laid = { thing, x, y, shape };
      x += own + GAP.across;
      row = Math.max(row, shape.height);
      return laid;
    });
  return { width: wide, height: things.length ? y + row + GAP.down : 2 * EDGE, things };
}
