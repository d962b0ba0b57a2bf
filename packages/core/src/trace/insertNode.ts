import type { TracedShape, TraceNode } from '../model/trace.ts';
import { awayFrom } from '../drawing/planeGeometry.ts';

/** A point so near to the line is meant to lie in it, mm. */
const ON_LINE_MM = 1;
/** Three points are a circle: a fourth begins it anew at the nearest. */
const CIRCLE = 3;

/** The nodes with one more: in the line where it is pressed upon, else after the last. */
export function insertNode({ line, nodes, isMirrored }: TracedShape, node: TraceNode): TraceNode[] {
  const away = (i: number) => Math.hypot(nodes[i]!.x - node.x, nodes[i]!.y - node.y);
  if (line === 'circle' && nodes.length >= CIRCLE) {
    const nearest = nodes.slice(0, CIRCLE).reduce((best, _, i) => (away(i) < away(best) ? i : best), 0);
    return nodes.map((one, i) => (i === nearest ? node : one));
  }
  // The piece from the last to the first is closed by the next point, not split by it.
  const pieces = nodes.slice(0, -1).map((from, i) => ({ i, away: awayFrom(node, from, nodes[i + 1]!) }));
  const nearest = pieces.reduce<(typeof pieces)[number] | null>((a, b) => (a && a.away <= b.away ? a : b), null);
  const least = isMirrored ? 2 : CIRCLE;
  if (nodes.length < least || !nearest || nearest.away > ON_LINE_MM) return [...nodes, node];
  return [...nodes.slice(0, nearest.i + 1), node, ...nodes.slice(nearest.i + 1)];
}
