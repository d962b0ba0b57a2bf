import { expect } from 'chai';
import type { WayToGetBit } from '../model/workpiece.ts';
import type { StockKind } from '../model/stock.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import type { SupplyLine } from '../supply/listSupplies.ts';
import { foldMovements } from './ledger.ts';
import { listLacking, type LackingJob, type MarkedThing, type WholeHousehold } from './listLacking.ts';

const NOW = new Date('2026-12-01T18:00:00Z');
const TODAY = 20_000;
const line = (what: string, over: Partial<SupplyLine> = {}): SupplyLine => ({
  ...{ what, kind: 'material', toolKind: null, wantId: null, bit: null, want: null, pot: null, amount: 10, unit: 'ml' },
  ...{ tasks: [], leadDays: 3, evening: 0, isNeededFirst: true },
  ...over,
});
const job = (id: string, ...lines: readonly SupplyLine[]): LackingJob => ({ id, number: id.toUpperCase(), lines });
const jar = (
  amount: number,
  held: Readonly<Record<string, number>> = {},
  over: Partial<MarkedThing> = {},
): MarkedThing => ({
  ...{ id: 'jar', kind: 'liquid' as StockKind, name: 'Jar of oil', drawer: 'G1', keepsDays: null, isLocked: false },
  ...{ traits: { serves: 'cutting oil' }, reorderAt: null },
  state: foldMovements([
    { move: 'bought', amount, jobId: null, price: null, at: '2026-11-01T10:00:00Z', batch: '' },
    ...Object.entries(held).map(([jobId, own]) => ({
      ...{ move: 'reserved' as const, amount: own, jobId, price: null, at: '2026-11-02T10:00:00Z', batch: '' },
    })),
  ]),
  ...over,
});
const house = (over: Partial<WholeHousehold> = {}): WholeHousehold => ({
  ...{ tools: [], things: [], pots: [], orders: [] },
  ...over,
});
const from = () => ({ supplierId: 's', promisedDays: 5, unitPrice: null });
const lack = (jobs: readonly LackingJob[], over: Partial<WholeHousehold>) =>
  listLacking(jobs, house(over), from, TODAY, NOW);
const oil = (amount: number, evening = 0) => line('cutting oil', { amount, evening });

describe('what all jobs lack', () => {
  it('by hand: what is there goes to whom it is needed by first, the rest lacks, by its evening', () => {
    const lines = lack([job('late', oil(8, 4)), job('soon', oil(8, 1))], { things: [jar(12)] });
    expect(lines).length(1);
    expect(lines[0]).deep.include({
      what: 'Jar of oil',
      amount: 4,
      jobNumber: 'LATE',
      neededDay: TODAY + 4,
      thingId: 'jar',
    });
    expect(lines[0]).deep.include({ serves: 'cutting oil', supplierId: 's' });
  });

  it('what a job holds is its own, whoever needs it sooner', () => {
    const lines = lack([job('late', oil(8, 4)), job('soon', oil(8, 1))], { things: [jar(12, { late: 8 })] });
    expect(lines.map(({ jobNumber, amount }) => [jobNumber, amount])).deep.equal([['SOON', 4]]);
  });

  it('what is on its way is not asked for again', () => {
    const orders = [
      {
        wantId: 'w',
        bitId: null,
        thingId: null,
        serves: null,
        pot: null,
        toolKind: null,
        amount: 1,
        arrivesOn: '2026-12-09',
      },
      {
        wantId: null,
        bitId: null,
        thingId: 'jar',
        serves: 'cutting oil' as const,
        pot: null,
        toolKind: null,
        amount: 20,
        arrivesOn: '2026-12-09',
      },
    ];
    const tyres = line('tyres', {
      ...{ kind: 'part', wantId: 'w', want: { by: 'buy', isOrdered: false, dueOn: null }, amount: null, unit: '' },
    });
    const jobs = [job('a', oil(8), tyres)];
    expect(lack(jobs, {}).map(({ what }) => what)).deep.equal(['cutting oil', 'tyres']);
    expect(lack(jobs, { orders, things: [jar(1, {}, { reorderAt: 5 })] })).deep.equal([]);
  });

  it('wants from donors, printed, made or ordered by hand are not on the list', () => {
    const want = (by: 'buy' | 'donor' | 'print' | 'make', isOrdered = false) =>
      line(by, { kind: 'part', wantId: by, want: { by, isOrdered, dueOn: null }, amount: null, unit: '' });
    const all = [want('donor'), want('print'), want('make'), want('buy', true)];
    expect(lack([job('a', ...all)], {})).deep.equal([]);
    expect(lack([job('a', want('buy'))], {})[0]).deep.include({ wantId: 'buy', amount: 1, unit: 'pieces' });
  });

  it('small bits: what is to be bought, and what their drawer has too few of, whoever needs it first', () => {
    const bit = (by: WayToGetBit, amount: number, thingId: string | null = null, evening = 0) =>
      line('pins', { kind: 'part', wantId: 'w', bit: { id: 'b', by, thingId }, amount, unit: 'pieces', evening });
    expect(lack([job('a', bit('buy', 2))], {})[0]).deep.include({ what: 'pins', wantId: 'w', bitId: 'b', amount: 2 });
    for (const by of ['donor', 'print', 'make', 'drawer'] as const)
      expect(lack([job('a', bit(by, 2))], {}), by).deep.equal([]);
    const things = [jar(5)];
    const two = lack([job('late', bit('drawer', 4, 'jar', 3)), job('soon', bit('drawer', 3, 'jar'))], { things });
    expect(two.map(({ jobId, amount, thingId, wantId }) => [jobId, amount, thingId, wantId])).deep.equal([
      ['late', 2, 'jar', null],
    ]);
    const order = { wantId: 'w', bitId: 'b', thingId: null, serves: null, pot: null, toolKind: null, amount: 2 };
    const orders = [{ ...order, arrivesOn: '2026-12-09' }];
    expect(lack([job('a', bit('buy', 2))], { orders })).deep.equal([]);
    expect(lack([job('a', bit('buy', 2))], { orders: [{ ...orders[0]!, bitId: null }] })).lengthOf(1);
  });

  it('one tool serves every job; one that is lent is there', () => {
    const press = line('press with a cupped punch', { kind: 'tool', toolKind: 'press', amount: null, unit: '' });
    const jobs = [job('a', press), job('b', press)];
    const drill = {
      id: 'd',
      version: 1,
      name: 'Drill',
      kind: 'drill' as const,
      state: 'ready' as const,
      note: '',
      holds: '',
    };
    expect(lack(jobs, {}), 'a workshop that nobody wrote down').deep.equal([]);
    expect(lack(jobs, { tools: [drill] }).map(({ amount, jobNumber }) => [jobNumber, amount])).deep.equal([
      ['A', 1],
      ['B', 0],
    ]);
    const lent = {
      id: 't',
      version: 1,
      name: 'Press',
      kind: 'press' as const,
      state: 'lent' as const,
      note: '',
      holds: '',
    };
    expect(lack(jobs, { tools: [lent] })).deep.equal([]);
  });

  it('a drawer under its mark is filled to twice that, less what is asked for anyway', () => {
    expect(lack([], { things: [jar(3, {}, { reorderAt: 5 })] })[0]).deep.include({ amount: 7, jobNumber: null });
    expect(lack([], { things: [jar(5, {}, { reorderAt: 5 })] })).deep.equal([]);
    const both = lack([job('a', oil(6))], { things: [jar(3, {}, { reorderAt: 5 })] });
    expect(both.map(({ amount }) => amount)).deep.equal([3, 4]);
  });

  it('in 2,000 random rounds: all that is given and all that lacks is all that is asked, and nothing is given twice', () => {
    const random = createSeededRandom(7);
    const pick = (most: number) => Math.floor(random() * (most + 1));
    for (let round = 0; round < 2000; round++) {
      const jobs = ['a', 'b', 'c', 'd'].map((id) => job(id, oil(pick(9), pick(3))));
      const there = 1 + pick(25);
      const held = { a: pick(Math.min(4, there)) };
      const asked = jobs.map(({ id, lines }) => ({ id, wants: lines[0]!.amount!, evening: lines[0]!.evening }));
      // Slowly: millilitre by millilitre, evening by evening.
      let free = there - held.a;
      const lacks = new Map<string, number>();
      for (const { id, wants } of asked.sort((x, y) => x.evening - y.evening || x.id.localeCompare(y.id)))
        for (let ml = id === 'a' ? held.a : 0; ml < wants; ml++)
          if (free > 0) free--;
          else lacks.set(id.toUpperCase(), (lacks.get(id.toUpperCase()) ?? 0) + 1);
      const found = lack(jobs, { things: [jar(there, held.a ? held : {})] });
      expect(new Map(found.map(({ jobNumber, amount }) => [jobNumber!, amount])), `round ${round}`).deep.equal(lacks);
    }
  });
});
