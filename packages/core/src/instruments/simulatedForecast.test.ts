import { expect } from 'chai';
import { readForecast } from './simulatedForecast.ts';

describe('readForecast', () => {
  it('says the same sky from another day, only more surely', () => {
    const today = readForecast('2026-11-25', 7);
    const later = readForecast('2026-11-28', 7);
    expect(today.map(({ on }) => on).slice(3)).deep.equal(later.map(({ on }) => on).slice(0, 4));
    for (const [i, { rainPercent }] of today.slice(3).entries()) {
      const sure = later[i]!.rainPercent;
      expect(Math.sign(sure - 43), today[i + 3]!.on).equal(Math.sign(rainPercent - 43));
      expect(Math.abs(sure - 43)).least(Math.abs(rainPercent - 43));
    }
    expect(readForecast('2026-11-25', 7)).deep.equal(today);
  });

  it('has wet days in spells, about two in five, over the end of a year as well', () => {
    const wet = Array.from({ length: 800 }, (_, i) => {
      const on = new Date(Date.UTC(2026, 10, 25 + i)).toISOString().slice(0, 10);
      const [day] = readForecast(on, 1);
      expect(day!.on).equal(on);
      return day!.rainPercent > 50;
    });
    const share = wet.filter(Boolean).length / wet.length;
    expect(share).within(0.36, 0.5);
    const after = wet.filter((_, i) => i > 0 && wet[i - 1]);
    expect(after.filter(Boolean).length / after.length, 'after a wet one').greaterThan(share + 0.08);
  });

  it('says nothing of no days', () => {
    expect(readForecast('2026-11-25', 0)).deep.equal([]);
  });
});
