import { InvalidInputError } from '../model/errors.ts';

const HEADER = 84;
const FACET = 50;

/**
 * Triangles of an STL file, text or binary, as nine numbers each: the corners' x, y and z. Units are as the file has them, which is
 * millimetres by custom. Normals are not read: the corners say the same.
 *
 * @throws InvalidInputError where it is no STL file, or has no triangle
 */
export function readStl(bytes: Uint8Array): Float64Array {
  const triangles = isBinary(bytes) ? readBinary(bytes) : readText(new TextDecoder().decode(bytes));
  if (triangles.length === 0 || !triangles.every(Number.isFinite))
    throw new InvalidInputError('no-stl', 'This is no STL file, or has no triangle in it.', 'file', {
      bytes: bytes.length,
    });
  return triangles;
}

/** By its length: some binary files begin with the word of the text ones. */
function isBinary(bytes: Uint8Array): boolean {
  if (bytes.length < HEADER) return false;
  const count = viewOf(bytes).getUint32(HEADER - 4, true);
  return bytes.length === HEADER + count * FACET;
}

function readBinary(bytes: Uint8Array): Float64Array {
  const view = viewOf(bytes);
  const count = view.getUint32(HEADER - 4, true);
  const triangles = new Float64Array(9 * count);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 9; k++) triangles[9 * i + k] = view.getFloat32(HEADER + i * FACET + 12 + 4 * k, true);
  return triangles;
}

function readText(text: string): Float64Array {
  if (!/^\s*solid\b/i.test(text)) return new Float64Array();
  const corners = [...text.matchAll(/vertex\s+(\S+)\s+(\S+)\s+(\S+)/gi)].flatMap(([, x, y, z]) =>
    [x, y, z].map(Number),
  );
  return Float64Array.from(corners.slice(0, corners.length - (corners.length % 9)));
}

const viewOf = ({ buffer, byteOffset, byteLength }: Uint8Array) => new DataView(buffer, byteOffset, byteLength);
