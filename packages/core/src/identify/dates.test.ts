import { expect } from 'chai';
import fc from 'fast-check';
import { look, makeFeature } from '../../test/support/identifyWorld.ts';
import { computeDateSpan } from './computeDateSpan.ts';
import { computeHardBounds } from './computeHardBounds.ts';
import { computeStateDateWeights, selectDatedAnswers } from './computeStateDates.ts';
import { computeSpanDensity, createQuarterAxis, quarterMiddle } from './quarters.ts';

const span = (from: number, to: number, fuzz = 0.5) => ({
  startEarliest: from,
  startLatest: from + fuzz,
  endEarliest: to - fuzz,
  endLatest: to,
});
const sum = (values: Float64Array) => values.reduce((a, b) => a + b, 0);

describe('quarters', () => {
  it('holds every span in whole years', () => {
    expect(createQuarterAxis([span(1958.25, 1961), span(1960, 1963.75)])).deep.equal({ firstYear: 1958, count: 24 });
    expect(createQuarterAxis([])).deep.equal({ firstYear: 1950, count: 4 });
  });

  it('spreads a span as a trapezoid: half as much on the slopes, nothing outside', () => {
    const axis = { firstYear: 1960, count: 16 };
    const density = computeSpanDensity(axis, {
      startEarliest: 1960,
      startLatest: 1961,
      endEarliest: 1962,
      endLatest: 1963,
    });
    expect(sum(density)).closeTo(1, 1e-12);
    expect(density[0]! / density[5]!).closeTo(0.125, 1e-12);
    expect(density[12]).equal(0);
    expect(density[4]).closeTo(density[7]!, 1e-12);
  });

  it('keeps the nearest quarter of a span that is shorter than one', () => {
    const density = computeSpanDensity(
      { firstYear: 1960, count: 8 },
      { startEarliest: 1961, startLatest: 1961, endEarliest: 1961.05, endLatest: 1961.05 },
    );
    expect(density[4]).equal(1);
    expect(sum(density)).equal(1);
  });

  it('always sums to one (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1920, max: 1990, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (from, length, share) => {
          const one = {
            startEarliest: from,
            startLatest: from + length * share,
            endEarliest: from + length * (1 - share),
            endLatest: from + length,
          };
          const axis = createQuarterAxis([one]);
          expect(sum(computeSpanDensity(axis, one))).closeTo(1, 1e-9);
        },
      ),
    );
  });
});

describe('computeDateSpan', () => {
  const axis = { firstYear: 1960, count: 8 };

  it('takes the most probable quarters first', () => {
    const density = Float64Array.from([0, 0.1, 0.5, 0.2, 0.1, 0.1, 0, 0]);
    const { interval50, interval90 } = computeDateSpan(axis, density);
    expect(interval50).deep.equal({ fromYear: 1960.5, toYear: 1960.75 });
    expect(interval90).deep.equal({ fromYear: 1960.25, toYear: 1961.25 });
  });

  it('keeps the 50 % interval inside the 90 % one, and its mass at least as asked (property)', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }), (raw) => {
        const total = raw.reduce((a, b) => a + b, 0);
        fc.pre(total > 1e-6);
        const density = Float64Array.from(raw, (value) => value / total);
        const { interval50, interval90 } = computeDateSpan(axis, density);
        expect(interval50.fromYear).least(interval90.fromYear);
        expect(interval50.toYear).most(interval90.toYear);
        let mass = 0;
        density.forEach((p, q) => {
          const year = quarterMiddle(axis, q);
          if (year > interval90.fromYear && year < interval90.toYear) mass += p;
        });
        expect(mass).least(0.9 - 1e-9);
      }),
    );
  });
});

describe('hard bounds and range-wide dates', () => {
  const base = makeFeature({
    key: 'base',
    states: ['old', 'new'],
    castIn: true,
    years: { old: [null, 1961], new: [1959, null] },
  });
  const wheels = makeFeature({
    key: 'wheels',
    states: ['metal', 'black'],
    alteredChance: 0.15,
    years: { metal: [null, 1961], black: [1965, null] },
  });
  const dated = (...answers: ReturnType<typeof look>[]) => selectDatedAnswers(answers, [base, wheels]);

  it('takes bounds from what is cast in only', () => {
    const bounds = computeHardBounds(dated(look('base', 'new'), look('wheels', 'black')));
    expect(bounds.notBefore).deep.include({ year: 1959, setBy: 'base: new' });
    expect(bounds.notAfter).equal(null);
  });

  it('names the pair that cannot share one date', () => {
    const { conflict } = computeHardBounds(dated(look('base', 'old'), look('wheels', 'black')));
    expect(conflict?.later.setBy).equal('wheels: black');
    expect(conflict?.earlier.setBy).equal('base: old');
    expect(computeHardBounds(dated(look('base', 'new'), look('wheels', 'black'))).conflict).equal(null);
  });

  it('leaves out what was not seen or is said to be replaced', () => {
    expect(dated(look('base', null, 'cannot see'), look('wheels', 'black', 'replaced'))).deep.equal([]);
  });

  it('is a wall for cast-in states and evidence for others', () => {
    const axis = { firstYear: 1958, count: 40 };
    const hard = computeStateDateWeights(dated(look('base', 'old')), axis);
    const soft = computeStateDateWeights(dated(look('wheels', 'black')), axis);
    expect(hard[39]).equal(0);
    expect(hard[0]).equal(1);
    expect(soft[0]).equal(0.15);
    expect(soft[39]).equal(1);
  });
});
