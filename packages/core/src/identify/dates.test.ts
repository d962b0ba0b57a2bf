import { expect } from 'chai';
import fc from 'fast-check';
import { look, makeFeature } from '../../test/support/identifyWorld.ts';
import { computeDateSpan, hullOf, type YearInterval } from './computeDateSpan.ts';
import { computeYearChances } from './computeYearChances.ts';
import { computeHardBounds } from './computeHardBounds.ts';
import { DEFAULT_SETTINGS } from './catalogue.ts';
import { computeDateWeights, selectDatedAnswers } from './computeDateWeights.ts';
import { DEFAULT_HISTORIES } from './histories.ts';
import { computeSpanDensity, createQuarterAxis } from './quarters.ts';

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

describe('computeYearChances', () => {
  it('adds the quarters of each year and leaves out years that cannot be', () => {
    const density = Float64Array.from([0.1, 0.2, 0, 0, 0, 0, 0, 0, 0, 0, 0.5, 0.2]);
    const years = computeYearChances({ axis: { firstYear: 1958, count: 12 }, dateDensity: density });
    expect(years.map(({ year }) => year)).deep.equal([1958, 1960]);
    expect(years[0]!.chance).closeTo(0.3, 1e-12);
    expect(years[1]!.chance).closeTo(0.7, 1e-12);
  });

  it('has none where nothing is known', () =>
    expect(computeYearChances({ axis: { firstYear: 1950, count: 4 }, dateDensity: new Float64Array(4) })).deep.equal(
      [],
    ));
});

describe('computeDateSpan', () => {
  const axis = { firstYear: 1960, count: 8 };

  it('takes the most probable quarters first, and of the last one only what is needed', () => {
    const density = Float64Array.from([0, 0.1, 0.5, 0.2, 0.1, 0.1, 0, 0]);
    const { region50, region90 } = computeDateSpan(axis, density);
    expect(region50).deep.equal([{ fromYear: 1960.5, toYear: 1960.75 }]);
    expect(region90).deep.equal([{ fromYear: 1960.25, toYear: 1961.25 }]);
    const uneven = computeDateSpan(axis, Float64Array.from([0, 0.2, 0.6, 0.2, 0, 0, 0, 0]));
    expect(uneven.region90[0]!.fromYear).closeTo(1960.25, 1e-9);
    expect(uneven.region90[0]!.toYear).closeTo(1960.75 + 0.125, 1e-9);
  });

  it('keeps a gap in the dates as a gap', () => {
    const { region90 } = computeDateSpan(axis, Float64Array.from([0.45, 0, 0, 0, 0, 0, 0.55, 0]));
    expect(region90).length(2);
    expect(hullOf(region90).fromYear).equal(region90[0]!.fromYear);
    expect(hullOf(region90).toYear).equal(region90[1]!.toYear);
  });

  it('holds exactly the mass it says, level within a quarter (property)', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }), (raw) => {
        const total = raw.reduce((a, b) => a + b, 0);
        fc.pre(total > 1e-6);
        const density = Float64Array.from(raw, (value) => value / total);
        const { region50, region90 } = computeDateSpan(axis, density);
        expect(massOf(region50, density)).closeTo(0.5, 1e-9);
        expect(massOf(region90, density)).closeTo(0.9, 1e-9);
      }),
    );
  });

  function massOf(region: readonly YearInterval[], density: Float64Array): number {
    let mass = 0;
    for (const { fromYear, toYear } of region)
      density.forEach((p, q) => {
        const begin = axis.firstYear + q / 4;
        mass += p * 4 * Math.max(0, Math.min(toYear, begin + 0.25) - Math.max(fromYear, begin));
      });
    return mass;
  }
});

describe('hard bounds and range-wide dates', () => {
  const base = makeFeature({
    key: 'base',
    states: ['old', 'new'],
    group: 'body casting',
    years: { old: [null, 1961], new: [1959, null] },
  });
  const wheels = makeFeature({
    key: 'wheels',
    states: ['metal', 'black'],
    group: 'wheels',
    years: { metal: [null, 1961], black: [1965, null] },
  });
  const dated = (...answers: ReturnType<typeof look>[]) =>
    selectDatedAnswers(answers, [base, wheels], DEFAULT_SETTINGS);

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

  it('is a wall for what cannot be exchanged and evidence for the rest, by history', () => {
    const axis = { firstYear: 1958, count: 40 };
    const weigh = (...answers: ReturnType<typeof look>[]) =>
      computeDateWeights({ histories: DEFAULT_HISTORIES, axis }, dated(...answers), [], DEFAULT_SETTINGS)!;
    const hard = weigh(look('base', 'old'));
    const soft = weigh(look('wheels', 'black'));
    const unsure = weigh(look('base', 'old', 'unsure'));
    expect(hard[0]).equal(1);
    expect(hard[39]).equal(0);
    expect(unsure[39]).closeTo(0.4, 1e-12);
    expect(soft[39]).equal(1);
    // Untouched: only a misreading; wheels changed: altered or misread.
    expect(soft[0]).closeTo(0.02, 1e-12);
    expect(soft[40]).closeTo(1 - 0.2 * 0.98, 1e-12);
  });

  it('says nothing when nothing speaks of the date', () => {
    const axis = { firstYear: 1958, count: 40 };
    expect(computeDateWeights({ histories: DEFAULT_HISTORIES, axis }, [], [], DEFAULT_SETTINGS)).equal(null);
  });
});
