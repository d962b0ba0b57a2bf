import { expect } from 'chai';
import { drawNormal } from '../numeric/drawNormal.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { computeBoxArea, computeMeshArea, computeWeighedArea, takeOneFace, takeOverArea } from './computeArea.ts';
import { computePowder, computeVolume } from './computeVolume.ts';
import { addEstimates, computeUpper, multiplyEstimates } from './estimate.ts';

const sure = (value: number) => ({ value, relativeSd: 0 });

describe('the area of a part', () => {
  it('by hand: 33 g of zinc alloy with a wall of 1.5 mm', () => {
    // 5 cm3 of metal, two faces: 2 * 5 / 0.15.
    const area = computeWeighedArea({ massG: 33, massSdG: 0.1, densityGPerCm3: 6.6, wallsMm: [1.4, 1.5, 1.6] });
    expect(area.value).closeTo(66.667, 1e-3);
    // Readings 0.1 apart: 0.1 / sqrt 3 / 1.5 = 0.0385, less than half the usual; so 0.15 / 2 / sqrt 3 = 0.0433.
    expect(area.relativeSd).closeTo(Math.hypot(0.1 / 33, 0.015, 0.0433, 0.08), 1e-4);
    expect(area.way).equal('weighed');
  });

  it('is surer with more places of the wall, and less sure where they differ', () => {
    const sdOf = (...wallsMm: number[]) =>
      computeWeighedArea({ massG: 33, massSdG: 0.1, densityGPerCm3: 6.6, wallsMm }).relativeSd;
    expect(sdOf(1.5, 1.5, 1.5, 1.5)).lessThan(sdOf(1.5, 1.5));
    expect(sdOf(1.5, 1.5)).lessThan(sdOf(1.5));
    expect(sdOf(1, 2)).greaterThan(sdOf(1.4, 1.6));
    expect(() => sdOf()).throw(/above 0/);
    expect(() => sdOf(0)).throw(/above 0/);
  });

  it('of one face is half, and on another of the casting as large but a little less sure', () => {
    const both = { way: 'weighed' as const, value: 66, relativeSd: 0.04 };
    expect(takeOneFace(both)).deep.equal({ way: 'weighed', value: 33, relativeSd: 0.04 });
    expect(takeOverArea(both)).deep.equal({ way: 'same casting', value: 66, relativeSd: 0.05 });
  });

  it('by hand: a box of 60, 25 and 20 mm, and a mesh of a cube of 10 mm', () => {
    expect(computeBoxArea({ lengthMm: 60, widthMm: 25, heightMm: 20 }, 'shell').value).closeTo(64 * 1.5, 1e-9);
    const [o, x, y, z] = [
      [0, 0, 0],
      [10, 0, 0],
      [0, 10, 0],
      [0, 0, 10],
    ] as const;
    const corner = [...o, ...x, ...y, ...o, ...x, ...z, ...o, ...y, ...z];
    // Three right triangles of 50 mm2.
    expect(computeMeshArea(corner).value).closeTo(1.5, 1e-12);
    expect(computeMeshArea([]).value).equal(0);
  });
});

describe('estimates', () => {
  it('multiply, divide and add as draws do (200,000 of each)', () => {
    const random = createSeededRandom(3);
    const lognormal = (value: number, relativeSd: number) => {
      const variance = Math.log(1 + relativeSd ** 2);
      return () => value * Math.exp(Math.sqrt(variance) * drawNormal(random) - variance / 2);
    };
    const [a, b, c] = [lognormal(3, 0.2), lognormal(5, 0.1), lognormal(0.4, 0.3)];
    const draws = Array.from({ length: 200_000 }, () => (a() * b()) / c() + lognormal(6, 0.5)());
    const mean = draws.reduce((sum, one) => sum + one, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((sum, one) => sum + (one - mean) ** 2, 0) / draws.length);
    const product = multiplyEstimates(
      [
        { value: 3, relativeSd: 0.2 },
        { value: 5, relativeSd: 0.1 },
      ],
      [{ value: 0.4, relativeSd: 0.3 }],
    );
    const sum = addEstimates([product, { value: 6, relativeSd: 0.5 }]);
    expect(sum.value / mean).closeTo(1, 0.01);
    expect((sum.value * sum.relativeSd) / sd).closeTo(1, 0.02);
    const below = draws.filter((one) => one <= computeUpper(sum, 0.9)).length / draws.length;
    expect(below).closeTo(0.9, 0.005);
  });

  it('are nothing for sure where nothing is added', () => {
    expect(addEstimates([])).deep.equal(sure(0));
    expect(computeUpper(sure(4), 0.9)).equal(4);
  });
});

describe('paint to pour', () => {
  it('by hand: three coats of 20 µm on 60 cm2, a third of solids, half of it lands, thinned one to one', () => {
    const { ml } = computeVolume({
      ...{ area: sure(60), way: 'airbrush', filmUm: 20, coats: 3, solids: sure(1 / 3), thinner: 1, fillings: 2 },
    });
    // 0.36 ml dry, over 1/3 of solids 1.08; transfer 0.5 with a spread of a quarter: times 2 * (1 + 1/16); half of two losses of 0.5.
    expect(ml).closeTo(1.08 * 2 * 1.0625 + 0.5, 1e-9);
  });

  it('is more by can than by airbrush, least by brush, and never less for a surer hand', () => {
    const by = (way: 'airbrush' | 'can' | 'brush') =>
      computeVolume({
        ...{ area: sure(60), way, filmUm: 20, coats: 2, solids: sure(0.4), thinner: 0, fillings: 1 },
      });
    expect(by('can').ml).greaterThan(by('airbrush').ml);
    expect(by('airbrush').ml).greaterThan(by('brush').ml);
    for (const way of ['airbrush', 'can', 'brush'] as const) expect(by(way).upper90).greaterThan(by(way).ml);
  });

  it('by hand: powder of 65 µm on 40 cm2', () => {
    // 0.26 ml at 1.5 g/ml over 0.45 with a spread of a quarter.
    expect(computePowder(sure(40), 65, 1.5).ml).closeTo((0.26 * 1.5 * 1.0625) / 0.45, 1e-9);
  });
});
