import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { assignPieces } from './assignPieces.ts';
import {
  computeArc,
  computeBallBlank,
  computeBend,
  computeBentBlank,
  computeHornBlank,
  computeTab,
} from './blankLength.ts';
import { judgeGap, type Link } from './tolerance.ts';
import { computeStance, judgeStretch, judgeWheels, type WheelPair } from './wheels.ts';

describe('lengths to cut', () => {
  it('by hand: a bend is its angle times the radius that keeps its length', () => {
    // pi/2 (0 + 0.33 x 1), pi/2 (1 + 0.4 x 1), pi (3 + 0.5 x 1)
    expect(computeBend(90, 0, 1)).closeTo(0.5184, 1e-4);
    expect(computeBend(90, 1, 1)).closeTo(2.1991, 1e-4);
    expect(computeBend(180, 3, 1)).closeTo(10.9956, 1e-4);
    expect(
      computeBentBlank(
        [5, 8, 5],
        [
          { degrees: 90, innerRadius: 1 },
          { degrees: 90, innerRadius: 1 },
        ],
        1,
      ),
    ).closeTo(18 + 2 * 2.1991, 1e-3);
    expect(() => computeBentBlank([5], [{ degrees: 90, innerRadius: 1 }], 1)).throw(RangeError);
    expect(computeTab(1.5, 2, 0.4)).closeTo(1.5 + 1.6 + (Math.PI / 2) * 0.132, 1e-9);
  });

  it('by hand: an arc by its chord and rise', () => {
    expect(computeArc(10, 0)).equal(10);
    expect(computeArc(10, 5)).closeTo(Math.PI * 5, 1e-12);
    // Radius 13 over a chord of 24 and a rise of 8: 2 x 13 x asin(12 / 13).
    expect(computeArc(24, 8)).closeTo(26 * Math.asin(12 / 13), 1e-12);
    expect(computeArc(24, -8)).closeTo(computeArc(24, 8), 1e-12);
    // More than half a circle is the rest of it.
    expect(computeArc(24, 18)).closeTo(2 * Math.PI * 13 - 26 * Math.asin(12 / 13), 1e-12);
  });

  it('by hand: a ball and a horn have the volume of their wire', () => {
    expect(computeBallBlank(3, 1.5)).closeTo(((4 / 3) * Math.PI * 1.5 ** 3) / (Math.PI * 0.75 ** 2), 1e-12);
    expect(computeHornBlank(6, 2, 2, 2)).closeTo(6, 1e-12);
    expect(computeHornBlank(6, 2, 0, 2)).closeTo(2, 1e-12);
  });
});

describe('a chain of lengths', () => {
  const chain = (gap: number, sd: number): Link[] => [
    { mm: 5 + gap, sd, sign: 1 },
    { mm: 5, sd, sign: -1 },
  ];
  const PLAY = { least: 0.05, most: 0.3 };

  it('by hand: errors add one way at worst, and by the root of their squares as a rule', () => {
    const { mm, worstCase, rootSumSquare } = judgeGap(chain(0.2, 0.03), PLAY);
    expect(mm).closeTo(0.2, 1e-12);
    expect(worstCase).closeTo(0.12, 1e-12);
    expect(rootSumSquare).closeTo(0.06 * Math.SQRT2, 1e-12);
  });

  it('is good, tight, loose or no', () => {
    const of = (gap: number, sd = 0.01) => judgeGap(chain(gap, sd), PLAY);
    expect([0.15, 0.06, 0.29, -0.1].map((gap) => of(gap).fit)).deep.equal(['good', 'tight', 'loose', 'no']);
    // Just within by the root, not by the worst case.
    expect(of(0.085)).deep.include({ fit: 'good', worstFit: 'tight' });
    expect(of(0, 0.01).fit).equal('tight');
  });
});

describe('wheels and tyres', () => {
  const pair = (left: number, right = left): WheelPair => ({
    ...{ left: { mm: left, sd: 0.03 }, right: { mm: right, sd: 0.03 } },
    ...{ width: { mm: 4, sd: 0.02 }, bore: { mm: 1.3, sd: 0.02 } },
  });

  it('a tyre slips under 3 percent and tears over 10', () => {
    expect(judgeStretch(10.5, 10)).deep.include({ verdict: 'good' });
    expect(judgeStretch(10.2, 10).verdict).equal('slips');
    expect(judgeStretch(11.2, 10).verdict).equal('tears');
    expect(judgeStretch(10.5, 10).share).closeTo(0.05, 1e-12);
  });

  it('by hand: larger wheels in front lift the nose, one of a pair makes it lean', () => {
    expect(computeStance(pair(12), pair(12), 40, 22)).deep.equal({ front: 6, back: 6, tilt: 0, lean: 0 });
    const up = computeStance(pair(12), pair(10), 40, 22);
    expect(up.tilt).closeTo((Math.atan(1 / 40) * 180) / Math.PI, 1e-9);
    expect(computeStance(pair(10, 12), pair(12), 40, 20).lean).closeTo((Math.atan(1 / 20) * 180) / Math.PI, 1e-9);
    expect(computeStance(pair(12, 10), pair(12), 40, 20).lean).lessThan(0);
  });

  it('turn where arch, body and axle leave them room; the larger of a pair counts', () => {
    const room = { arch: { mm: 6.6, sd: 0.03 }, beside: { mm: 4.3, sd: 0.03 }, axle: { mm: 1.2, sd: 0.01 } };
    const fits = (one: WheelPair) => Object.values(judgeWheels(one, room)).map(({ fit }) => fit);
    expect(fits(pair(12))).deep.equal(['good', 'good', 'good']);
    expect(fits(pair(12, 13.5))[0]).equal('no');
    expect(fits({ ...pair(12), bore: { mm: 1.6, sd: 0.02 } })[2]).equal('loose');
    expect(fits({ ...pair(12), width: { mm: 4.28, sd: 0.02 } })[1]).equal('tight');
  });
});

describe('pieces for places', () => {
  it('by hand: not first come: the place that has one choice gets it', () => {
    expect(
      assignPieces([
        [1, 2],
        [1, Infinity],
      ]),
    ).deep.equal({ pieceOf: [1, 0], price: 3 });
    expect(assignPieces([[5], [1]])).deep.equal({ pieceOf: [null, 0], price: 1 });
    expect(assignPieces([[Infinity, Infinity]])).deep.equal({ pieceOf: [null], price: 0 });
    expect(assignPieces([])).deep.equal({ pieceOf: [], price: 0 });
    expect(assignPieces([[], []])).deep.equal({ pieceOf: [null, null], price: 0 });
  });

  it('fills a place at any price rather than leave a hole', () =>
    expect(
      assignPieces([
        [0, 1e6],
        [0, Infinity],
      ]).pieceOf,
    ).deep.equal([1, 0]));

  it('is as good as the best of all ways, on 300 small benches', () => {
    const random = createSeededRandom(19);
    for (let i = 0; i < 300; i++) {
      const [places, pieces] = [1 + Math.floor(5 * random()), 1 + Math.floor(7 * random())];
      const prices = Array.from({ length: places }, () =>
        Array.from({ length: pieces }, () => (random() < 0.4 ? Infinity : Math.floor(10 * random()))),
      );
      const { pieceOf, price } = assignPieces(prices);
      const taken = pieceOf.filter((piece) => piece !== null);
      expect(new Set(taken).size).equal(taken.length);
      const best = tryAll(prices, 0, new Set());
      expect([taken.length, price], JSON.stringify(prices)).deep.equal([best.filled, best.price]);
    }
  });
});

interface Tried {
  readonly filled: number;
  readonly price: number;
}

function tryAll(prices: readonly (readonly number[])[], place: number, used: ReadonlySet<number>): Tried {
  const row = prices[place];
  if (!row) return { filled: 0, price: 0 };
  let best = tryAll(prices, place + 1, used);
  for (const [piece, price] of row.entries()) {
    if (used.has(piece) || price === Infinity) continue;
    const rest = tryAll(prices, place + 1, new Set(used).add(piece));
    const one = { filled: rest.filled + 1, price: rest.price + price };
    if (one.filled > best.filled || (one.filled === best.filled && one.price < best.price)) best = one;
  }
  return best;
}
