import type { StockView, ThingView } from '@sardonyx/contract';
import { countFree, STOCK_KINDS, watchStock, type StockState, type StockThing } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { SupplierRow } from '../../entities/stock.ts';

/** As the driver hands it out. */
type Stored = Omit<StockThing, 'sizes' | 'traits' | 'isLocked'> & {
  readonly sizes: string;
  readonly traits: string;
  readonly isLocked: 0 | 1;
  readonly state: string;
};

/** All that lies in drawers, and who sends more of it. Thousands of things: the columns are read as they are stored. */
export async function readStock(manager: EntityManager, now: Date): Promise<StockView> {
  const rows = await manager.query<Stored[]>('SELECT * FROM stock_thing ORDER BY kind, name, drawer');
  return {
    things: rows.map((row) => describeThing(row, now)),
    suppliers: await manager.find(SupplierRow, { order: { name: 'ASC' } }),
  };
}

function describeThing(row: Stored, now: Date): ThingView {
  const state = JSON.parse(row.state) as StockState;
  const { reorderAt, keepsDays } = row;
  return {
    ...row,
    sizes: JSON.parse(row.sizes) as StockThing['sizes'],
    traits: JSON.parse(row.traits) as StockThing['traits'],
    isLocked: row.isLocked === 1,
    state,
    free: countFree(state),
    notices: watchStock({ state, reorderAt, keepsDays: keepsDays ?? STOCK_KINDS[row.kind].keepsDays }, now),
  };
}
