import { expect } from 'chai';
import { ballMesh, boxMesh, writeStlText } from '../../test/support/meshes.ts';
import { InvalidInputError } from '../model/errors.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { drawMesh } from './drawMesh.ts';
import { measureMesh } from './measureMesh.ts';
import { readStl } from './readStl.ts';
import { computeScale, scaleMesh } from './scaleMesh.ts';
import { writeStl } from './writeStl.ts';

const BOX = boxMesh([0, 0, 0], [20, 10, 5]);
const measure = (triangles: readonly number[]) => measureMesh(Float64Array.from(triangles));

describe('a mesh', () => {
  it('by hand: a box of 20 x 10 x 5 mm', () => {
    const { size, areaCm2, volumeCm3, isClosed, isInsideOut, thinnest, triangles } = measure(BOX);
    expect({ size, isClosed, isInsideOut, triangles }).deep.equal({
      ...{ size: [20, 10, 5], isClosed: true, isInsideOut: false, triangles: 12 },
    });
    expect(areaCm2).closeTo(7, 1e-9);
    expect(volumeCm3).closeTo(1, 1e-9);
    expect(thinnest!.mm).closeTo(5, 1e-9);
  });

  it('far from the origin is as large as it is', () => {
    const far = measure(boxMesh([9000, -9000, 5000], [9020, -8990, 5005]));
    expect(far.isClosed).equal(true);
    expect(far.volumeCm3).closeTo(1, 1e-6);
  });

  it('of which a face is missing is open, and holds nobody knows what', () => {
    const open = measure(BOX.slice(9));
    expect(open).deep.include({ isClosed: false, openEdges: 3, volumeCm3: null, thinnest: null });
    expect(open.areaCm2).lessThan(7);
  });

  it('with a face turned about, or one there twice, is not closed either', () => {
    const turned = [...BOX.slice(0, 3), ...BOX.slice(6, 9), ...BOX.slice(3, 6), ...BOX.slice(9)];
    expect(measure(turned)).deep.include({ isClosed: false, openEdges: 3 });
    expect(measure([...BOX, ...BOX.slice(0, 9)]).openEdges).equal(3);
  });

  it('that is inside out is measured all the same, and said to be', () => {
    const inverted = measure(boxMesh([0, 0, 0], [20, 10, 5], true));
    expect(inverted).deep.include({ isInsideOut: true, isClosed: true });
    expect(inverted.volumeCm3).closeTo(1, 1e-9);
    expect(inverted.thinnest!.mm).closeTo(5, 1e-9);
  });

  it('that is hollow has its thinnest wall where the hollow comes nearest to a face', () => {
    const hollow = measure([...BOX, ...boxMesh([1.2, 2, 1.5], [18, 8, 4.3], true)]);
    expect(hollow.volumeCm3).closeTo(1 - (16.8 * 6 * 2.8) / 1000, 1e-9);
    expect(hollow.thinnest!.mm).closeTo(0.7, 1e-9);
    expect(hollow.thinnest!.at[2]).closeTo(hollow.thinnest!.at[2] > 4 ? 5 : 4.3, 1e-6);
  });

  it('of a ball comes near the ball, and its shell is as thick as between the balls', () => {
    const { volumeCm3, areaCm2, isClosed } = measure(ballMesh(10, 40));
    expect(isClosed).equal(true);
    expect(volumeCm3).within(0.99 * ((4 / 3) * Math.PI), (4 / 3) * Math.PI);
    expect(areaCm2).within(0.99 * 4 * Math.PI, 4 * Math.PI);
    const shell = measure([...ballMesh(10, 40), ...ballMesh(9, 40, true)]);
    expect(shell.thinnest!.mm).within(0.96, 1.04);
  });

  it('is written and read as it was; scaled to what was measured, with what the resin loses', () => {
    expect([...readStl(writeStl(Float64Array.from(BOX)))]).deep.equal(BOX);
    expect([...readStl(new TextEncoder().encode(writeStlText(BOX)))]).deep.equal(BOX);
    const scale = computeScale(21, 20, 0.006);
    // Once cured it is 0.6 percent shorter.
    expect(20 * scale * 0.994).closeTo(21, 1e-12);
    expect(measureMesh(scaleMesh(Float64Array.from(BOX), [scale, 1, 2])).size).deep.equal([20 * scale, 10, 10]);
  });

  it('is drawn from three sides, to scale, by the edges of what is seen', () => {
    const views = drawMesh(Float64Array.from(BOX));
    expect(views.map(({ name, width, height }) => [name, width, height])).deep.equal([
      ['from the front', 20, 5],
      ['from the side', 10, 5],
      ['from above', 20, 10],
    ]);
    // The rim of a rectangle; the diagonal of a flat face is no line.
    for (const { d } of views) expect(d.match(/M/g)).length(4);
    expect(views[0]!.d).include('M0 0L20 0').and.include('M0 5L20 5');
  });
});

describe('an STL file from anywhere', () => {
  const GOOD = writeStl(Float64Array.from(ballMesh(5, 6)));
  const codeOf = (bytes: Uint8Array) => {
    try {
      readStl(bytes);
      return null;
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      return error.code;
    }
  };

  it('that is cut off says so, with how much is there', () => {
    expect(() => readStl(GOOD.subarray(0, 84 + 50 * 7 + 20))).throw(/cut off: it says 120 triangles, and 7 are there/);
    const text = new TextEncoder().encode(writeStlText(BOX));
    expect(codeOf(text.subarray(0, text.length - 300))).equal('stl-cut-off');
  });

  it('with a count that nothing bears out, a corner that is no number, or too large, is refused', () => {
    const lying = GOOD.slice();
    new DataView(lying.buffer).setUint32(80, 0xffffffff, true);
    expect(codeOf(lying)).equal('no-stl');
    const broken = GOOD.slice();
    new DataView(broken.buffer).setFloat32(84 + 50 * 3 + 12, NaN, true);
    expect(() => readStl(broken)).throw(/Triangle 4 has a corner that is no number/);
    expect(codeOf(new Uint8Array(200 * 2 ** 20))).equal('stl-too-large');
  });

  it('with something behind its triangles is read', () => {
    const longer = new Uint8Array(GOOD.length + 30);
    longer.set(GOOD);
    expect(readStl(longer).length).equal(9 * 120);
  });

  it('that was damaged at random is read or refused in words, and what is read can be measured and drawn', () => {
    const random = createSeededRandom(7);
    for (let i = 0; i < 400; i++) {
      const bytes = i % 2 ? GOOD.slice() : new TextEncoder().encode(writeStlText(BOX));
      for (let k = 0; k < 1 + 6 * random(); k++)
        bytes[Math.floor(bytes.length * random())] = Math.floor(256 * random());
      const some = random() < 0.3 ? bytes.subarray(0, Math.floor(bytes.length * random())) : bytes;
      if (codeOf(some) !== null) continue;
      const triangles = readStl(some);
      const { areaCm2, size } = measureMesh(triangles);
      expect(Number.isFinite(areaCm2) || areaCm2 === Infinity).equal(true);
      expect(size.every((mm) => mm >= 0)).equal(true);
      expect(drawMesh(triangles)).length(3);
    }
  });
});
