import { flattenPath } from '../drawing/flattenPath.ts';
import { awayFrom, isInside, type Ring } from '../drawing/planeGeometry.ts';
import type { Drawing, DrawingView } from '../model/drawing.ts';
import type { Point } from '../model/plane.ts';
import { nameOfArea, type Area } from '../model/workpiece.ts';
import { drawFieldsOf } from './drawFields.ts';
import type { ColourEdge, EdgeKind } from './orderColours.ts';

/** Tape is laid along what lies so near, mm: a drawn line has a breadth. */
const NEAR_MM = 0.35;
const PIECE_MM = 0.5;
/** Sine of the angle up to which an edge follows a line. */
const PARALLEL = 0.5;

export type EdgedArea = Pick<Area, 'id' | 'kind' | 'name' | 'outline'>;

/**
 * Where a mask's edge runs on the drawing, by what it lies on: along a drawn line ('panel line'), along the edge of another piece
 * ('step'), or across the open surface. Where the field ends with its part, nothing is taped. The side counts for both sides.
 * Fields that are not drawn have no edges here.
 *
 * @param areas of one part
 * @returns one entry for each two areas and kind of edge, millimetres
 */
export function measureMaskEdges(drawing: Drawing, partKey: string, areas: readonly EdgedArea[]): ColourEdge[] {
  const outside = areas.find(({ kind }) => kind === 'outside');
  if (!outside) return [];
  const sums = new Map<string, ColourEdge>();
  for (const plain of drawing.views) {
    const view = drawFieldsOf(plain, partKey, areas);
    const sides = view.view === 'side' ? 2 : 1;
    const ground = readGround(view, partKey);
    const fields = areas
      .filter(({ kind }) => kind === 'mask')
      .map((area) => ({ id: area.id, rings: ringsOf(area, view, partKey) }));
    fields.forEach(({ id, rings }, place) => {
      for (const piece of rings.flatMap((ring) => walk(ring))) {
        const { out } = piece;
        const other = fields.findIndex((field) => field.id !== id && isInside(out, field.rings));
        if (other < 0 && !isInside(out, ground.part)) continue;
        // Where two fields meet there is one edge, not two.
        if (other >= 0 && other < place) continue;
        const between = [id, other < 0 ? outside.id : fields[other]!.id] as const;
        const kind = kindAt(piece, ground);
        const key = `${between.join(' ')} ${kind}`;
        const lengthMm = (sums.get(key)?.lengthMm ?? 0) + sides * piece.length;
        sums.set(key, { between, kind, lengthMm });
      }
    });
  }
  return [...sums.values()];
}

/** What of a view a mask's edge can follow. */
interface Ground {
  /** The part's own pieces, whatever colour. */
  readonly part: readonly Ring[];
  readonly lines: readonly Ring[];
  readonly steps: readonly Ring[];
}

function readGround({ shapes }: DrawingView, partKey: string): Ground {
  const seen = shapes.filter(({ hidden }) => !hidden);
  const rings = (of: typeof seen) => of.flatMap(({ d }) => flattenPath(d));
  const own = seen.filter((shape) => shape.partKey === partKey);
  return {
    part: rings(own),
    lines: rings(own.filter(({ surface }) => surface === 'line')),
    steps: rings([
      ...own.filter(({ surface, mask }) => surface !== 'line' && mask === undefined),
      ...seen.filter((shape) => shape.partKey !== partKey && shape.surface !== 'line'),
    ]),
  };
}

const ringsOf = (area: EdgedArea, { shapes }: DrawingView, partKey: string): Ring[] =>
  shapes
    .filter((shape) => shape.partKey === partKey && shape.mask === nameOfArea(area) && !shape.hidden)
    .flatMap(({ d }) => flattenPath(d));

interface EdgePiece {
  readonly middle: Point;
  /** Of length 1. */
  readonly along: Point;
  readonly length: number;
  /** Just outside the ring. */
  readonly out: Point;
}

const walk = (ring: Ring): EdgePiece[] =>
  ring.flatMap((from, i) => {
    const to = ring[(i + 1) % ring.length]!;
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const length = Math.hypot(dx, dy);
    const pieces = Math.ceil(length / PIECE_MM);
    return Array.from({ length: pieces }, (_, piece): EdgePiece => {
      const t = (piece + 0.5) / pieces;
      const middle = { x: from.x + t * dx, y: from.y + t * dy };
      const beside = (side: number) => ({
        x: middle.x + (side * NEAR_MM * dy) / length,
        y: middle.y - (side * NEAR_MM * dx) / length,
      });
      const along = { x: dx / length, y: dy / length };
      return { middle, along, length: length / pieces, out: isInside(beside(1), [ring]) ? beside(-1) : beside(1) };
    });
  });

function kindAt(piece: EdgePiece, { lines, steps }: Ground): EdgeKind {
  if (lines.some((ring) => follows(piece, ring))) return 'panel line';
  return steps.some((ring) => follows(piece, ring)) ? 'step' : 'open surface';
}

/** Runs along a side of the ring; what only crosses it does not. */
const follows = ({ middle, along }: EdgePiece, ring: Ring): boolean =>
  ring.some((from, i) => {
    const to = ring[(i + 1) % ring.length]!;
    if (awayFrom(middle, from, to) > NEAR_MM) return false;
    const cross = along.x * (to.y - from.y) - along.y * (to.x - from.x);
    return Math.abs(cross) <= PARALLEL * Math.hypot(to.x - from.x, to.y - from.y);
  });
