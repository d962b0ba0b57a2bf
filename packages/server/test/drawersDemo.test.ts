import type { StockView, ThingLog } from '@sardonyx/contract';
import { foldMovements, sumStock, listFaults, STOCK_KIND_NAMES } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('the drawers of the demo', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('hold about 120 things of all kinds, each with the log that its quantity follows from', async () => {
    const { things } = await bench.get<StockView>('stock');
    expect(things.length).within(110, 135);
    expect(new Set(things.map(({ kind }) => kind)).size).equal(STOCK_KIND_NAMES.length);
    const names = new Set(things.map(({ kind, name, drawer }) => `${kind} ${name} ${drawer}`));
    expect(names.size).equal(things.length);
    for (const { id, name, kind, sizes, traits, onHand, free, held } of things) {
      expect(listFaults(kind, sizes, traits), name).deep.equal([]);
      const log = await bench.get<ThingLog>(`stock-things/${id}/movements`);
      expect(sumStock(foldMovements(log)), name).deep.equal({ onHand, free, held });
    }
  });

  it('have something to order, something that went off, and something put by', async () => {
    const { things } = await bench.get<StockView>('stock');
    const kinds = things.flatMap(({ notices }) => notices.map(({ kind }) => kind));
    expect(kinds).include('reorder').and.include('gone off').and.include('goes off');
    expect(things.some(({ held }) => held.length > 0)).equal(true);
    expect(things.some(({ isLocked }) => isLocked)).equal(true);
  });
});
