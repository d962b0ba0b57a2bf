import { InvalidInputError } from '../model/errors.ts';

const HEADER = 84;
const FACET = 50;
/** Printed parts of toys are far smaller: more is refused before anything is unpacked. */
const MOST_BYTES = 64 * 2 ** 20;

/**
 * Triangles of an STL file, text or binary, as nine numbers each: the corners' x, y and z. Units are as the file has them, which is
 * millimetres by custom. Normals are not read: the corners say the same.
 *
 * @throws InvalidInputError where it is too large, no STL file, cut off, or says of a corner what is no number
 */
export function readStl(bytes: Uint8Array): Float64Array {
  if (bytes.length > MOST_BYTES)
    throw refuse('stl-too-large', `This file has ${sayMb(bytes.length)} MB; ${sayMb(MOST_BYTES)} are read at most.`);
  const triangles = looksLikeText(bytes) ? readText(new TextDecoder().decode(bytes)) : readBinary(bytes);
  if (triangles.length === 0) throw refuse('no-stl', 'This is no STL file, or has no triangle in it.');
  const wrong = triangles.findIndex((value) => !Number.isFinite(value));
  if (wrong >= 0)
    throw refuse('stl-no-number', `Triangle ${Math.floor(wrong / 9) + 1} has a corner that is no number.`);
  return triangles;
}

const refuse = (code: string, message: string) => new InvalidInputError(code, message, 'file');
const sayMb = (length: number) => Math.round(length / 2 ** 20);

/** Some binary files begin with the word of the text ones: those have the length that their count says. */
function looksLikeText(bytes: Uint8Array): boolean {
  const head = new TextDecoder().decode(bytes.subarray(0, 512));
  if (!/^\s*solid\b/i.test(head)) return false;
  return bytes.length < HEADER || bytes.length !== HEADER + countOf(bytes) * FACET;
}

const countOf = (bytes: Uint8Array): number => viewOf(bytes).getUint32(HEADER - 4, true);

function readBinary(bytes: Uint8Array): Float64Array {
  if (bytes.length < HEADER) return new Float64Array();
  const [count, there] = [countOf(bytes), Math.floor((bytes.length - HEADER) / FACET)];
  // A count that nothing bears out is of no STL file at all.
  if (there === 0 || count > MOST_BYTES / FACET) return new Float64Array();
  if (there < count)
    throw refuse('stl-cut-off', `This file is cut off: it says ${count} triangles, and ${there} are there.`);
  const view = viewOf(bytes);
  const triangles = new Float64Array(9 * count);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 9; k++) triangles[9 * i + k] = view.getFloat32(HEADER + i * FACET + 12 + 4 * k, true);
  return triangles;
}

function readText(text: string): Float64Array {
  const corners: number[] = [];
  const word = /vertex\s+(\S+)\s+(\S+)\s+(\S+)/gi;
  for (let found = word.exec(text); found; found = word.exec(text))
    corners.push(Number(found[1]), Number(found[2]), Number(found[3]));
  if (corners.length % 9 !== 0)
    throw refuse('stl-cut-off', `This file is cut off: triangle ${Math.floor(corners.length / 9) + 1} is not whole.`);
  return Float64Array.from(corners);
}

const viewOf = ({ buffer, byteOffset, byteLength }: Uint8Array) => new DataView(buffer, byteOffset, byteLength);
