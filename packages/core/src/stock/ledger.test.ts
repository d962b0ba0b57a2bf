import { expect } from 'chai';
import { STOCK_KINDS, STOCK_KIND_NAMES, type Movement } from '../model/stock.ts';
import {
  appendMovement,
  checkLock,
  checkMovement,
  countFree,
  EMPTY_STOCK,
  foldMovements,
  type StockState,
} from './ledger.ts';
import { watchStock } from './watchStock.ts';

let day = 0;
const step = (move: Movement['move'], amount: number, jobId: string | null = null, price: number | null = null) => ({
  ...{ move, amount, jobId, price, batch: '' },
  at: new Date(Date.UTC(2026, 0, 1 + day++)).toISOString(),
});
const stock = (...lines: readonly ReturnType<typeof step>[]) => foldMovements(lines);
const codes = (state: StockState, line: ReturnType<typeof step>, unit: 'pieces' | 'mm' = 'pieces') =>
  checkMovement(state, line, unit).map(({ code }) => code);

describe('the log of a thing', () => {
  it('by hand: bought, reserved, taken, put back: what is there follows from its lines', () => {
    const state = stock(
      step('bought', 10, null, 5),
      step('reserved', 4, 'a'),
      step('taken', 3, 'a'),
      step('put back', 1, 'a'),
      step('wasted', 2, 'b'),
    );
    expect(state.onHand).equal(6);
    expect(countFree(state)).equal(5);
    expect(state.jobs).deep.equal([
      { jobId: 'a', reserved: 1, taken: 2, wasted: 0, cost: 1, unpriced: 0 },
      { jobId: 'b', reserved: 0, taken: 0, wasted: 2, cost: 1, unpriced: 0 },
    ]);
  });

  it('takes the oldest first, at its own price', () => {
    const state = stock(step('bought', 2, null, 2), step('bought', 2, null, 8), step('taken', 3, 'a'));
    expect(state.jobs[0]!.cost).equal(2 + 4);
    expect(state.lots.map(({ amount, unitPrice }) => [amount, unitPrice])).deep.equal([[1, 4]]);
  });

  it('puts back at what it cost, whatever was wasted meanwhile', () => {
    const state = stock(
      step('bought', 10, null, 20),
      step('taken', 3, 'a'),
      step('wasted', 2, 'a'),
      step('put back', 3, 'a'),
    );
    expect(state.jobs[0]).deep.equal({ jobId: 'a', reserved: 0, taken: 0, wasted: 2, cost: 4, unpriced: 0 });
    expect(state.lots.every(({ unitPrice }) => unitPrice === 2)).equal(true);
    expect(state.onHand).equal(8);
  });

  it('knows how much had no price, and puts that back without one', () => {
    const state = stock(step('counted', 4), step('bought', 6, null, 12), step('taken', 7, 'a'));
    expect(state.jobs[0]).deep.include({ cost: 6, unpriced: 4 });
    const back = appendMovement(state, step('put back', 5, 'a'));
    expect(back.jobs[0]).deep.include({ taken: 2, cost: 0, unpriced: 2 });
    const worth = back.lots.map(({ amount, unitPrice }) => [amount, unitPrice]);
    expect(worth).deep.equal([
      [3, 2],
      [3, 2],
      [2, null],
    ]);
  });

  it('gives no more than is there, and to nobody what another job holds', () => {
    const state = stock(step('bought', 5), step('reserved', 3, 'a'));
    expect(codes(state, step('taken', 3, 'b'))).deep.equal(['not-there']);
    expect(codes(state, step('reserved', 3, 'b'))).deep.equal(['not-there']);
    expect(codes(state, step('wasted', 3))).deep.equal(['not-there']);
    expect(codes(state, step('taken', 2, 'b'))).deep.equal([]);
    expect(codes(state, step('taken', 5, 'a'))).deep.equal([]);
    expect(codes(state, step('taken', 6, 'a'))).deep.equal(['not-there']);
    expect(checkMovement(state, step('taken', 3, 'b'), 'pieces')[0]!.message).equal('Only 2 pieces are there for it.');
  });

  it('keeps back one of few from every job, not from being counted, bought or taken home', () => {
    const of = (move: Movement['move'], jobId: string | null) =>
      checkLock(true, { move, jobId }).map(({ code }) => code);
    expect([of('taken', 'a'), of('reserved', 'a')]).deep.equal([['kept-back'], ['kept-back']]);
    for (const move of ['bought', 'counted', 'released', 'put back'] as const) expect(of(move, 'a')).deep.equal([]);
    expect(of('taken', null)).deep.equal([]);
    expect(checkLock(false, { move: 'taken', jobId: 'a' })).deep.equal([]);
  });

  it('takes back no more than is out, and releases no more than is held', () => {
    const state = stock(step('bought', 5), step('taken', 2, 'a'), step('reserved', 1, 'a'));
    expect(codes(state, step('put back', 3, 'a'))).deep.equal(['not-there']);
    expect(codes(state, step('put back', 1, 'b'))).deep.equal(['not-there']);
    expect(codes(state, step('released', 2, 'a'))).deep.equal(['not-there']);
    expect(codes(state, step('put back', 1))).deep.equal(['no-job']);
  });

  it('has no half pieces, no amounts of nothing, and counts down to nothing', () => {
    const state = stock(step('bought', 5));
    expect(codes(state, step('taken', 0.5))).deep.equal(['no-half']);
    expect(codes(state, step('taken', 0.5), 'mm')).deep.equal([]);
    for (const amount of [0, -1, NaN, Infinity]) expect(codes(state, step('taken', amount))).deep.equal(['no-amount']);
    expect(codes(state, step('counted', 0))).deep.equal([]);
    expect(appendMovement(state, step('counted', 0))).deep.equal(EMPTY_STOCK);
  });

  it('is what was counted, whatever it should have been; then who asked last gets less', () => {
    const held = stock(step('bought', 6, null, 6), step('reserved', 2, 'a'), step('reserved', 3, 'b'));
    const less = appendMovement(held, step('counted', 3));
    expect(less.onHand).equal(3);
    expect(less.jobs.map(({ reserved }) => reserved)).deep.equal([2, 1]);
    expect(countFree(less)).equal(0);
    const more = appendMovement(held, step('counted', 8));
    expect(more.lots.map(({ amount, unitPrice }) => [amount, unitPrice])).deep.equal([
      [6, 1],
      [2, null],
    ]);
  });

  it('adds tenths up to what they are', () => {
    const lines = Array.from({ length: 10 }, () => step('taken', 0.1, 'a'));
    const state = stock(step('bought', 1), ...lines);
    expect(state.onHand).equal(0);
    expect(state.lots).deep.equal([]);
    expect(state.jobs[0]!.taken).closeTo(1, 1e-9);
  });
});

describe('what is watched', () => {
  const state = stock(step('bought', 5), step('reserved', 2, 'a'));
  const bought = Date.parse(state.lots[0]!.at);
  const after = (days: number) => new Date(bought + days * 86_400_000);
  const say = (reorderAt: number | null, keepsDays: number | null, days: number) =>
    watchStock({ state, reorderAt, keepsDays }, after(days)).map(({ kind }) => kind);

  it('is to be ordered when fewer are free than there should be', () => {
    expect(say(4, null, 0)).deep.equal(['reorder']);
    expect(say(3, null, 0)).deep.equal([]);
    expect(say(null, null, 0)).deep.equal([]);
  });

  it('goes off, a month before it has', () => {
    expect(say(null, 365, 300)).deep.equal([]);
    expect(say(null, 365, 340)).deep.equal(['goes off']);
    expect(say(null, 365, 366)).deep.equal(['gone off']);
    expect(watchStock({ state, reorderAt: null, keepsDays: 10 }, after(0))).deep.equal([
      { kind: 'goes off', on: new Date(bought + 10 * 86_400_000).toISOString().slice(0, 10), amount: 5 },
    ]);
  });

  it('of an empty drawer is only that', () =>
    expect(watchStock({ state: EMPTY_STOCK, reorderAt: 1, keepsDays: 1 }, after(0)).map(({ kind }) => kind)).deep.equal(
      ['reorder'],
    ));
});

describe('kinds of stock', () => {
  it('are measured each in its own way', () => {
    for (const name of STOCK_KIND_NAMES) {
      const { sizes, traits } = STOCK_KINDS[name];
      expect(sizes.length + traits.length, name).greaterThan(0);
    }
    expect(STOCK_KINDS.wire.unit).equal('mm');
    expect(STOCK_KINDS.glue.keepsDays).equal(365);
  });
});
