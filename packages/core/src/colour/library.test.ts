import { expect } from 'chai';
import { createSimulatedShelf } from '../../test/support/simulatedShelf.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { BANDS } from './cieTables.ts';
import { fitPaint } from './fitPaint.ts';
import { computeCoatsToHide, computeContrastRatio } from './hiding.ts';
import { predictMix } from './kubelkaMunk.ts';

const shelf = createSimulatedShelf(8, 20);
const [white, black, ...others] = shelf.paints;
const SHARES = [1, 0.5, 0.2, 0.08];

describe('a paint library from drawdowns', () => {
  const drawdowns = (paint: (typeof shelf.paints)[number], noise: number, seed = 1) => {
    const random = createSeededRandom(seed);
    return SHARES.map((share) => ({
      share,
      measured: predictMix([paint, white!], [share, 1 - share]).map((r) => r + noise * (random() - 0.5)),
    }));
  };

  it('gives K and S back where nothing is measured wrong', () => {
    for (const paint of others) {
      const fitted = fitPaint(drawdowns(paint, 0), white!);
      for (let i = 0; i < BANDS; i++) {
        expect(fitted.k[i]! / paint.k[i]!).closeTo(1, 1e-3);
        expect(fitted.s[i]! / paint.s[i]!).closeTo(1, 1e-3);
      }
      expect(fitted.residual).lessThan(1e-6);
    }
  });

  it('stays near with noise: half of all bands within 3 %, nine in ten within 15 %', () => {
    const errors = others.flatMap((paint, p) => {
      const fitted = fitPaint(drawdowns(paint, 0.004, p + 1), white!);
      return Array.from(fitted.s, (one, i) => Math.abs(one / paint.s[i]! - 1));
    });
    const sorted = errors.sort((a, b) => a - b);
    expect(sorted[Math.floor(sorted.length / 2)]).lessThan(0.03);
    expect(sorted[Math.floor(sorted.length * 0.9)]).lessThan(0.15);
  });

  it('needs a tint: the masstone alone says only K/S', () => {
    expect(() => fitPaint([{ share: 1, measured: predictMix([black!], [1]) }], white!)).throw('At least one tint');
    const twice = { share: 1, measured: predictMix([black!], [1]) };
    expect(() => fitPaint([twice, twice], white!)).throw('At least one tint');
  });
});

describe('hiding', () => {
  const absolute = (factor: number) => ({
    k: Float64Array.from(others[0]!.k, (one) => one * factor),
    s: Float64Array.from(others[0]!.s, (one) => one * factor),
  });
  const ground = (value: number) => new Float64Array(BANDS).fill(value);

  it('takes fewer coats the stronger the paint, and over its own colour one', () => {
    const coats = [20, 60, 200, 1000].map(
      (factor) => computeCoatsToHide(absolute(factor), 20, ground(0.1)).coats ?? 99,
    );
    coats.slice(1).forEach((one, i) => expect(one).at.most(coats[i]!));
    const own = predictMix([absolute(1)], [1]);
    expect(computeCoatsToHide(absolute(20), 20, own).coats).equal(1);
  });

  it('is hidden from 1 dE00 on, and not before', () => {
    const lasts: number[] = [];
    for (let factor = 4; factor < 60; factor += 1) {
      const { coats, deByCoat } = computeCoatsToHide(absolute(factor), 20, ground(0.6));
      if (coats === null) continue;
      expect(deByCoat[coats - 1]).at.most(1);
      for (const one of deByCoat.slice(0, coats - 1)) expect(one).greaterThan(1);
      lasts.push(...deByCoat.slice(0, -1));
    }
    // Some coat was only a little short of it, else nothing was tried.
    expect(Math.min(...lasts)).lessThan(1.2);
  });

  it('comes nearer with every coat, and says when twelve are not enough', () => {
    const { coats, deByCoat } = computeCoatsToHide(absolute(0.5), 10, ground(0.9));
    expect(coats).equal(null);
    deByCoat.slice(1).forEach((one, i) => expect(one).lessThan(deByCoat[i]! + 1e-9));
  });

  it('has a contrast ratio of 1 when it hides and of next to nothing when it is not there', () => {
    expect(computeContrastRatio(absolute(2000), 50)).deep.include({ isHiding: true });
    expect(computeContrastRatio(absolute(0.01), 1).ratio).lessThan(0.1);
  });
});
