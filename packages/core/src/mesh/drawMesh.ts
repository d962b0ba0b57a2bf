import { linkEdges } from './linkEdges.ts';
import { computeNormal } from './writeStl.ts';

/** Lines of a mesh as it is seen along an axis, millimetres, y downwards as on a screen. */
export interface MeshView {
  readonly name: 'from the front' | 'from the side' | 'from above';
  readonly width: number;
  readonly height: number;
  /** Outline of an SVG path. */
  readonly d: string;
}

/** Which axis is looked along, and which lie across and down the picture. */
const VIEWS = [
  { name: 'from the front', along: 1, across: 0, up: 2 },
  { name: 'from the side', along: 0, across: 1, up: 2 },
  { name: 'from above', along: 2, across: 0, up: 1 },
] as const;

/** A crease is drawn where its faces turn by more than this: cosine of 30 degrees. */
const CREASE = Math.cos(Math.PI / 6);
/** Beyond so many, the shortest lines are left out: a small drawing shows no more. */
const MOST_LINES = 3000;

/** Three views: where a face that is seen ends, and where two that are seen meet at an angle. */
export function drawMesh(triangles: Float64Array): MeshView[] {
  const { ends, sides, count, points } = linkEdges(triangles);
  const normals = Array.from({ length: triangles.length / 9 }, (_, i) => computeNormal(triangles, i));
  return VIEWS.map(({ name, along, across, up }): MeshView => {
    const isSeen = (triangle: number) => triangle >= 0 && normals[triangle]![along] * (along === 2 ? 1 : -1) > 1e-9;
    const lines: { readonly length: number; readonly at: readonly [number, number, number, number] }[] = [];
    for (let edge = 0; edge < count; edge++) {
      const [one, other] = [sides[2 * edge]!, sides[2 * edge + 1]!];
      if (!isSeen(one) && !isSeen(other)) continue;
      const isRim = isSeen(one) !== isSeen(other);
      if (!isRim && dot(normals[one]!, normals[other]!) > CREASE) continue;
      const [a, b] = [3 * ends[2 * edge]!, 3 * ends[2 * edge + 1]!];
      const at = [points[a + across]!, -points[a + up]!, points[b + across]!, -points[b + up]!] as const;
      lines.push({ length: Math.hypot(at[2] - at[0], at[3] - at[1]), at });
    }
    const shown = lines.sort((a, b) => b.length - a.length).slice(0, MOST_LINES);
    const [left, top] = [leastOf(points, across, 1), leastOf(points, up, -1)];
    const say = (value: number) => Number(value.toFixed(2));
    return {
      name,
      width: leastOf(points, across, -1) * -1 - left,
      height: leastOf(points, up, 1) * -1 - top,
      d: shown
        .map(({ at: [x, y, u, v] }) => `M${say(x - left)} ${say(y - top)}L${say(u - left)} ${say(v - top)}`)
        .join(''),
    };
  });
}

const dot = (a: readonly number[], b: readonly number[]): number => a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!;

function leastOf(points: Float64Array, axis: number, sign: 1 | -1): number {
  let least = Infinity;
  for (let i = axis; i < points.length; i += 3) least = Math.min(least, sign * points[i]!);
  return least;
}
