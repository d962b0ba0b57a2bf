import {
  mapPoint,
  preparePlane,
  solveHomography,
  straightenPoint,
  type DrawingView,
  type Photo,
  type PhotoMeasure,
  type Point,
} from '@sardonyx/core';

/** Two points that both pictures show: the wheels' middles, front first, mm. */
export type Pair = readonly [Point, Point];

/** Where the wheelbase was measured on a photo, in its plane; null while it was not. */
export function findWheels(photo: Photo, measures: readonly PhotoMeasure[]): Pair | null {
  const own = measures.find((one) => one.photoId === photo.id && one.kind === 'length' && one.label === 'wheelbase');
  if (!own || !photo.control) return null;
  const { lens, points } = preparePlane(photo.control, photo);
  const h = solveHomography(points);
  const [a, b] = own.points.map((pixel) => mapPoint(h, lens ? straightenPoint(lens, pixel) : pixel)) as [Point, Point];
  return a.x <= b.x ? [a, b] : [b, a];
}

/** The outer wheels of a drawing, from left to right. */
export function findDrawnWheels(view: DrawingView): Pair | null {
  const middles = view.shapes
    .filter((shape) => shape.partKey === 'wheels')
    .map(({ box }) => ({ x: (box[0] + box[2]) / 2, y: (box[1] + box[3]) / 2 }))
    .sort((a, b) => a.x - b.x);
  const [first, last] = [middles[0], middles.at(-1)];
  return first && last && last.x - first.x > 1 ? [first, last] : null;
}

/** Turn, in degrees, and shift that lay one pair on the other, middle on middle. */
export function alignPairs(from: Pair, onto: Pair): { readonly turn: number; readonly x: number; readonly y: number } {
  const angle = ([a, b]: Pair) => Math.atan2(b.y - a.y, b.x - a.x);
  const middle = ([a, b]: Pair) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
  const turn = angle(onto) - angle(from);
  const [m, n] = [middle(from), middle(onto)];
  return {
    turn: (turn * 180) / Math.PI,
    x: n.x - (Math.cos(turn) * m.x - Math.sin(turn) * m.y),
    y: n.y - (Math.sin(turn) * m.x + Math.cos(turn) * m.y),
  };
}
