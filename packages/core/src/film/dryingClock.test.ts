import { expect } from 'chai';
import fc from 'fast-check';
import { createDryingClock, type DryingLaw, type DryingSide, type RoomReading } from './dryingClock.ts';

const HOUR = 3_600_000;
const ENAMEL: DryingLaw = { refC: 20, minC: 12, isWaterBorne: false };
const ACRYLIC: DryingLaw = { refC: 20, minC: 12, isWaterBorne: true };

const room = (...temperatures: readonly (readonly [hour: number, tempC: number, humidity?: number])[]): RoomReading[] =>
  temperatures.map(([hour, tempC, humidity = null]) => ({ at: hour * HOUR, tempC, humidity }));

/** Ten seconds by ten seconds, from the words of the rule. */
function addUp(readings: readonly RoomReading[], from: number, to: number, law: DryingLaw, side: DryingSide): number {
  const step = 10_000;
  let sum = 0;
  for (let at = from + step / 2; at < to; at += step) {
    const after = readings.find((one) => one.at > at);
    const before = readings.findLast((one) => one.at <= at);
    const share = before && after ? (at - before.at) / (after.at - before.at) : 0;
    const tempC = before && after ? before.tempC + share * (after.tempC - before.tempC) : (before ?? after)!.tempC;
    const cold = Math.max(10, law.minC);
    let rate = 2 ** ((Math.max(cold, tempC) - law.refC) / 10);
    if (side === 'least') {
      rate = Math.min(rate, 2 ** ((30 - law.refC) / 10));
      if (tempC < cold) rate = 0;
    }
    sum += (rate * step) / 60_000;
  }
  return sum;
}

describe('the drying clock', () => {
  it('goes with the sheet at its temperature, twice as fast ten degrees warmer, half as fast ten colder', () => {
    for (const [tempC, factor] of [
      [20, 1],
      [30, 2],
      [15, Math.SQRT1_2],
    ] as const) {
      const clock = createDryingClock(room([0, tempC]), ENAMEL, 'least');
      expect(clock.dried(HOUR, 3 * HOUR)).closeTo(120 * factor, 1e-9);
      expect(clock.until(0, 90)).closeTo((90 / factor) * 60_000, 1e-3);
    }
  });

  it('is the integral by hand: an evening that cools evenly from 20 to 15 in two hours', () => {
    const clock = createDryingClock(room([0, 20], [2, 15]), ENAMEL, 'least');
    // 120 minutes times (1 - 2^-0.5) / (0.5 ln 2).
    expect(clock.dried(0, 2 * HOUR)).closeTo((120 * (1 - Math.SQRT1_2)) / (0.5 * Math.LN2), 1e-9);
  });

  it('counts nothing below what the paint bears when something may begin, and no warmth beyond thirty degrees', () => {
    const cold = createDryingClock(room([0, 20], [1, 8], [9, 8], [10, 20]), ENAMEL, 'least');
    expect(cold.dried(2 * HOUR, 8 * HOUR)).equal(0);
    expect(createDryingClock(room([0, 8]), ENAMEL, 'least').until(0, 1)).equal(null);
    const hot = (side: DryingSide) => createDryingClock(room([0, 40]), ENAMEL, side).dried(0, HOUR);
    expect(hot('least')).closeTo(120, 1e-9);
    expect(hot('most')).closeTo(240, 1e-9);
  });

  it('lets a window shut while it is cold: what may have dried is not what has', () => {
    const clock = createDryingClock(room([0, 8]), ENAMEL, 'most');
    expect(clock.dried(0, HOUR)).closeTo(60 * 2 ** -0.8, 1e-9);
  });

  it('slows what is water-borne in damp air, and never goes by dry air when something may begin', () => {
    const dried = (humidity: number, law: DryingLaw, side: DryingSide) =>
      createDryingClock(room([0, 20, humidity]), law, side).dried(0, HOUR);
    expect(dried(75, ACRYLIC, 'least')).closeTo(30, 1e-9);
    expect(dried(75, ENAMEL, 'least')).closeTo(60, 1e-9);
    expect(dried(20, ACRYLIC, 'least')).closeTo(60, 1e-9);
    expect(dried(20, ACRYLIC, 'most')).closeTo(96, 1e-9);
    expect(dried(100, ACRYLIC, 'least')).equal(0);
    // Nor does a window stay open for the damp.
    expect(dried(100, ACRYLIC, 'most')).closeTo(60, 1e-9);
  });

  it('is what minutes add up to, there and back, in any room (300 random ones)', () => {
    const side = fc.constantFrom<DryingSide>('least', 'most');
    const temperature = fc.double({ min: 2, max: 38, noNaN: true });
    const log = fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), temperature), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(
        log,
        side,
        fc.integer({ min: -3, max: 20 }),
        fc.integer({ min: 1, max: 14 }),
        (notes, which, from, hours) => {
          const unique = [...new Map(notes).entries()].sort(([a], [b]) => a - b);
          const readings = room(...unique);
          const clock = createDryingClock(readings, ENAMEL, which);
          const [begin, end] = [from * HOUR, (from + hours) * HOUR];
          const dried = clock.dried(begin, end);
          expect(dried).closeTo(addUp(readings, begin, end, ENAMEL, which), 0.3 + 0.001 * dried);
          const reached = clock.until(begin, dried);
          // In a cold stretch the moment is its beginning: it had all dried by then.
          if (dried > 1e-6) expect(clock.dried(begin, reached!)).closeTo(dried, 1e-6);
          if (dried > 1e-6) expect(reached!).most(end + 1);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('says nothing without a reading', () => {
    expect(() => createDryingClock([], ENAMEL, 'least')).throw(/Without a temperature/);
  });
});
