import svgpath from 'svgpath';
import { boundPath } from '../artwork/boundPath.ts';
import type { Artwork, InkShape } from '../../model/decal.ts';
import type { Point } from '../../model/plane.ts';
import { layOutline, type Placement } from '../sheet/cutPiece.ts';
import { findRoom, PAPERS, placeRules, type Paper, type Rule } from './paper.ts';
import { TRUE_SCALE, type PrinterScale } from './printerScale.ts';

export interface PieceToPrint extends Artwork {
  readonly cutLine: readonly Point[];
}

export interface SheetLine {
  readonly from: Point;
  readonly to: Point;
}

/** A sheet as it is printed, mm of the paper from its upper left corner. */
export interface SheetDrawing {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly inks: readonly InkShape[];
  /** Along which each piece is cut. */
  readonly cuts: readonly (readonly Point[])[];
  /** Crop marks at the corners of the room, and the rules with their ticks. */
  readonly lines: readonly SheetLine[];
  readonly rules: { readonly along: Rule; readonly down: Rule };
}

const CROP = 3;
const TICK = 1.2;
const LONG_TICK = 2.4;

/** Lays artworks on paper as they were nested, with crop marks and rules, all of it smaller by what the printer makes larger. */
export function drawSheet(
  paper: Paper,
  pieces: readonly (Pick<Placement, 'x' | 'y' | 'turn'> & { readonly artwork: PieceToPrint })[],
  scale: PrinterScale = TRUE_SCALE,
): SheetDrawing {
  const room = findRoom(paper);
  const [kx, ky] = [1 / scale.along, 1 / scale.down];
  const correct = ({ x, y }: Point): Point => ({ x: x * kx, y: y * ky });
  const rules = placeRules(paper);
  return {
    ...PAPERS[paper],
    inks: pieces.flatMap((piece) => layInks(piece, room, [kx, ky])),
    cuts: pieces.map(({ artwork, x, y, turn }) =>
      layOutline(artwork.cutLine, { x: x + room.x, y: y + room.y, turn }).map(correct),
    ),
    lines: [...drawCrops(room), ...drawRule(rules.along, 'along'), ...drawRule(rules.down, 'down')].map(
      ({ from, to }) => ({ from: correct(from), to: correct(to) }),
    ),
    rules,
  };
}

/** Turned and moved as the cut line is, whose box corner lies at the piece's place. */
function layInks(
  { artwork, x, y, turn }: Pick<Placement, 'x' | 'y' | 'turn'> & { readonly artwork: PieceToPrint },
  room: Point,
  [kx, ky]: readonly [number, number],
): InkShape[] {
  const line = `M${artwork.cutLine.map((point) => `${point.x} ${point.y}`).join('L')}Z`;
  const [left, top] = boundPath(svgpath(line).rotate(turn).toString());
  return artwork.shapes.map((shape) => ({
    ...shape,
    strokeMm: shape.strokeMm * Math.sqrt(kx * ky),
    d: svgpath(shape.d)
      .rotate(turn)
      .translate(x + room.x - left, y + room.y - top)
      .scale(kx, ky)
      .abs()
      .round(4)
      .toString(),
  }));
}

function drawCrops({ x, y, lengthMm, widthMm }: ReturnType<typeof findRoom>): SheetLine[] {
  const corners = [
    { x, y, dx: 1, dy: 1 },
    { x: x + lengthMm, y, dx: -1, dy: 1 },
    { x, y: y + widthMm, dx: 1, dy: -1 },
    { x: x + lengthMm, y: y + widthMm, dx: -1, dy: -1 },
  ];
  return corners.flatMap(({ x: cx, y: cy, dx, dy }) => [
    { from: { x: cx, y: cy }, to: { x: cx - dx * CROP, y: cy } },
    { from: { x: cx, y: cy }, to: { x: cx, y: cy - dy * CROP } },
  ]);
}

function drawRule({ fromX, fromY, mm }: Rule, way: 'along' | 'down'): SheetLine[] {
  const at = (run: number, rise: number): Point =>
    way === 'along' ? { x: fromX + run, y: fromY - rise } : { x: fromX + rise, y: fromY + run };
  const ticks = Array.from({ length: mm / 5 + 1 }, (_, i) => ({
    from: at(5 * i, 0),
    to: at(5 * i, i % 2 === 0 ? LONG_TICK : TICK),
  }));
  return [{ from: at(0, 0), to: at(mm, 0) }, ...ticks];
}
