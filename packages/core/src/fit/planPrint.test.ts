import { expect } from 'chai';
import { boxMesh } from '../../test/support/meshes.ts';
import { measureMesh } from '../mesh/measureMesh.ts';
import { scaleMesh } from '../mesh/scaleMesh.ts';
import { drawNormal } from '../numeric/drawNormal.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { learnShrink, listMeasured } from './learnShrink.ts';
import { planPrint } from './planPrint.ts';

const box = (...size: [x: number, y: number, z: number]) => Float64Array.from(boxMesh([0, 0, 0], size));
const NO_SHRINK = { share: 0, sd: 0, prints: 0 };
const RESIN = { share: 0.01, sd: 0.004, prints: 0 };

describe('how a printed part is scaled', () => {
  const size = measureMesh(box(20, 10, 4));

  it('so that what was measured comes out when it has cured, and the rest as much larger', () => {
    expect(size).deep.include({ isClosed: true, isInsideOut: false });
    const { scale, inFile, cured, troubles } = planPrint(size, [21, null, null], RESIN);
    // 21 mm are 99 % of what the file has.
    expect(inFile[0]).closeTo(21 / 0.99, 1e-9);
    expect(scale[1]).closeTo(scale[0], 1e-12);
    expect(cured[0].mm).closeTo(21, 1e-9);
    expect(cured[1].mm).closeTo(10.5, 1e-9);
    expect(cured[0].sd).closeTo((21 / 0.99) * 0.004, 1e-9);
    expect(troubles).deep.equal([]);
    const again = measureMesh(scaleMesh(box(20, 10, 4), scale)).size;
    again.forEach((mm, axis) => expect(mm).closeTo(inFile[axis]!, 1e-9));
  });

  it('by each axis that was measured; a part stretched out of its shape is told', () => {
    const { inFile, troubles } = planPrint(size, [20, 10.1, 4], NO_SHRINK);
    inFile.forEach((mm, axis) => expect(mm).closeTo([20, 10.1, 4][axis]!, 1e-9));
    expect(troubles).deep.equal([]);
    expect(planPrint(size, [20, 12, 4], NO_SHRINK).troubles).deep.equal(['stretched']);
    expect(planPrint(size, [null, null, null], RESIN)).deep.include({ troubles: ['nothing asked'] });
    expect(planPrint(size, [null, null, null], RESIN).inFile[0]).closeTo(20 / 0.99, 1e-9);
  });

  it('a wall too thin for resin, a mesh that is open or turned inside out are told', () => {
    const thin = planPrint(measureMesh(box(20, 10, 0.6)), [15, null, null], NO_SHRINK);
    expect(thin.thinnestMm).closeTo(0.45, 1e-6);
    expect(thin.troubles).deep.equal(['thin wall']);
    const open = measureMesh(box(20, 10, 4).slice(9));
    expect(planPrint(open, [20, null, null], NO_SHRINK)).deep.include({ thinnestMm: null, troubles: ['not closed'] });
    const turned = Float64Array.from(boxMesh([0, 0, 0], [20, 10, 4], true));
    expect(planPrint(measureMesh(turned), [20, null, null], NO_SHRINK).troubles).deep.equal(['inside out']);
  });
});

describe('what a resin loses', () => {
  it('is as usual until something was measured, and near what was measured afterwards', () => {
    expect(learnShrink([])).deep.equal({ share: 0.006, sd: 0.004, prints: 0 });
    const one = { inFileMm: 50, measuredMm: 49, sdMm: 0.02 };
    const { share, sd, prints } = learnShrink([one]);
    expect(prints).equal(1);
    expect(share).greaterThan(0.015).lessThan(0.02);
    expect(sd).lessThan(0.004);
    expect(learnShrink(Array.from({ length: 20 }, () => one)).share).closeTo(0.02, 5e-4);
    // A short length says little.
    expect(learnShrink([{ inFileMm: 2, measuredMm: 1.96, sdMm: 0.02 }]).share).closeTo(0.0077, 5e-4);
  });

  it('holds what it says: nine in ten true values in its interval', () => {
    const random = createSeededRandom(7);
    let inside = 0;
    const rounds = 4000;
    for (let i = 0; i < rounds; i++) {
      const truth = 0.006 + 0.004 * drawNormal(random);
      const prints = Array.from({ length: Math.floor(random() * 5) }, () => {
        const inFileMm = 5 + 60 * random();
        const own = truth + 0.002 * drawNormal(random);
        return { inFileMm, measuredMm: inFileMm * (1 - own) + 0.03 * drawNormal(random), sdMm: 0.03 };
      });
      const { share, sd } = learnShrink(prints);
      if (Math.abs(share - truth) <= 1.645 * sd) inside++;
    }
    expect(inside / rounds).closeTo(0.9, 0.015);
  });

  it('is of one resin, whatever its letters, by the axis that was measured', () => {
    const run = (resin: string, axis: 'x' | 'z' | null) => ({
      ...{ resin, inFile: [10, 20, 40] as const, measure: axis && { axis, mm: 9.9, sdMm: 0.02 } },
    });
    const runs = [run('Grey tough', 'x'), run(' grey TOUGH ', 'z'), run('Clear', 'x'), run('Grey tough', null)];
    expect(listMeasured(runs, 'grey tough').map(({ inFileMm }) => inFileMm)).deep.equal([10, 40]);
  });
});
