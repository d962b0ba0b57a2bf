import { outlineCircle, type Outline } from '../drawing/paths.ts';
import type { Box } from '../model/drawing.ts';
import type { Point } from '../model/plane.ts';
import type { Trace, TracedShape, TraceNode } from '../model/trace.ts';

/** Points on a bend between two nodes. */
const FINENESS = 12;

/** Too few nodes make no area. */
export const LEAST_NODES = 3;

/** The closed line of a traced shape, with its box; null while it has too few nodes. */
export function outlineTrace(shape: TracedShape, view: Pick<Trace, 'view' | 'widthMm' | 'heightMm'>): Outline | null {
  const nodes = closeMirrored(shape, view);
  if (nodes.length < LEAST_NODES) return null;
  if (shape.line === 'circle') {
    const circle = layCircle(nodes[0]!, nodes[1]!, nodes[2]!);
    return circle && outlineCircle(circle.x, circle.y, circle.radius);
  }
  const points = flattenTrace(nodes);
  const round = (value: number) => Math.round(value * 100) / 100;
  const d = points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('');
  return { d: `${d}Z`, box: boxOf(points) };
}

/** The mirrored half follows in the opposite order, so that the line closes. */
export function closeMirrored(
  { nodes, isMirrored }: Pick<TracedShape, 'nodes' | 'isMirrored'>,
  { view, widthMm, heightMm }: Pick<Trace, 'view' | 'widthMm' | 'heightMm'>,
): readonly TraceNode[] {
  if (!isMirrored) return nodes;
  // A base lies along x, an end and a side stand.
  const mirror = (node: TraceNode): TraceNode =>
    view === 'base' ? { ...node, y: heightMm - node.y } : { ...node, x: widthMm - node.x };
  return [...nodes, ...nodes.map(mirror).reverse()];
}

/** A closed line through the nodes as short straight pieces. */
export function flattenTrace(nodes: readonly TraceNode[]): Point[] {
  const at = (i: number) => nodes[(i + nodes.length) % nodes.length]!;
  return nodes.flatMap((node, i): Point[] => {
    const next = at(i + 1);
    // An arc is drawn whole from the node before its middle, and not again from the middle.
    if (node.bend === 'arc') return [];
    if (next.bend === 'arc') return [node, ...arcThrough(node, next, at(i + 2))];
    if (node.bend === 'corner' && next.bend === 'corner') return [node];
    return [node, ...bend(at(i - 1), node, next, at(i + 2))];
  });
}

/** Between two nodes, the first left out: a cubic whose tangent at a smooth node is that of its neighbours (Catmull and Rom 1974). */
function bend(before: TraceNode, from: TraceNode, to: TraceNode, after: TraceNode): Point[] {
  const reach = Math.hypot(to.x - from.x, to.y - from.y) / 3;
  const handle = (node: TraceNode, a: Point, b: Point, sign: 1 | -1): Point => {
    const span = Math.hypot(b.x - a.x, b.y - a.y);
    if (node.bend !== 'smooth' || span === 0) return node;
    return { x: node.x + (sign * reach * (b.x - a.x)) / span, y: node.y + (sign * reach * (b.y - a.y)) / span };
  };
  const first = handle(from, before, to, 1);
  const second = handle(to, from, after, -1);
  return Array.from({ length: FINENESS - 1 }, (_, i) => {
    const t = (i + 1) / FINENESS;
    const [p, q, r, s] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
    return {
      x: p * from.x + q * first.x + r * second.x + s * to.x,
      y: p * from.y + q * first.y + r * second.y + s * to.y,
    };
  });
}

/** The arc from one node through another to a third, both ends left out; straight where they lie on a line. */
function arcThrough(from: Point, middle: Point, to: Point): Point[] {
  const circle = layCircle(from, middle, to);
  if (!circle) return [middle];
  const angle = ({ x, y }: Point) => Math.atan2(y - circle.y, x - circle.x);
  const turn = (value: number) => ((value % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  const whole = turn(angle(to) - angle(from));
  const part = turn(angle(middle) - angle(from));
  const sweep = part <= whole ? whole : whole - 2 * Math.PI;
  return Array.from({ length: 2 * FINENESS - 1 }, (_, i) => {
    const a = angle(from) + (sweep * (i + 1)) / (2 * FINENESS);
    return { x: circle.x + circle.radius * Math.cos(a), y: circle.y + circle.radius * Math.sin(a) };
  });
}

/** The circle through three points; null where they lie on a line. */
export function layCircle(a: Point, b: Point, c: Point): { x: number; y: number; radius: number } | null {
  const [bx, by, cx, cy] = [b.x - a.x, b.y - a.y, c.x - a.x, c.y - a.y];
  const twice = 2 * (bx * cy - by * cx);
  if (Math.abs(twice) < 1e-6) return null;
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const x = (cy * bb - by * cc) / twice;
  const y = (bx * cc - cx * bb) / twice;
  return { x: a.x + x, y: a.y + y, radius: Math.hypot(x, y) };
}

function boxOf(points: readonly Point[]): Box {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
