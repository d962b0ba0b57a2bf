import { expect } from 'chai';
import { drawNormal } from '../numeric/drawNormal.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { expectArrival } from './expectArrival.ts';
import { gatherOrders, type LackingLine } from './gatherOrders.ts';
import { computeOrderBy, learnDelay, predictDays, type PastOrder } from './learnDelay.ts';
import { learnQuality } from './learnQuality.ts';

const order = (orderedDay: number, promised: number, took: number | null): PastOrder => ({
  ...{ orderedDay, promisedDay: orderedDay + promised, arrivedDay: took === null ? null : orderedDay + took },
});

describe('a supplier’s word', () => {
  it('of whom nothing is known is a little late, and not sure', () => {
    const delay = learnDelay([], 0);
    expect(delay.mean).closeTo(0.1, 1e-12);
    expect(delay.orders).equal(0);
    expect(predictDays(delay, 10, 0.5)).closeTo(11.05, 0.01);
    expect(predictDays(delay, 10, 0.9)).within(17, 19);
  });

  it('by hand: one order of 10 days that took 20 moves the mean by a quarter of the way', () => {
    const { mean } = learnDelay([order(0, 10, 20)], 30);
    expect(mean).closeTo((0.3 + Math.log(2)) / 4, 1e-12);
  });

  it('that is kept again and again becomes sure; one who is always late is reckoned with', () => {
    const kept = learnDelay(
      Array.from({ length: 20 }, (_, i) => order(20 * i, 10, 10)),
      1000,
    );
    expect(predictDays(kept, 10, 0.9)).within(10, 13);
    const late = learnDelay(
      Array.from({ length: 20 }, (_, i) => order(20 * i, 10, 16)),
      1000,
    );
    expect(predictDays(late, 10, 0.5)).within(14, 16);
    expect(late.sd).lessThan(learnDelay([], 0).sd);
  });

  it('is worth less while an order is overdue, and no less while it is not', () => {
    const open = [order(0, 10, null)];
    expect(learnDelay(open, 9)).deep.equal(learnDelay([], 9));
    expect(learnDelay(open, 25).mean).greaterThan(learnDelay([], 25).mean);
    expect(learnDelay(open, 60).mean).greaterThan(learnDelay(open, 25).mean);
  });

  it('nine times in ten is kept, of suppliers that are as usual', () => {
    const random = createSeededRandom(5);
    let [within, all] = [0, 0];
    for (let i = 0; i < 3000; i++) {
      const [mean, sd] = [0.1 + 0.15 * drawNormal(random), 0.32];
      const draw = () => Math.max(1, 12 * Math.exp(mean + sd * drawNormal(random)));
      const past = Array.from({ length: Math.floor(9 * random()) }, (_, k) => order(30 * k, 12, draw()));
      if (draw() <= predictDays(learnDelay(past, 1e6), 12, 0.9)) within++;
      all++;
    }
    expect(within / all).within(0.87, 0.94);
  });
});

describe('orders over all jobs', () => {
  const line = (changes: Partial<LackingLine> = {}): LackingLine => ({
    ...{ what: 'tyre 12 mm', amount: 4, unit: 'pieces', jobNumber: 'J-2', neededDay: 100, supplierId: 's' },
    ...{ promisedDays: 10, unitPrice: 0.5 },
    ...{ thingId: null, wantId: null, bitId: null, serves: null, pot: null, toolKind: null, jobId: null },
    ...changes,
  });
  const steady = () => ({ mean: 0, sd: 1e-9, orders: 9 });

  it('by hand: one line a thing, for all who lack it, by the day of the first', () => {
    const orders = gatherOrders([line(), line({ jobNumber: 'J-1', neededDay: 80, amount: 2 })], steady, 0);
    expect(orders).deep.equal([
      {
        ...{ supplierId: 's', orderBy: computeOrderBy(80, 10, steady()), isLate: false, price: 3 },
        lines: [
          {
            ...{ what: 'tyre 12 mm', unit: 'pieces', amount: 6, jobNumbers: ['J-1', 'J-2'], jobId: null },
            ...{ thingId: null, wantId: null, bitId: null, serves: null, pot: null, toolKind: null },
            ...{ orderBy: computeOrderBy(80, 10, steady()), price: 3 },
          },
        ],
      },
    ]);
    expect(computeOrderBy(80, 10, steady())).within(69, 70);
  });

  it('the most pressing supplier and thing come first; what nobody plans yet comes last', () => {
    const orders = gatherOrders(
      [
        line({ supplierId: 'later', neededDay: 300 }),
        line({ supplierId: 'never', neededDay: null }),
        line({ supplierId: 'soon', what: 'wire', neededDay: 90 }),
        line({ supplierId: 'soon', what: 'decal', neededDay: 40 }),
        line({ supplierId: 'soon', what: 'gloves', neededDay: null, jobNumber: null }),
      ],
      steady,
      35,
    );
    expect(orders.map(({ supplierId, isLate }) => `${supplierId} ${isLate}`)).deep.equal([
      ...['soon true', 'later false', 'never false'],
    ]);
    expect(orders[0]!.lines.map(({ what }) => what)).deep.equal(['decal', 'wire', 'gloves']);
    expect(orders[0]!.lines[2]).deep.include({ jobNumbers: [], orderBy: null });
  });

  it('have no price where that of a line is not known, and are none where nothing lacks', () => {
    expect(gatherOrders([line(), line({ what: 'wire', unitPrice: null })], steady, 0)[0]!.price).equal(null);
    expect(gatherOrders([], steady, 0)).deep.equal([]);
  });

  it('go out earlier to one who is late', () => {
    const delays = { mean: 0.5, sd: 0.2, orders: 9 };
    expect(gatherOrders([line()], () => delays, 0)[0]!.orderBy).lessThan(
      gatherOrders([line()], steady, 0)[0]!.orderBy!,
    );
  });
});

describe('when an order comes', () => {
  const usual = learnDelay([], 0);
  const sent = { orderedDay: 0, promisedDay: 10 };

  it('on the day it is sent: as the supplier’s word says', () => {
    expect(expectArrival(sent, usual, 0)).deep.equal({
      likely: Math.ceil(predictDays(usual, 10, 0.5)),
      surely: Math.ceil(predictDays(usual, 10, 0.9)),
      isOverdue: false,
    });
  });

  it('moves on while it does not come, and is never today', () => {
    let before = 0;
    for (let today = 0; today < 60; today++) {
      const { likely, surely, isOverdue } = expectArrival(sent, usual, today);
      expect(likely).greaterThan(today).and.at.least(before);
      expect(surely).at.least(likely);
      expect(isOverdue).equal(today > 10);
      before = likely;
    }
  });

  it('of those that are not here by then, half come before the likely day, nine in ten before the sure one', () => {
    const random = createSeededRandom(8);
    const took = Array.from({ length: 40_000 }, () => 10 * Math.exp(usual.mean + usual.sd * drawNormal(random)));
    for (const today of [0, 8, 14]) {
      const late = took.filter((days) => days > today);
      const { likely, surely } = expectArrival(sent, usual, today);
      // Whole days: the share is at least what is asked for, and short of it a day sooner.
      const share = (day: number) => late.filter((days) => days <= day).length / late.length;
      expect(share(likely)).at.least(0.49);
      expect(share(likely - 1)).lessThan(0.51);
      expect(share(surely)).at.least(0.89);
      expect(share(surely - 1)).lessThan(0.91);
    }
  });
});

describe('what comes as wanted', () => {
  it('by hand: of ten lines nine (score interval)', () => {
    const { share, low, high } = learnQuality(9, 10);
    expect(share).equal(0.9);
    expect(low).closeTo(0.651, 0.002);
    expect(high).closeTo(0.977, 0.002);
  });

  it('is known little of after two lines, and nothing of after none', () => {
    expect(learnQuality(0, 0)).deep.equal({ share: 1, low: 0, high: 1, lines: 0 });
    expect(learnQuality(2, 2).low).lessThan(0.5);
    expect(learnQuality(200, 200).low).greaterThan(0.98);
  });
});
