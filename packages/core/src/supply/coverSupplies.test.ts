import { expect } from 'chai';
import type { Movement, StockKind, StockTraits } from '../model/stock.ts';
import type { WayToGetBit } from '../model/workpiece.ts';
import type { Tool, ToolState } from '../model/workshop.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { foldMovements } from '../stock/ledger.ts';
import { coverSupplies, type Household, type HouseholdThing } from './coverSupplies.ts';
import type { SupplyLine } from './listSupplies.ts';

const NOW = new Date('2026-12-01T18:00:00Z');
const job = { id: 'mine', now: NOW };
const daysAgo = (days: number) => new Date(NOW.getTime() - days * 86_400_000).toISOString();

const line = (what: SupplyLine['what'], over: Partial<SupplyLine> = {}): SupplyLine => ({
  ...{ what, kind: 'material', toolKind: null, wantId: null, pot: null, amount: 10, unit: 'ml' },
  ...{ bit: null, want: null, evening: 0 },
  ...{ tasks: [], leadDays: 3, isNeededFirst: true },
  ...over,
});
const tool = (state: ToolState, kind: Tool['kind'] = 'press'): Tool => ({
  ...{ id: state, version: 1, name: 'Arbor press', kind, state, note: '', holds: '' },
});
type Step = Pick<Movement, 'move' | 'amount'> & { readonly jobId?: string; readonly ago?: number };
const thing = (
  kind: StockKind,
  traits: StockTraits,
  steps: readonly Step[],
  over: Partial<HouseholdThing> = {},
): HouseholdThing => ({
  ...{
    id: `${kind} ${traits.serves ?? ''}`,
    kind,
    name: 'a jar',
    drawer: 'G1',
    traits,
    keepsDays: null,
    isLocked: false,
  },
  state: foldMovements(
    steps.map(({ move, amount, jobId = null, ago = 10 }) => ({
      move,
      amount,
      jobId,
      price: null,
      at: daysAgo(ago),
      batch: '',
    })),
  ),
  ...over,
});
const house = (over: Partial<Household> = {}): Household => ({ tools: [], things: [], pots: [], orders: [], ...over });
const cover = (own: SupplyLine, over: Partial<Household>) => coverSupplies([own], house(over), job)[0]!;

describe('what is in hand', () => {
  const press = line('press with a cupped punch', { kind: 'tool', toolKind: 'press', amount: null, unit: '' });
  const oil = line('cutting oil');
  const jar = (...steps: readonly Step[]) => thing('liquid', { serves: 'cutting oil' }, steps);

  it('of tools: any that is ready, however others of its kind stand', () => {
    expect(cover(press, { tools: [tool('lent'), tool('ready')] })).deep.include({ stand: 'ready', leadDays: 0 });
    expect(cover(press, { tools: [tool('needs cleaning')] }).stand).equal('ready');
    expect(cover(press, { tools: [tool('lent')] })).deep.include({ stand: 'not right', trouble: 'Arbor press: lent' });
    expect(cover(press, { tools: [tool('ready', 'drill')] })).deep.include({ stand: 'missing', leadDays: 3 });
    expect(cover({ ...press, toolKind: null }, { tools: [tool('ready')] }).stand).equal('not written down');
    expect(cover(press, { tools: [] }).stand, 'a workshop that nobody wrote down').equal('not written down');
  });

  it('of materials: what is free and what this job holds, not what another does', () => {
    expect(cover(oil, { things: [jar({ move: 'bought', amount: 10 })] })).deep.include({ stand: 'ready', lacks: 0 });
    const held = jar({ move: 'bought', amount: 10 }, { move: 'reserved', amount: 4, jobId: 'other' });
    expect(cover(oil, { things: [held] })).deep.include({ stand: 'short', lacks: 4, leadDays: 3 });
    const own = jar({ move: 'bought', amount: 10 }, { move: 'reserved', amount: 4, jobId: 'mine' });
    expect(cover(oil, { things: [own] }).stand).equal('ready');
    expect(cover(oil, {})).deep.include({ stand: 'missing', lacks: 10, places: [] });
  });

  it('counts nothing that has gone off, nothing kept back, nothing counted otherwise', () => {
    const old = jar({ move: 'bought', amount: 8, ago: 800 }, { move: 'bought', amount: 5, ago: 5 });
    expect(cover(oil, { things: [old] })).deep.include({ stand: 'short', lacks: 5 });
    expect(cover(oil, { things: [{ ...jar({ move: 'bought', amount: 50 }), isLocked: true }] }).stand).equal('missing');
    const sheets = thing('abrasive', {}, [{ move: 'bought', amount: 4 }]);
    expect(cover(line('wet abrasive paper', { unit: 'sheets', amount: 3 }), { things: [sheets] }).stand).equal('ready');
    expect(cover(line('wet abrasive paper', { unit: 'pieces', amount: 3 }), { things: [sheets] }).stand).equal(
      'missing',
    );
  });

  it('of paint: the pot that the plan names, any of its kind where it names none', () => {
    const pots = [
      { name: 'Quay Ivory', kind: 'colour' as const, left: 4 },
      { name: 'Quay Red', kind: 'colour' as const, left: 20 },
    ];
    const colour = line('body colour', { pot: 'Quay Ivory', amount: 6 });
    expect(cover(colour, { pots })).deep.include({ stand: 'short', lacks: 2 });
    expect(cover({ ...colour, pot: null }, { pots }).stand).equal('ready');
    expect(cover({ ...colour, pot: 'Quay Green' }, { pots }).stand).equal('missing');
    expect(cover(line('clear coat'), { pots }).stand).equal('missing');
  });

  it('of what is on its way: enough of it, by its last day; a want by its own order only', () => {
    const nobody = { wantId: null, bitId: null, thingId: null, pot: null, toolKind: null };
    const order = (amount: number, arrivesOn: string) => ({
      ...nobody,
      serves: 'cutting oil' as const,
      amount,
      arrivesOn,
    });
    const things = [jar({ move: 'bought', amount: 3 })];
    const both = cover(oil, { things, orders: [order(4, '2026-12-05'), order(4, '2026-12-09')] });
    expect(both).deep.include({ stand: 'ordered', lacks: 0, arrivesOn: '2026-12-09', leadDays: 8 });
    expect(cover(oil, { things, orders: [order(4, '2026-12-05')] })).deep.include({ stand: 'short', lacks: 3 });
    const want = line('a door', { kind: 'part', wantId: 'w1', amount: null, unit: '' });
    const orders = [{ ...nobody, wantId: 'w1', serves: null, amount: 1, arrivesOn: '2026-12-04' }];
    expect(cover(want, { orders })).deep.include({ stand: 'ordered', arrivesOn: '2026-12-04', leadDays: 3 });
    expect(cover({ ...want, wantId: 'w2' }, { orders }).stand).equal('missing');
  });

  it('of a small bit: in the drawer that was named for it, by its own order only, else missing', () => {
    const bit = (by: WayToGetBit, thingId: string | null = null, amount = 2) =>
      line('washers', { kind: 'part', wantId: 'w1', bit: { id: 'b', by, thingId }, amount, unit: 'pieces' });
    const own = jar({ move: 'bought', amount: 3 });
    const things = [own];
    expect(cover(bit('drawer', own.id), { things })).deep.include({ stand: 'ready', lacks: 0, leadDays: 0 });
    expect(cover(bit('drawer', own.id, 4), { things })).deep.include({ stand: 'short', lacks: 1 });
    expect(cover(bit('drawer'), { things }), 'nobody said which').deep.include({ stand: 'missing', lacks: 2 });
    expect(cover(bit('buy', own.id), { things }).stand, 'it is to be bought').equal('missing');
    const order = { ...{ wantId: 'w1', thingId: null, serves: null, pot: null, toolKind: null, amount: 1 } };
    const orders = (bitId: string | null) => [{ ...order, bitId, arrivesOn: '2026-12-04' }];
    expect(cover(bit('buy'), { orders: orders('b') }).stand).equal('ordered');
    expect(cover(bit('buy'), { orders: orders(null) }).stand, 'that is the part').equal('missing');
    const door = line('a door', { kind: 'part', wantId: 'w1', amount: null, unit: '' });
    expect(cover(door, { orders: orders('b') }).stand, 'that is its bit').equal('missing');
  });

  it('of paint on its way: the very pot, where the plan names it', () => {
    const nobody = { wantId: null, bitId: null, thingId: null, toolKind: null };
    const orders = [
      { ...nobody, serves: 'body colour' as const, pot: 'Quay Red', amount: 50, arrivesOn: '2026-12-05' },
    ];
    const ivory = line('body colour', { pot: 'Quay Ivory', amount: 6 });
    expect(cover(ivory, { orders }).stand).equal('missing');
    expect(cover({ ...ivory, pot: 'Quay Red' }, { orders }).stand).equal('ordered');
    expect(cover({ ...ivory, pot: null }, { orders }).stand).equal('ordered');
  });

  it('in 3,000 random houses: ready exactly when a slow count of single drops finds enough', () => {
    const random = createSeededRandom(19);
    const pick = (most: number) => Math.floor(random() * (most + 1));
    for (let round = 0; round < 3000; round++) {
      const steps: Step[] = [];
      const drops: { owner: string; ago: number }[] = [];
      for (let i = 0; i < 4; i++) {
        // The oldest comes in first, as the log of a thing is written.
        const [amount, ago] = [1 + pick(5), 1000 - 240 * i];
        steps.push({ move: 'bought', amount, ago });
        for (let k = 0; k < amount; k++) drops.push({ owner: '', ago });
      }
      for (const jobId of ['mine', 'other']) {
        const free = drops.filter(({ owner }) => owner === '');
        const amount = pick(Math.min(3, free.length));
        if (amount === 0) continue;
        steps.push({ move: 'reserved', amount, jobId, ago: 1 });
        // What is held for others is taken from the freshest last: nobody holds a certain drop, so only numbers count.
        for (const drop of free.slice(0, amount)) drop.owner = jobId;
      }
      const good = drops.filter(({ ago }) => ago < 730).length;
      const others = drops.filter(({ owner }) => owner === 'other').length;
      const mine = Math.max(0, Math.min(good, drops.length - others));
      const amount = 1 + pick(20);
      const found = cover({ ...oil, amount }, { things: [jar(...steps)] });
      expect(found.stand === 'ready', `round ${round}`).equal(mine >= amount);
      expect(found.lacks).equal(Math.max(0, amount - mine));
    }
  });
});
