import { foldMovements, type Movement } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { StockMovementRow, StockThingRow, SupplierRow } from '../entities/stock.ts';
import { DEMO_THINGS, type DemoThing } from './drawers.ts';

const SUPPLIERS = [
  { id: 'fennimar', name: 'Fennimar Axle', promisedDays: 7, note: 'Axles and wire, cut to length.' },
  { id: 'tern-street', name: 'Tern Street Spares', promisedDays: 5, note: '' },
  { id: 'tamsel', name: 'Tamsel Transfers', promisedDays: 10, note: 'Decals; 9 to 16 days.' },
] as const;

const DAY_MS = 86_400_000;
const WHO = 'Osric Bell';

/** What jobs have had since, or have put by. */
const SINCE: Readonly<
  Record<string, readonly (Pick<Movement, 'move' | 'amount' | 'jobId'> & { readonly daysAgo: number })[]>
> = {
  '1.2 × 28, both bare': [
    { move: 'taken', amount: 2, jobId: 'sg-00', daysAgo: 40 },
    { move: 'reserved', amount: 2, jobId: 'sg-04', daysAgo: 3 },
  ],
  '12 mm, block tread': [{ move: 'wasted', amount: 1, jobId: null, daysAgo: 20 }],
  'M2 × 5, pan': [{ move: 'reserved', amount: 2, jobId: 'sg-05', daysAgo: 6 }],
  'Brass wire 0.8': [{ move: 'taken', amount: 35, jobId: 'sg-06', daysAgo: 12 }],
  'Nitrile, large': [{ move: 'counted', amount: 9, jobId: null, daysAgo: 5 }],
  'Waistband, library': [{ move: 'reserved', amount: 1, jobId: 'sg-03', daysAgo: 9 }],
};

/** The cabinet with its logs; every quantity follows from these. */
export async function seedDrawers(manager: EntityManager, now: Date): Promise<void> {
  await manager.insert(
    SupplierRow,
    SUPPLIERS.map((supplier) => ({ version: 1, ...supplier })),
  );
  const things = DEMO_THINGS.map((thing, i) => ({ thing, id: `thing-${i + 1}` }));
  const logs = things.map(({ thing, id }) => listMovements(thing, id, now));
  await manager.insert(
    StockThingRow,
    things.map(({ thing, id }, i) => ({
      ...{ id, version: 1, kind: thing.kind, name: thing.name, drawer: thing.drawer },
      ...{ sizes: thing.sizes, traits: thing.traits, reorderAt: thing.reorderAt, keepsDays: null },
      ...{ isLocked: thing.isLocked ?? false, note: thing.note ?? '', state: foldMovements(logs[i]!) },
      supplierId: SUPPLIERS.find(({ name }) => name === thing.supplier)?.id ?? null,
    })),
  );
  await manager.insert(StockMovementRow, logs.flat());
}

function listMovements({ name, amount, unitPrice, daysAgo }: DemoThing, thingId: string, now: Date) {
  const bought = { move: 'bought' as const, amount, jobId: null, daysAgo };
  return [bought, ...(SINCE[name] ?? [])].map((line, i) => ({
    ...{ id: `${thingId}-${i + 1}`, thingId, seq: i + 1, move: line.move, amount: line.amount, jobId: line.jobId },
    at: new Date(now.getTime() - line.daysAgo * DAY_MS).toISOString(),
    price: line.move === 'bought' && unitPrice !== null ? Number((unitPrice * amount).toFixed(2)) : null,
    ...{ batch: '', who: WHO, note: '' },
  }));
}
