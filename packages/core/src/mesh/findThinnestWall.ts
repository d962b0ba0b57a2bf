import type { ThinWall } from '../model/mesh.ts';
import { computeNormal } from './writeStl.ts';

/** Points that are tried, spread over the surface. */
const PROBES = 3000;
/** Faces that look away from each other by less than this are a wall; others are an edge that runs out: cosine. */
const FACING = 0.7;
const MOST_CELLS = 64;

/**
 * The least way through the material of a closed mesh: from points all over its surface straight in, to the first face on the other
 * side. A sample: a thinner spot may lie between its points.
 *
 * @param isInsideOut its faces look inwards
 */
export function findThinnestWall(triangles: Float64Array, isInsideOut: boolean): ThinWall | null {
  const grid = createGrid(triangles);
  let thinnest: ThinWall | null = null;
  for (const { triangle, at } of listProbes(triangles)) {
    const normal = computeNormal(triangles, triangle);
    const sign = isInsideOut ? 1 : -1;
    const along: Point = [sign * normal[0], sign * normal[1], sign * normal[2]];
    const mm = castRay(triangles, grid, at, along, triangle, thinnest?.mm ?? Infinity);
    if (mm !== null) thinnest = { mm, at };
  }
  return thinnest;
}

type Point = readonly [x: number, y: number, z: number];

/** The same number of points for the same surface; where a triangle is large several lie on it. */
function listProbes(t: Float64Array): { readonly triangle: number; readonly at: Point }[] {
  const count = t.length / 9;
  const sums = new Float64Array(count);
  let area = 0;
  for (let i = 0; i < count; i++) sums[i] = area += areaOf(t, i);
  const probes: { triangle: number; at: Point }[] = [];
  let triangle = 0;
  for (let k = 0; k < PROBES; k++) {
    while (triangle < count - 1 && sums[triangle]! < ((k + 0.5) / PROBES) * area) triangle++;
    // A sequence that fills the triangle evenly, folded over its diagonal.
    let [u, v] = [(0.5 + k * 0.7548776662466927) % 1, (0.5 + k * 0.5698402909980532) % 1];
    if (u + v > 1) [u, v] = [1 - u, 1 - v];
    probes.push({
      triangle,
      at: [onTriangle(t, triangle, 0, u, v), onTriangle(t, triangle, 1, u, v), onTriangle(t, triangle, 2, u, v)],
    });
  }
  return probes;
}

function onTriangle(t: Float64Array, triangle: number, axis: number, u: number, v: number): number {
  const a = t[9 * triangle + axis]!;
  return a + u * (t[9 * triangle + 3 + axis]! - a) + v * (t[9 * triangle + 6 + axis]! - a);
}

function areaOf(t: Float64Array, triangle: number): number {
  const i = 9 * triangle;
  const [bx, by, bz] = [t[i + 3]! - t[i]!, t[i + 4]! - t[i + 1]!, t[i + 5]! - t[i + 2]!];
  const [cx, cy, cz] = [t[i + 6]! - t[i]!, t[i + 7]! - t[i + 1]!, t[i + 8]! - t[i + 2]!];
  return Math.sqrt((by * cz - bz * cy) ** 2 + (bz * cx - bx * cz) ** 2 + (bx * cy - by * cx) ** 2) / 2;
}

/** Cells of even edge, each with the triangles whose boxes touch it. */
interface Grid {
  readonly origin: Point;
  readonly cell: number;
  readonly cells: readonly [number, number, number];
  /** Where each cell's triangles begin in the list, and one more. */
  readonly begins: Int32Array;
  readonly members: Int32Array;
}

function createGrid(t: Float64Array): Grid {
  const [least, most] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let i = 0; i < t.length; i++) {
    least[i % 3] = Math.min(least[i % 3]!, t[i]!);
    most[i % 3] = Math.max(most[i % 3]!, t[i]!);
  }
  const longest = Math.max(...most.map((value, axis) => value - least[axis]!), 1e-9);
  const wanted = Math.min(MOST_CELLS, Math.max(1, Math.ceil(Math.sqrt(t.length / 9 / 6))));
  const cell = (longest * 1.0001) / wanted;
  const cells = most.map((value, axis) => Math.max(1, Math.ceil((value - least[axis]!) / cell))) as [
    number,
    number,
    number,
  ];
  const origin: Point = [least[0]!, least[1]!, least[2]!];
  const total = cells[0] * cells[1] * cells[2];
  const begins = new Int32Array(total + 1);
  // Made once: a function made anew for each of a hundred thousand triangles takes longer than what it does.
  const cellOf = (value: number, axis: number): number =>
    Math.min(cells[axis]! - 1, Math.max(0, Math.floor((value - origin[axis]!) / cell)));
  const from = [0, 0, 0];
  const to = [0, 0, 0];
  const visit = (triangle: number, act: (index: number) => void) => {
    const i = 9 * triangle;
    for (let axis = 0; axis < 3; axis++) {
      const a = t[i + axis]!;
      const b = t[i + 3 + axis]!;
      const c = t[i + 6 + axis]!;
      from[axis] = cellOf(Math.min(a, b, c), axis);
      to[axis] = cellOf(Math.max(a, b, c), axis);
    }
    for (let z = from[2]!; z <= to[2]!; z++)
      for (let y = from[1]!; y <= to[1]!; y++)
        for (let x = from[0]!; x <= to[0]!; x++) act((z * cells[1] + y) * cells[0] + x);
  };
  const count = t.length / 9;
  const tally = (index: number) => void begins[index + 1]!++;
  for (let i = 0; i < count; i++) visit(i, tally);
  for (let i = 0; i < total; i++) begins[i + 1]! += begins[i]!;
  const members = new Int32Array(begins[total]!);
  const filled = begins.slice();
  let current = 0;
  const file = (index: number) => void (members[filled[index]!++] = current);
  for (; current < count; current++) visit(current, file);
  return { origin, cell, cells, begins, members };
}

/** Way to the nearest face that looks along the ray, cell by cell; null where none is nearer than the least so far. */
function castRay(
  t: Float64Array,
  { origin, cell, cells, begins, members }: Grid,
  from: Point,
  along: Point,
  own: number,
  least: number,
): number | null {
  const at = [0, 1, 2].map((axis) =>
    Math.min(cells[axis]! - 1, Math.max(0, Math.floor((from[axis]! - origin[axis]!) / cell))),
  ) as [number, number, number];
  const step = along.map((value) => Math.sign(value));
  const next = at.map((index, axis) =>
    along[axis] === 0
      ? Infinity
      : (origin[axis]! + (index + (step[axis]! > 0 ? 1 : 0)) * cell - from[axis]!) / along[axis]!,
  );
  const width = along.map((value) => (value === 0 ? Infinity : cell / Math.abs(value)));
  let nearest: number | null = null;
  let best = least;
  for (;;) {
    const index = (at[2] * cells[1] + at[1]) * cells[0] + at[0];
    for (let k = begins[index]!; k < begins[index + 1]!; k++) {
      const triangle = members[k]!;
      if (triangle === own) continue;
      const distance = meet(t, triangle, from, along);
      if (distance !== null && distance < best) [nearest, best] = [distance, distance];
    }
    const axis = next[0]! <= next[1]! ? (next[0]! <= next[2]! ? 0 : 2) : next[1]! <= next[2]! ? 1 : 2;
    // What lies in further cells is farther than what was met.
    if (next[axis]! >= best) return nearest;
    at[axis] += step[axis]!;
    if (at[axis] < 0 || at[axis] >= cells[axis]!) return nearest;
    next[axis]! += width[axis]!;
  }
}

const NEAR = 1e-6;

/** Distance along a ray to a triangle (T. Moeller and B. Trumbore, Journal of Graphics Tools 2, 1997, 21-28), where it is the other side of a wall. */
function meet(t: Float64Array, triangle: number, from: Point, along: Point): number | null {
  const i = 9 * triangle;
  const [ux, uy, uz] = [t[i + 3]! - t[i]!, t[i + 4]! - t[i + 1]!, t[i + 5]! - t[i + 2]!];
  const [vx, vy, vz] = [t[i + 6]! - t[i]!, t[i + 7]! - t[i + 1]!, t[i + 8]! - t[i + 2]!];
  const [px, py, pz] = [along[1] * vz - along[2] * vy, along[2] * vx - along[0] * vz, along[0] * vy - along[1] * vx];
  const det = ux * px + uy * py + uz * pz;
  if (Math.abs(det) < 1e-14) return null;
  const [sx, sy, sz] = [from[0] - t[i]!, from[1] - t[i + 1]!, from[2] - t[i + 2]!];
  const u = (sx * px + sy * py + sz * pz) / det;
  if (u < 0 || u > 1) return null;
  const [qx, qy, qz] = [sy * uz - sz * uy, sz * ux - sx * uz, sx * uy - sy * ux];
  const v = (along[0] * qx + along[1] * qy + along[2] * qz) / det;
  if (v < 0 || u + v > 1) return null;
  const distance = (vx * qx + vy * qy + vz * qz) / det;
  if (distance < NEAR) return null;
  const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const facing = (nx * along[0] + ny * along[1] + nz * along[2]) / Math.sqrt(nx * nx + ny * ny + nz * nz);
  return Math.abs(facing) >= FACING ? distance : null;
}
