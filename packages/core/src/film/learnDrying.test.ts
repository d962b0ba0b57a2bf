import { expect } from 'chai';
import { drawNormal } from '../numeric/drawNormal.ts';
import { normalCdf } from '../numeric/normal.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import {
  COAT_SD,
  computeReadyChance,
  computeReadyTime,
  learnDrying,
  SHEET_SD,
  type TouchedCoat,
} from './learnDrying.ts';

describe('learning how long a coat takes', () => {
  it('says what the sheet says before anything was touched, with both spreads', () => {
    const sheet = learnDrying(60, []);
    const spread = Math.hypot(SHEET_SD, COAT_SD);
    expect(computeReadyTime(sheet, 0.5)).closeTo(60, 0.01);
    expect(computeReadyTime(sheet, 0.95)).closeTo(60 * Math.exp(1.6448536 * spread), 0.05);
    expect(computeReadyChance(sheet, 80)).closeTo(normalCdf(Math.log(80 / 60) / spread), 1e-5);
    expect(computeReadyChance(sheet, 0)).equal(0);
  });

  it('is the normal rule by hand where touches are so close that the time is known', () => {
    // Four coats of exactly 90: the middle of ln moves by the weights of both variances.
    const coats = Array.from({ length: 4 }, () => ({ notYetMin: 89.99, readyMin: 90.01 }));
    const learned = learnDrying(60, coats);
    const [sheet, own] = [1 / SHEET_SD ** 2, 4 / COAT_SD ** 2];
    const middle = (sheet * Math.log(60) + own * Math.log(90)) / (sheet + own);
    expect(Math.log(computeReadyTime(learned, 0.5))).closeTo(middle, 1e-3);
    const sd = Math.sqrt(1 / (sheet + own) + COAT_SD ** 2);
    expect(Math.log(computeReadyTime(learned, 0.95))).closeTo(middle + 1.6448536 * sd, 2e-3);
  });

  it('is later after "still tacky", earlier after "dry already", and surer after more coats', () => {
    const sheet = computeReadyTime(learnDrying(60, []), 0.5);
    expect(computeReadyTime(learnDrying(60, [{ notYetMin: 80, readyMin: null }]), 0.5)).greaterThan(sheet);
    expect(computeReadyTime(learnDrying(60, [{ notYetMin: 0, readyMin: 40 }]), 0.5)).lessThan(sheet);
    const widthOf = (coats: readonly TouchedCoat[]) => {
      const learned = learnDrying(60, coats);
      return computeReadyTime(learned, 0.95) / computeReadyTime(learned, 0.5);
    };
    const touched = { notYetMin: 55, readyMin: 65 };
    expect(widthOf([touched, touched, touched])).lessThan(widthOf([touched]));
    expect(widthOf([touched])).lessThan(widthOf([]));
  });

  it('counts touches that contradict each other, or that nothing explains, as none', () => {
    expect(learnDrying(60, [{ notYetMin: 50, readyMin: 50 }]).coats).equal(0);
    expect(computeReadyTime(learnDrying(60, [{ notYetMin: 1e9, readyMin: 1e9 + 1 }]), 0.5)).closeTo(60, 0.01);
  });

  it('covers the time of the next coat as it says, in worlds drawn otherwise (400 products; all: npm run bench)', () => {
    const random = createSeededRandom(5);
    let covered = 0;
    for (let i = 0; i < 400; i++) {
      const middle = 120 * Math.exp(SHEET_SD * drawNormal(random));
      const time = () => middle * Math.exp(COAT_SD * drawNormal(random));
      const coats = [time(), time(), time()].map((took) => {
        const touches = Array.from({ length: 4 }, () => 240 * random());
        return {
          notYetMin: Math.max(0, ...touches.filter((at) => at < took)),
          readyMin: touches.some((at) => at >= took) ? Math.min(...touches.filter((at) => at >= took)) : null,
        };
      });
      if (time() <= computeReadyTime(learnDrying(120, coats), 0.9)) covered++;
    }
    expect(covered / 400).within(0.86, 0.94);
  });
});
