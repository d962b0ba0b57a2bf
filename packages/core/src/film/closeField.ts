import { enclose } from '../drawing/computeOutlineArea.ts';
import { flattenPath } from '../drawing/flattenPath.ts';
import { distanceBetween, nearestOn, type Ring } from '../drawing/planeGeometry.ts';
import type { DrawingView } from '../model/drawing.ts';
import type { Point } from '../model/plane.ts';

/** A line that ends so near to the outline ends on it, mm. */
const ON_OUTLINE_MM = 0.6;

/** All that is drawn of a part in a view: its outline, its panel lines, the edges of its pieces. */
const ringsOfPart = ({ shapes }: DrawingView, partKey: string, isOutline = false): Ring[] =>
  shapes
    .filter(
      (shape) => shape.partKey === partKey && !(isOutline && (shape.mask !== undefined || shape.surface === 'line')),
    )
    .flatMap(({ d }) => flattenPath(d));

/** The nearest corner of what is drawn of a part, else the nearest place on its lines, within a distance; else the place itself. */
export function snapToPart(view: DrawingView, partKey: string, at: Point, withinMm: number): Point {
  const rings = ringsOfPart(view, partKey);
  const corner = nearest(at, rings.flat());
  if (corner && distanceBetween(at, corner) <= withinMm / 2) return corner;
  const edge = nearest(
    at,
    rings.flatMap((ring) => placesOn(ring, at)),
  );
  return edge && distanceBetween(at, edge) <= withinMm ? edge : at;
}

/**
 * What a drawn line takes in: where both its ends lie on the outline of the part, it goes on along that, the way round that takes
 * in less; else the line is closed by itself.
 *
 * @returns at least three points, or null where the line takes nothing in
 */
export function closeField(view: DrawingView, partKey: string, line: readonly Point[]): Point[] | null {
  const [first, last] = [line[0], line.at(-1)];
  if (!first || !last || line.length < 2) return null;
  const ring = ringsOfPart(view, partKey, true).find((one) => isOn(first, one) && isOn(last, one));
  const patches = ring && distanceBetween(first, last) > ON_OUTLINE_MM ? goOn(line, ring) : [line];
  const smallest = patches.reduce((a, b) => (Math.abs(enclose(b)) < Math.abs(enclose(a)) ? b : a));
  return smallest.length > 2 && Math.abs(enclose(smallest)) > 0.01 ? [...smallest] : null;
}

/** Both ways along the outline from the end of the line back to its beginning. */
function goOn(line: readonly Point[], ring: Ring): Point[][] {
  const [from, to] = [sideOf(line.at(-1)!, ring), sideOf(line[0]!, ring)];
  const n = ring.length;
  const forward = Array.from({ length: (to - from + n) % n }, (_, i) => ring[(from + 1 + i) % n]!);
  const backward = Array.from({ length: (from - to + n) % n }, (_, i) => ring[(from - i + n) % n]!);
  return [
    [...line, ...forward],
    [...line, ...backward],
  ];
}

/** Of the side of a ring that lies nearest, the number. */
function sideOf(at: Point, ring: Ring): number {
  const distances = placesOn(ring, at).map((place) => distanceBetween(at, place));
  return distances.indexOf(Math.min(...distances));
}

const placesOn = (ring: Ring, at: Point): Point[] =>
  ring.map((from, i) => nearestOn(at, from, ring[(i + 1) % ring.length]!));

const isOn = (at: Point, ring: Ring): boolean =>
  placesOn(ring, at).some((place) => distanceBetween(at, place) <= ON_OUTLINE_MM);

const nearest = (at: Point, places: readonly Point[]): Point | undefined =>
  places.reduce<Point | undefined>(
    (best, place) => (best && distanceBetween(at, best) <= distanceBetween(at, place) ? best : place),
    undefined,
  );
