import { expect } from 'chai';
import fc from 'fast-check';
import { normalCdf, normalQuantile } from './normal.ts';

describe('the normal distribution', () => {
  it('has the shares of the tables', () => {
    const known: readonly (readonly [number, number])[] = [
      [0, 0.5],
      [1, 0.841344746068543],
      [-1.96, 0.024997895148220435],
      [2.5, 0.993790334674224],
      [-5, 2.866515718791939e-7],
      [-8, 6.22096057427178e-16],
    ];
    for (const [x, share] of known) expect(normalCdf(x) / share).closeTo(1, 1e-7);
    expect(normalCdf(-40)).equal(0);
    expect(normalCdf(40)).equal(1);
  });

  it('is the integral of its density (Simpson, 4,000 steps)', () => {
    for (const to of [0.3, 1.1, 2.7, 4]) {
      const step = to / 4000;
      const density = (x: number) => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
      let sum = density(0) + density(to);
      for (let i = 1; i < 4000; i++) sum += (i % 2 ? 4 : 2) * density(i * step);
      expect(normalCdf(to)).closeTo(0.5 + (sum * step) / 3, 1e-13);
    }
  });

  it('has the quantiles of the tables, and goes there and back', () => {
    expect(normalQuantile(0.5)).closeTo(0, 1e-12);
    expect(normalQuantile(0.9)).closeTo(1.2815515655446004, 1e-10);
    expect(normalQuantile(0.05)).closeTo(-1.6448536269514722, 1e-10);
    fc.assert(
      fc.property(fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }), (share) => {
        expect(normalCdf(normalQuantile(share))).closeTo(share, 1e-11);
      }),
    );
    expect(() => normalQuantile(0)).throw(RangeError);
    expect(() => normalQuantile(1)).throw(RangeError);
  });
});
