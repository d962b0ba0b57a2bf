/** Edges of a mesh: which points they join, and which triangles lie on either side. */
export interface MeshEdges {
  /** Two points an edge, by number. */
  readonly ends: Int32Array;
  /** Two triangles an edge: the one that runs along it, the one that runs against it; -1 where there is none. */
  readonly sides: Int32Array;
  /** Of more than two triangles, or of two that run along it the same way. */
  readonly isAmbiguous: Uint8Array;
  readonly count: number;
  /** Corners of each triangle by the number of their point. */
  readonly corners: Int32Array;
  /** x, y and z of each point. */
  readonly points: Float64Array;
}

/** Corners that differ in no more than rounding are one point: so much of the size of the mesh. */
const SAME_SHARE = 1e-7;

/** Welds corners that lie in one place, and joins triangles along their edges. Linear in the number of triangles. */
export function linkEdges(triangles: Float64Array): MeshEdges {
  const { corners, points } = weldCorners(triangles);
  const table = createTable(corners.length);
  const ends = new Int32Array(2 * corners.length);
  const sides = new Int32Array(2 * corners.length).fill(-1);
  const isAmbiguous = new Uint8Array(corners.length);
  let count = 0;
  for (let i = 0; i < corners.length; i++) {
    const triangle = Math.floor(i / 3);
    const [from, to] = [corners[i]!, corners[i % 3 === 2 ? i - 2 : i + 1]!];
    // A triangle without area has no edge there.
    if (from === to) continue;
    const isForward = from < to;
    const [low, high] = isForward ? [from, to] : [to, from];
    let slot = mix(low, high) & table.mask;
    while (table.slots[slot]! >= 0) {
      const edge = table.slots[slot]!;
      if (ends[2 * edge] === low && ends[2 * edge + 1] === high) break;
      slot = (slot + 1) & table.mask;
    }
    let edge = table.slots[slot]!;
    if (edge < 0) {
      edge = count++;
      table.slots[slot] = edge;
      [ends[2 * edge], ends[2 * edge + 1]] = [low, high];
    }
    const side = 2 * edge + (isForward ? 0 : 1);
    if (sides[side]! >= 0) isAmbiguous[edge] = 1;
    else sides[side] = triangle;
  }
  return { ends, sides, isAmbiguous, count, corners, points };
}

function weldCorners(triangles: Float64Array): Pick<MeshEdges, 'corners' | 'points'> {
  let largest = 0;
  for (const value of triangles) largest = Math.max(largest, Math.abs(value));
  const step = largest * SAME_SHARE || 1;
  const n = triangles.length / 3;
  const table = createTable(n);
  const corners = new Int32Array(n);
  const grid = new Int32Array(3 * n);
  const points = new Float64Array(triangles.length);
  let count = 0;
  for (let i = 0; i < n; i++) {
    const x = Math.round(triangles[3 * i]! / step);
    const y = Math.round(triangles[3 * i + 1]! / step);
    const z = Math.round(triangles[3 * i + 2]! / step);
    let slot = mix(mix(x, y), z) & table.mask;
    for (;;) {
      const point = table.slots[slot]!;
      if (point < 0) break;
      if (grid[3 * point] === x && grid[3 * point + 1] === y && grid[3 * point + 2] === z) break;
      slot = (slot + 1) & table.mask;
    }
    if (table.slots[slot]! < 0) {
      table.slots[slot] = count;
      grid.set([x, y, z], 3 * count);
      points.set(triangles.subarray(3 * i, 3 * i + 3), 3 * count);
      count++;
    }
    corners[i] = table.slots[slot]!;
  }
  return { corners, points: points.subarray(0, 3 * count) };
}

/** Open addressing, at most half full. */
function createTable(entries: number): { readonly slots: Int32Array; readonly mask: number } {
  let size = 16;
  while (size < 2 * entries) size *= 2;
  return { slots: new Int32Array(size).fill(-1), mask: size - 1 };
}

/** Spreads two numbers over 32 bits (the last step of A. Appleby's MurmurHash3). */
function mix(a: number, b: number): number {
  let h = Math.imul(a, 0x9e3779b1) ^ Math.imul(b ^ (b >>> 15), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}
