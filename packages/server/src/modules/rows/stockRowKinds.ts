import { ChangeSupplier, ChangeThing, CreateSupplier, CreateThing } from '@sardonyx/contract';
import { EMPTY_STOCK, listFaults } from '@sardonyx/core';
import { Not } from 'typeorm';
import { StockMovementRow, StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { refused } from '../../http/errors.ts';
import { noJob, type RowKind } from './rowKind.ts';
import { findRow } from './versionedRows.ts';

const common = { movesPlan: false, jobOf: noJob, mayDelete: true } as const;

/** What lies in drawers, and who sends it. */
export const STOCK_ROW_KINDS: readonly RowKind[] = [
  {
    ...common,
    path: 'stock-things',
    what: 'This thing',
    type: StockThingRow,
    create: CreateThing,
    change: ChangeThing,
    defaults: { state: EMPTY_STOCK },
    check: async (manager, { id, kind, name, drawer, sizes, traits, supplierId }: StockThingRow) => {
      const faults = listFaults(kind, sizes, traits);
      if (faults.length)
        throw refused(
          'thing',
          faults.map(({ field, message }) => `${field}: ${message}`).join(' '),
          Object.fromEntries(faults.map(({ field, message }) => [field, message])),
        );
      if (supplierId !== null) await findRow(manager, SupplierRow, supplierId, 'This supplier');
      if (await manager.existsBy(StockThingRow, { id: Not(id), kind, name, drawer }))
        throw refused(
          'there',
          `There is “${name}” (${kind}) ${drawer ? `in drawer ${drawer}` : 'without a drawer'} already.`,
          {
            name: 'Count that one, or name this one otherwise.',
          },
        );
    },
    checkDelete: async (manager, { id, name }: StockThingRow) => {
      if (await manager.existsBy(StockMovementRow, { thingId: id }))
        throw refused('logged', `${name} has a log: it stays. Count it down to nothing where it is used up.`);
    },
  },
  {
    ...common,
    path: 'suppliers',
    what: 'This supplier',
    type: SupplierRow,
    create: CreateSupplier,
    change: ChangeSupplier,
    check: async (manager, { id, name }: SupplierRow) => {
      if (await manager.existsBy(SupplierRow, { id: Not(id), name }))
        throw refused('there', `There is a supplier “${name}” already.`, { name: 'Name this one otherwise.' });
    },
  },
];
