import { expect } from 'chai';
import { computeMeshArea } from '../film/computeArea.ts';
import { readStl } from './readStl.ts';

const CUBE = [0, 1, 2].flatMap((axis) =>
  [0, 10].flatMap((at) => {
    const corner = (u: number, v: number) => {
      const point = [0, 0, 0];
      [point[axis], point[(axis + 1) % 3], point[(axis + 2) % 3]] = [at, u, v];
      return point;
    };
    return [
      [corner(0, 0), corner(10, 0), corner(10, 10)],
      [corner(0, 0), corner(10, 10), corner(0, 10)],
    ];
  }),
);
const text = `solid cube\n${CUBE.map((three) => `facet normal 0 0 0\n outer loop\n${three.map((one) => `  vertex ${one.join(' ')}`).join('\n')}\n endloop\nendfacet`).join('\n')}\nendsolid`;

function binary(header: string): Uint8Array {
  const bytes = new Uint8Array(84 + 50 * CUBE.length);
  const view = new DataView(bytes.buffer);
  bytes.set(new TextEncoder().encode(header));
  view.setUint32(80, CUBE.length, true);
  CUBE.forEach((three, i) =>
    three.flat().forEach((value, k) => view.setFloat32(84 + 50 * i + 12 + 4 * k, value, true)),
  );
  return bytes;
}

describe('an STL file', () => {
  it('of a cube of 10 mm has 6 cm2, as text, as binary, and as binary that begins like text', () => {
    for (const bytes of [new TextEncoder().encode(text), binary('made by hand'), binary('solid cube')])
      expect(computeMeshArea(readStl(bytes)).value).closeTo(6, 1e-9);
  });

  it('is read where it lies in a larger buffer', () => {
    const large = new Uint8Array(2000);
    large.set(binary('x'), 7);
    expect(readStl(large.subarray(7, 7 + 84 + 50 * CUBE.length)).length).equal(9 * CUBE.length);
  });

  it('is refused where it is none: empty, cut off, a picture, no triangle, no number', () => {
    for (const bytes of [
      new Uint8Array(),
      binary('x').subarray(0, 300),
      new TextEncoder().encode('not a mesh'),
      new TextEncoder().encode('solid nothing\nendsolid'),
      new TextEncoder().encode(text.replace('vertex 10', 'vertex ten')),
    ])
      expect(() => readStl(bytes)).throw(/no STL file|cut off|no number/);
  });
});
