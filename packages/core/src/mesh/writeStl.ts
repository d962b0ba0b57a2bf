const HEADER = 84;
const FACET = 50;
/** It must not begin with the word of the text format. */
const TITLE = 'binary STL, millimetres';

/** Triangles as a binary STL file, with normals by the right hand. */
export function writeStl(triangles: Float64Array): Uint8Array {
  const count = triangles.length / 9;
  const bytes = new Uint8Array(HEADER + FACET * count);
  const view = new DataView(bytes.buffer);
  for (let i = 0; i < TITLE.length; i++) bytes[i] = TITLE.charCodeAt(i);
  view.setUint32(HEADER - 4, count, true);
  for (let i = 0; i < count; i++) {
    const normal = computeNormal(triangles, i);
    const at = HEADER + FACET * i;
    for (let k = 0; k < 3; k++) view.setFloat32(at + 4 * k, normal[k]!, true);
    for (let k = 0; k < 9; k++) view.setFloat32(at + 12 + 4 * k, triangles[9 * i + k]!, true);
  }
  return bytes;
}

/** Unit normal of a triangle by the right hand; 0, 0, 0 where it has no area. */
export function computeNormal(triangles: Float64Array, triangle: number): [x: number, y: number, z: number] {
  const at = 9 * triangle;
  const side = (from: number, axis: number) => triangles[at + from + axis]! - triangles[at + axis]!;
  const [ux, uy, uz] = [side(3, 0), side(3, 1), side(3, 2)];
  const [vx, vy, vz] = [side(6, 0), side(6, 1), side(6, 2)];
  const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const length = Math.sqrt(x * x + y * y + z * z);
  return length > 0 ? [x / length, y / length, z / length] : [0, 0, 0];
}
