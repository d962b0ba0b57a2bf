/**
 * By what a mesh is made larger so that a length of it comes out as it was measured.
 *
 * @param wanted as it is to be when it has cured, mm
 * @param modelled as it is in the mesh, mm
 * @param shrink share of its length that the resin loses
 */
export const computeScale = (wanted: number, modelled: number, shrink: number): number =>
  wanted / (modelled * (1 - shrink));

/** The same mesh larger or smaller, along each axis. */
export function scaleMesh(triangles: Float64Array, scale: readonly [x: number, y: number, z: number]): Float64Array {
  return triangles.map((value, i) => value * scale[i % 3]!);
}
