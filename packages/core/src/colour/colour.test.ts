import { expect } from 'chai';
import { CIEDE2000_PAIRS } from '../../test/support/ciede2000Pairs.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { BANDS } from './cieTables.ts';
import { computeLab, computeXyz, convertLabToXyz, convertXyzToLab, WEIGHTS } from './colorimetry.ts';
import { computeDe00, splitDe00 } from './difference.ts';
import {
  addSurface,
  computeFilm,
  computeInfinite,
  computeQ,
  predictMix,
  predictOver,
  removeSurface,
  USUAL_SURFACE,
} from './kubelkaMunk.ts';
import { reconstructFromLab } from './smoothReflectance.ts';

const flat = (value: number) => new Float64Array(BANDS).fill(value);

describe('colorimetry', () => {
  it('has the whites of 400 to 700 nm', () => {
    const close = (illuminant: 'D65' | 'A', white: readonly number[]) =>
      WEIGHTS[illuminant].white.forEach((one, i) => expect(one, illuminant).closeTo(white[i]!, 5e-4));
    close('D65', [94.94, 100, 108.709]);
    close('A', [109.691, 100, 35.546]);
  });

  it('makes every grey neutral under both illuminants', () => {
    for (const value of [0.02, 0.2, 0.5, 1])
      for (const illuminant of ['D65', 'A'] as const) {
        const [, a, b] = computeLab(flat(value), illuminant);
        expect(Math.hypot(a, b)).lessThan(1e-9);
      }
    expect(computeLab(flat(1))[0]).closeTo(100, 1e-9);
  });

  it('goes to Lab and back', () => {
    for (const lab of [
      [50, 20, -30],
      [8, 1, 2],
      [96, -5, 12],
    ] as const)
      convertXyzToLab(convertLabToXyz(lab)).forEach((one, i) => expect(one).closeTo(lab[i]!, 1e-9));
  });

  it('takes 31 bands and nothing else', () => expect(() => computeXyz([0.5])).throw(RangeError));
});

describe('CIEDE2000', () => {
  it(`agrees with the ${CIEDE2000_PAIRS.length} published pairs, both ways round`, () => {
    expect(CIEDE2000_PAIRS).length(34);
    for (const [from, to, de] of CIEDE2000_PAIRS) {
      expect(computeDe00(from, to), `${String(from)}, ${String(to)}`).closeTo(de, 1e-4);
      expect(computeDe00(to, from)).closeTo(de, 1e-4);
    }
  });

  it('is the length of its three parts, and nothing between equals', () => {
    for (const [from, to, de] of CIEDE2000_PAIRS) expect(Math.hypot(...splitDe00(from, to))).closeTo(de, 1e-4);
    expect(computeDe00([40, 10, -20], [40, 10, -20])).equal(0);
  });
});

describe('Kubelka and Munk', () => {
  it('goes through the surface and back', () => {
    for (const r of [0.001, 0.1, 0.5, 0.95]) {
      expect(removeSurface(addSurface(r))).closeTo(r, 1e-12);
      const dull = { ...USUAL_SURFACE, hasGloss: false };
      expect(removeSurface(addSurface(r, dull), dull)).closeTo(r, 1e-12);
    }
    // By hand: 0.04 + 0.96 * 0.4 * 0.5 / (1 - 0.3) = 0.3142857...
    expect(addSurface(0.5)).closeTo(0.04 + 0.192 / 0.7, 1e-12);
  });

  it('knows an infinite film by its K/S, also where that is tiny or huge', () => {
    for (const q of [1e-9, 0.01, 1, 50, 1e6]) expect(computeQ(computeInfinite(q)) / q).closeTo(1, 1e-6);
    expect(computeInfinite(0)).equal(1);
    // K = S: 2 - sqrt(3).
    expect(computeInfinite(1)).closeTo(2 - Math.sqrt(3), 1e-12);
  });

  it('hides its ground when the film is thick, and is its ground when there is none', () => {
    for (const [k, s] of [
      [0.3, 1],
      [5, 2],
      [0.01, 4],
    ] as const) {
      expect(computeFilm(k, s, 1e4, 0.1)).closeTo(computeInfinite(k / s), 1e-9);
      expect(computeFilm(k, s, 0, 0.37)).equal(0.37);
      // Thicker comes nearer to hiding, step by step.
      const off = [0.1, 0.5, 1, 3].map((x) => Math.abs(computeFilm(k, s, x, 0.02) - computeInfinite(k / s)));
      off.slice(1).forEach((one, i) => expect(one).lessThan(off[i]!));
    }
  });

  it('stays smooth where K or S is nothing', () => {
    expect(computeFilm(0, 2, 1, 0.2)).closeTo(computeFilm(1e-12, 2, 1, 0.2), 1e-6);
    expect(computeFilm(1, 0, 1, 0.5)).closeTo(0.5 * Math.exp(-2), 1e-12);
    expect(computeFilm(1, 1e-9, 1, 0.5)).closeTo(0.5 * Math.exp(-2), 1e-6);
  });

  it('tints white darker the more of a dark paint goes in, and a mix of one paint is that paint', () => {
    const white = { k: flat(0.005), s: flat(1) };
    const blue = { k: Float64Array.from({ length: BANDS }, (_, i) => 0.1 + i / 10), s: flat(0.4) };
    const lightness = [0, 0.02, 0.1, 0.4, 1].map(
      (share) => computeLab(predictMix([white, blue], [1 - share, share]))[0],
    );
    lightness.slice(1).forEach((one, i) => expect(one).lessThan(lightness[i]!));
    predictMix([blue], [0.3]).forEach((one, i) => expect(one).closeTo(predictMix([blue], [7])[i]!, 1e-12));
    expect([...predictOver(blue, 1e4, flat(0.9))].map((one) => one.toFixed(9))).deep.equal(
      [...predictMix([blue], [1])].map((one) => one.toFixed(9)),
    );
  });
});

describe('reflectance from a colour alone', () => {
  it('has that colour, within 0 and 1, and is smooth (200 random colours of paints)', () => {
    const random = createSeededRandom(5);
    for (let i = 0; i < 200; i++) {
      const lab = [20 + random() * 60, (random() - 0.5) * 50, (random() - 0.5) * 50] as const;
      const spectrum = reconstructFromLab(lab);
      expect(computeDe00(computeLab(spectrum), lab), String(lab)).lessThan(1e-3);
      for (const r of spectrum) expect(r).within(0, 1);
    }
  });

  it('is flat for a grey', () => {
    const spectrum = reconstructFromLab([50, 0, 0]);
    expect(Math.max(...spectrum) - Math.min(...spectrum)).lessThan(1e-6);
  });

  it('says so when no paint can have the colour', () =>
    expect(() => reconstructFromLab([95, 0, 140])).throw('No paint can have this colour'));
});
