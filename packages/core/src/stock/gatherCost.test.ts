import { expect } from 'chai';
import type { LogLine, Move } from '../model/stock.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { writeCostCsv } from './costCsv.ts';
import { gatherCost, type ActedLine, type CostedWant, type CostInput } from './gatherCost.ts';
import { checkMovement, foldMovements } from './ledger.ts';
import { priceLines } from './priceLines.ts';

let count = 0;
const line = (move: Move, amount: number, more: Partial<ActedLine> = {}): ActedLine => ({
  ...{ id: `m${++count}`, move, amount, jobId: 'mine', taskId: null, price: null, batch: '', who: 'Nell', note: '' },
  at: new Date(Date.UTC(2026, 0, 1, 0, count)).toISOString(),
  ...more,
});
const EMPTY: CostInput = { jobId: 'mine', pots: [], things: [], orders: [], wants: [], wastedActs: new Set() };
const pot = (lines: readonly ActedLine[], usualPrice: number | null = null) => ({
  ...{ what: 'Quay Red', unit: 'ml' as const, usualPrice, lines },
});

const want = (what: string, price: number | null, more: Partial<CostedWant> = {}): CostedWant => ({
  ...{ what, price, state: 'solved', origin: 'made', taken: null, bits: [] },
  ...more,
});

describe('what a job has cost', () => {
  it('by hand: what it took at what was paid for it, the oldest first; other jobs pay for theirs', () => {
    const lines = [
      line('bought', 10, { jobId: null, price: 5 }),
      line('bought', 10, { jobId: null, price: 20 }),
      line('taken', 4, { jobId: 'other' }),
      line('taken', 8),
      line('put back', 1),
    ];
    // 6 ml at 0.5, 2 ml at 2; of the 7 in 8 that it kept.
    const cost = gatherCost({ ...EMPTY, pots: [pot(lines)] });
    expect(cost.lines).lengthOf(1);
    expect(cost.lines[0]).deep.include({ amount: 7, unpriced: 0, isUsual: false, isWaste: false });
    expect(cost.total).closeTo((7 / 8) * 7, 1e-6);
  });

  it('what came to nothing by itself: wasted, rejected, given up, sent wrong', () => {
    const lines = [
      line('bought', 20, { jobId: null, price: 20 }),
      line('taken', 3, { actId: 'good coat' }),
      line('taken', 2, { actId: 'bad coat' }),
      line('wasted', 1),
    ];
    const orders = [{ what: 'tyres', amount: 4, unit: 'pieces', price: 6, quality: 'wrong' as const }];
    const cost = gatherCost({ ...EMPTY, pots: [pot(lines)], orders, wastedActs: new Set(['bad coat']) });
    expect(cost.lines.map(({ what, amount, cost: own, isWaste }) => [what, amount, own, isWaste])).deep.equal([
      ['Quay Red', 3, 3, false],
      ['Quay Red', 3, 3, true],
      ['tyres', 4, 6, true],
    ]);
    expect(cost).deep.include({ total: 12, waste: 9, withoutPrice: 0 });
  });

  it('a mix that was kept is worth what went into it: the job pays for what it puts on, not for the pot', () => {
    const poured = pot([line('bought', 10, { jobId: null, price: 10 }), line('taken', 6)]);
    const kept = pot([line('made', 6, { price: 6 }), line('taken', 2)]);
    const { total } = gatherCost({ ...EMPTY, pots: [poured, { ...kept, what: 'Mixed here Red' }] });
    expect(total).closeTo(2, 1e-9);
  });

  it('what has no price is said, or counts by its usual one', () => {
    const lines = () => [line('counted', 5, { jobId: null }), line('taken', 2)];
    const unknown = gatherCost({ ...EMPTY, things: [pot(lines())], wants: [want('door', null)] });
    expect(unknown).deep.include({ total: 0, withoutPrice: 2 });
    expect(unknown.lines[0]).deep.include({ unpriced: 2, isUsual: false });
    const usual = gatherCost({ ...EMPTY, pots: [pot(lines(), 0.3)] });
    expect(usual.total).closeTo(0.6, 1e-9);
    expect(usual.lines[0]).deep.include({ unpriced: 0, isUsual: true });
  });

  it('of wants: what came and its small bits; not what a drawer gave, nor a donor, nor what has not come', () => {
    const bit = { id: 'b', what: 'pin', amount: 1, by: 'buy' as const, thingId: null, isHere: true, price: 0.4 };
    const listed = (...wants: readonly CostedWant[]) =>
      gatherCost({ ...EMPTY, wants }).lines.map(({ what, cost }) => [what, cost]);
    expect(listed(want('door', 2, { bits: [bit] }))).deep.equal([
      ['door', 2],
      ['pin', 0.4],
    ]);
    expect(listed(want('door', 2, { state: 'ordered' }))).deep.equal([]);
    expect(listed(want('door', null, { taken: { thingId: 't', amount: 1 } }))).deep.equal([]);
    expect(listed(want('door', null, { origin: 'donor' }))).deep.equal([]);
    expect(listed(want('door', 3, { origin: 'donor' }))).deep.equal([['door', 3]]);
    const open = {
      state: 'open' as const,
      bits: [
        { ...bit, isHere: false },
        { ...bit, by: 'drawer' as const, thingId: 't' },
      ],
    };
    expect(listed(want('door', null, open))).deep.equal([]);
  });

  it('what is put back after all is no line', () => {
    const lines = [line('bought', 5, { jobId: null, price: 5 }), line('taken', 2), line('put back', 2)];
    expect(gatherCost({ ...EMPTY, pots: [pot(lines)] }).lines).deep.equal([]);
  });

  it('property: what all lines took and what is left is what was paid, whatever happened', () => {
    const random = createSeededRandom(19);
    for (let round = 0; round < 200; round++) {
      const lines: LogLine[] = [];
      let paid = 0;
      for (let i = 0; i < 25; i++) {
        const move = (['bought', 'taken', 'wasted', 'put back', 'made'] as const)[Math.floor(random() * 5)]!;
        const price = move === 'bought' || move === 'made' ? Math.floor(random() * 50) : null;
        const next = line(move, 1 + Math.floor(random() * 9), { jobId: random() < 0.5 ? 'mine' : 'other', price });
        if (checkMovement(foldMovements(lines), next, 'ml').length) continue;
        lines.push(next);
        paid += price ?? 0;
      }
      const prices = priceLines(lines);
      const taken = lines
        .filter(({ move }) => move === 'taken' || move === 'wasted' || move === 'put back')
        .reduce((sum, { id }) => sum + prices.get(id)!.cost, 0);
      const left = foldMovements(lines).lots.reduce((sum, lot) => sum + lot.amount * (lot.unitPrice ?? 0), 0);
      expect(taken + left, `round ${round}`).closeTo(paid, 1e-6);
    }
  });

  it('goes out as CSV, a formula in a name kept from being one', () => {
    const cost = gatherCost({ ...EMPTY, wants: [want('=door', 2.5)] });
    expect(writeCostCsv(cost)).equal(
      "from,what,amount,unit,cost,without_price,usual_price,wasted\r\nparts,'=door,1,pieces,2.5,0,,\r\n",
    );
  });
});
