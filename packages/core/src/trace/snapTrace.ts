import type { Point } from '../model/plane.ts';
import type { TracedShape, TraceNode } from '../model/trace.ts';
import { fitLine } from '../photo/fitPoints.ts';
import { fitRim } from './fitRim.ts';
import { flattenTrace, layCircle, LEAST_NODES } from './outlineTrace.ts';
import { simplifyLine } from './simplifyLine.ts';
import { snapLine, type Lightness } from './snapLine.ts';

export interface SnappedTrace {
  readonly nodes: readonly TraceNode[];
  /** Share of the line that lies on an edge of the picture, 0 to 1. */
  readonly found: number;
}

/** A line through the samples may be so far off them, mm. */
const FINE_MM = 0.06;
/** At a corner the picture is rounded: so near to it nothing is taken, mm, and so far the lines that meet there are fitted. */
const BLUNT_MM = 0.5;
const ARM_MM = 2.5;
/** Fewer samples than this are no line. */
const LEAST_ARM = 3;
/** Lines that meet flatter than this have no corner to find, degrees. */
const LEAST_TURN = 20;
/** A corner moves no farther than this, mm. */
const CORNER_REACH_MM = 1.8;
/** A node at which the line turns by more is a corner, degrees. */
const SHARP = 40;
/** Samples are averaged with so many to each side: grain of the picture, not shape. */
const SMOOTHED = 2;

/**
 * A roughly traced shape laid onto the edges of the picture: between its corners the line follows the edge, with nodes where
 * it bends; corners come to where the lines beside them meet; circles are fitted anew. Nodes stay as they are where there
 * are too few of them.
 */
export function snapTrace(
  lightness: Lightness,
  shape: Pick<TracedShape, 'line' | 'nodes' | 'isMirrored'>,
): SnappedTrace {
  const { line, nodes } = shape;
  if (nodes.length < (shape.isMirrored ? 2 : LEAST_NODES)) return { nodes, found: 0 };
  if (line === 'circle') return snapCircle(lightness, nodes);
  return shape.isMirrored ? snapOpen(lightness, nodes) : snapClosed(lightness, nodes);
}

function snapCircle(lightness: Lightness, nodes: readonly TraceNode[]): SnappedTrace {
  const circle = layCircle(nodes[0]!, nodes[1]!, nodes[2]!);
  if (!circle) return { nodes, found: 0 };
  const place = (turn: number, { x, y, radius }: NonNullable<typeof circle>): Point => ({
    x: x + radius * Math.cos(turn),
    y: y + radius * Math.sin(turn),
  });
  const ring = Array.from({ length: 121 }, (_, i) => place((2 * Math.PI * i) / 120, circle));
  const { points, found } = snapLine(lightness, ring);
  const fitted = fitRim(points);
  const three = [0, 1, 2].map((i): TraceNode => ({ ...place((2 * Math.PI * i) / 3, fitted), bend: 'smooth' }));
  return { nodes: three, found };
}

/** Runs from corner to corner; a line without corners is one run that ends where it begins. */
function snapClosed(lightness: Lightness, nodes: readonly TraceNode[]): SnappedTrace {
  const first = Math.max(
    0,
    nodes.findIndex(({ bend }) => bend === 'corner'),
  );
  const turned = [...nodes.slice(first), ...nodes.slice(0, first)];
  const corners = turned.flatMap(({ bend }, i) => (bend === 'corner' ? [i] : []));
  if (corners.length === 0) {
    const ring = flattenTrace(turned);
    const { points, found } = snapLine(lightness, [...ring, ring[0]!]);
    return { nodes: nodesAlong(smooth(points)).slice(0, -1), found };
  }
  const runs = corners.map((from, k) => {
    const to = corners[k + 1] ?? turned.length;
    return snapLine(lightness, runBetween(turned, from, to));
  });
  const found = runs.map((run, k) => ({
    ...run,
    corner: findCorner(turned[corners[k]!]!, runs.at(k - 1)!.points, run.points),
  }));
  return {
    nodes: found.flatMap(({ points, corner }, k) => [
      { ...corner, bend: 'corner' as const },
      ...nodesBetween(corner, points, found[(k + 1) % found.length]!.corner),
    ]),
    found: runs.reduce((sum, run) => sum + run.found, 0) / runs.length,
  };
}

/** A half that is mirrored begins and ends on the middle line: its ends stay there. */
function snapOpen(lightness: Lightness, nodes: readonly TraceNode[]): SnappedTrace {
  const [head, tail] = [nodes[0]!, nodes.at(-1)!];
  const corners = nodes.flatMap(({ bend }, i) => (bend === 'corner' && i > 0 && i < nodes.length - 1 ? [i] : []));
  const stops = [0, ...corners, nodes.length - 1];
  const runs = stops.slice(1).map((to, k) => snapLine(lightness, runBetween(nodes, stops[k]!, to)));
  const meet = (k: number): Point =>
    k === 0
      ? onto(head, runs[0]!.points[0]!)
      : k === runs.length
        ? onto(tail, runs.at(-1)!.points.at(-1)!)
        : findCorner(nodes[stops[k]!]!, runs[k - 1]!.points, runs[k]!.points);
  const places = stops.map((_, k) => meet(k));
  return {
    nodes: [
      ...runs.flatMap(({ points }, k) => [
        { ...places[k]!, bend: 'corner' as const },
        ...nodesBetween(places[k]!, points, places[k + 1]!),
      ]),
      { ...places.at(-1)!, bend: 'corner' },
    ],
    found: runs.reduce((sum, run) => sum + run.found, 0) / runs.length,
  };
}

/** The end moves along the line only as far as the edge moved. */
const onto = (given: Point, snapped: Point): Point =>
  Math.hypot(snapped.x - given.x, snapped.y - given.y) < CORNER_REACH_MM ? snapped : given;

/** The line from one node to another as it is drawn, both ends included. */
function runBetween(nodes: readonly TraceNode[], from: number, to: number): Point[] {
  const own = [...nodes.slice(from, to), nodes[to % nodes.length]!];
  if (own.length === 2) return own;
  // Its ends are corners for this: what lies beyond them does not bend it.
  const open = own.map((node, i) => (i === 0 || i === own.length - 1 ? { ...node, bend: 'corner' as const } : node));
  const line = flattenTrace(open);
  return line.slice(0, line.indexOf(open.at(-1)!) + 1);
}

function findCorner(given: Point, before: readonly Point[], after: readonly Point[]): Point {
  const arm = (points: readonly Point[]) =>
    points.filter(({ x, y }) => {
      const away = Math.hypot(x - given.x, y - given.y);
      return away >= BLUNT_MM && away <= ARM_MM;
    });
  const arms = [arm(before), arm(after)] as const;
  const middle = { x: (before.at(-1)!.x + after[0]!.x) / 2, y: (before.at(-1)!.y + after[0]!.y) / 2 };
  if (arms.some(({ length }) => length < LEAST_ARM)) return middle;
  const [one, other] = [fitLine(arms[0]), fitLine(arms[1])];
  const cross = one.along.x * other.along.y - one.along.y * other.along.x;
  if (Math.abs(cross) < Math.sin((LEAST_TURN * Math.PI) / 180)) return middle;
  const [dx, dy] = [other.at.x - one.at.x, other.at.y - one.at.y];
  const t = (dx * other.along.y - dy * other.along.x) / cross;
  const met = { x: one.at.x + t * one.along.x, y: one.at.y + t * one.along.y };
  return Math.hypot(met.x - given.x, met.y - given.y) <= CORNER_REACH_MM ? met : middle;
}

/** Nodes of a run without its ends, which are given; a press beyond a corner leaves samples there that belong to nothing. */
function nodesBetween(from: Point, points: readonly Point[], to: Point): TraceNode[] {
  const isBehind = (end: Point, inwards: Point) => (point: Point) => {
    const [dx, dy] = [point.x - end.x, point.y - end.y];
    if (Math.hypot(dx, dy) > ARM_MM) return false;
    const [ux, uy] = [inwards.x - end.x, inwards.y - end.y];
    return dx * ux + dy * uy < BLUNT_MM * Math.hypot(ux, uy);
  };
  const at = (end: Point) => points.find(({ x, y }) => Math.hypot(x - end.x, y - end.y) > ARM_MM);
  const last = [...points].reverse().find(({ x, y }) => Math.hypot(x - to.x, y - to.y) > ARM_MM);
  const [head, tail] = [isBehind(from, at(from) ?? to), isBehind(to, last ?? from)];
  return nodesAlong([from, ...smooth(points).filter((point) => !head(point) && !tail(point)), to]).slice(1, -1);
}

function nodesAlong(points: readonly Point[]): TraceNode[] {
  const kept = simplifyLine(points, FINE_MM);
  return kept.map((node, i) => {
    const [before, after] = [kept[i - 1], kept[i + 1]];
    return { x: node.x, y: node.y, bend: before && after && turnAt(before, node, after) > SHARP ? 'corner' : 'smooth' };
  });
}

function turnAt(a: Point, b: Point, c: Point): number {
  const turn = Math.atan2(c.y - b.y, c.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x);
  const folded = Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
  return (folded * 180) / Math.PI;
}

const smooth = (points: readonly Point[]): Point[] =>
  points.map((_, i) => {
    const reach = Math.min(SMOOTHED, i, points.length - 1 - i);
    const own = points.slice(i - reach, i + reach + 1);
    return {
      x: own.reduce((sum, { x }) => sum + x, 0) / own.length,
      y: own.reduce((sum, { y }) => sum + y, 0) / own.length,
    };
  });
