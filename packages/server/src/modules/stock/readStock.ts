import type { StockView, ThingView } from '@sardonyx/contract';
import { STOCK_KINDS, sumStock, watchStock, type StockState, type StockThing } from '@sardonyx/core';
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

/** Field by field: copying thousands of rows whole takes longer than reading them. */
function describeThing(row: Stored, now: Date): ThingView {
  const state = JSON.parse(row.state) as StockState;
  const { onHand, free, held } = sumStock(state);
  const { id, version, kind, name, drawer, reorderAt, keepsDays, supplierId, note, pictureHash } = row;
  const keeps = keepsDays ?? STOCK_KINDS[kind].keepsDays;
  const notices = watchStock({ state, reorderAt, keepsDays: keeps }, now);
  const sizes = JSON.parse(row.sizes) as StockThing['sizes'];
  const traits = JSON.parse(row.traits) as StockThing['traits'];
  const isLocked = row.isLocked === 1;
  return {
    id,
    version,
    kind,
    name,
    drawer,
    sizes,
    traits,
    reorderAt,
    keepsDays,
    isLocked,
    supplierId,
    note,
    pictureHash,
    onHand,
    free,
    held,
    notices,
  };
}
