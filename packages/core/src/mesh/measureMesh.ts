import { linkEdges, type MeshEdges } from './linkEdges.ts';
import type { MeshSize } from '../model/mesh.ts';
import { findThinnestWall } from './findThinnestWall.ts';

/** Size, surface, content and thinnest wall of a mesh in millimetres. */
export function measureMesh(triangles: Float64Array): MeshSize {
  const edges = linkEdges(triangles);
  const openEdges = countOpen(edges);
  const isClosed = openEdges === 0;
  const { area, volume } = sumUp(triangles);
  const isInsideOut = isClosed && volume < 0;
  return {
    triangles: triangles.length / 9,
    size: sizeOf(triangles),
    areaCm2: area / 100,
    volumeCm3: isClosed ? Math.abs(volume) / 1000 : null,
    ...{ isClosed, openEdges, isInsideOut },
    thinnest: isClosed ? findThinnestWall(triangles, isInsideOut) : null,
  };
}

function countOpen({ count, sides, isAmbiguous }: MeshEdges): number {
  let open = 0;
  for (let edge = 0; edge < count; edge++)
    if (isAmbiguous[edge] || sides[2 * edge]! < 0 || sides[2 * edge + 1]! < 0) open++;
  return open;
}

/** Square and cubic millimetres; the volume by signed tetrahedra over one corner, so that far from the origin nothing is lost. */
function sumUp(t: Float64Array): { readonly area: number; readonly volume: number } {
  const [ox, oy, oz] = [t[0]!, t[1]!, t[2]!];
  let [area, volume] = [0, 0];
  for (let i = 0; i < t.length; i += 9) {
    const [ax, ay, az] = [t[i]! - ox, t[i + 1]! - oy, t[i + 2]! - oz];
    const [bx, by, bz] = [t[i + 3]! - ox - ax, t[i + 4]! - oy - ay, t[i + 5]! - oz - az];
    const [cx, cy, cz] = [t[i + 6]! - ox - ax, t[i + 7]! - oy - ay, t[i + 8]! - oz - az];
    const [nx, ny, nz] = [by * cz - bz * cy, bz * cx - bx * cz, bx * cy - by * cx];
    area += Math.sqrt(nx * nx + ny * ny + nz * nz) / 2;
    volume += (ax * nx + ay * ny + az * nz) / 6;
  }
  return { area, volume };
}

function sizeOf(triangles: Float64Array): [number, number, number] {
  const [least, most] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let i = 0; i < triangles.length; i++) {
    const axis = i % 3;
    if (triangles[i]! < least[axis]!) least[axis] = triangles[i]!;
    if (triangles[i]! > most[axis]!) most[axis] = triangles[i]!;
  }
  return [most[0]! - least[0]!, most[1]! - least[1]!, most[2]! - least[2]!];
}
