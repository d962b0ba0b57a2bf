import { expect } from 'chai';
import { computeLab } from '../colour/colorimetry.ts';
import { computeDe00 } from '../colour/difference.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { beginPour, EMPTY_SCALES, pourOn, showGrams } from './simulatedScales.ts';
import { CALIBRATION_HOLDS_MIN, readSpectrum } from './simulatedSpectrophotometer.ts';

const grey = new Float64Array(31).fill(0.2);

describe('the simulated spectrophotometer', () => {
  it('reads near the truth, never twice the same, and says how near', () => {
    const random = createSeededRandom(1);
    const readings = Array.from({ length: 200 }, () => readSpectrum(grey, 1, random)!);
    const truth = computeLab(grey);
    const off = readings.map((one) => computeDe00(truth, computeLab(one.spectrum))).sort((a, b) => a - b);
    expect(off[100]).within(0.05, 0.6);
    expect(readings[0]!.spectrum).not.deep.equal(readings[1]!.spectrum);
    const covered = readings.filter((one) => {
      const lab = computeLab(one.spectrum);
      return lab.every((value, i) => Math.abs(value - truth[i]!) <= 2 * one.sd[i]!);
    });
    expect(covered.length / 200).greaterThan(0.85);
  });

  it('drifts until it has seen its white tile again, and refuses when that is too long ago', () => {
    const mean = (minutes: number) => {
      const random = createSeededRandom(2);
      const all = Array.from({ length: 100 }, () => readSpectrum(grey, minutes, random)!.spectrum[15]!);
      return all.reduce((sum, one) => sum + one, 0) / 100;
    };
    expect(mean(29)).greaterThan(mean(0));
    expect(readSpectrum(grey, CALIBRATION_HOLDS_MIN + 0.1, createSeededRandom(3))).equal(null);
    expect(readSpectrum(grey, null, createSeededRandom(3))).equal(null);
  });
});

describe('the simulated scales', () => {
  it('fill up to what is wanted within a drop, and stop there', () => {
    const random = createSeededRandom(4);
    for (const aimG of [0.02, 0.11, 1.46]) {
      let state = { ...EMPTY_SCALES, aimG } as typeof EMPTY_SCALES;
      const shown: number[] = [];
      for (let tick = 0; tick < 200; tick++) {
        state = pourOn(state, 0.2, random);
        shown.push(state.grams);
      }
      expect(state.aimG).equal(null);
      expect(state.grams).closeTo(aimG, 0.013);
      expect(shown).deep.equal([...shown].sort((a, b) => a - b));
      expect(shown.filter((one) => one > 0 && one < state.grams).length).greaterThan(aimG > 0.1 ? 3 : 0);
    }
  });

  it('take a drop more whenever the hand is asked for less than one', () => {
    const random = createSeededRandom(7);
    const state = pourOn(beginPour({ grams: 0.02, aimG: null }, 0.005), 2, random);
    expect(state.aimG).equal(null);
    expect(state.grams).within(0.0305, 0.0335);
  });

  it('show hundredths and stand still while nobody pours', () => {
    expect(pourOn(EMPTY_SCALES, 60, createSeededRandom(5))).equal(EMPTY_SCALES);
    const shown = showGrams({ grams: 1.234, aimG: null }, createSeededRandom(6));
    expect(Math.round(shown * 100)).equal(123);
  });
});
