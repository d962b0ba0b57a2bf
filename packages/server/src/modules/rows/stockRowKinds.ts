import {
  ChangeArtwork,
  ChangeDecalOrder,
  ChangeDecalPlan,
  ChangeOrder,
  ChangePrint,
  ChangeSupplier,
  ChangeThing,
  CreateDecalPlan,
  CreateSupplier,
  CreateThing,
} from '@sardonyx/contract';
import { EMPTY_STOCK, listFaults } from '@sardonyx/core';
import { IsNull, Not } from 'typeorm';
import { DecalArtworkRow, DecalOrderRow, DecalPlanRow } from '../../entities/decal.ts';
import { PrintPartRow, PrintRunRow } from '../../entities/print.ts';
import { StockMovementRow, StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { refused } from '../../http/errors.ts';
import { keepWantsInStep, letGoOfWants } from '../orders/orderedWants.ts';
import { jobOfDecal } from '../decals/jobOfDecal.ts';
import { assertCame, assertDecalPlanned, assertNotPlanned, assertStateKnown } from '../decals/decalRowRules.ts';
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
    defaults: { state: EMPTY_STOCK, pictureHash: null },
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
    path: 'stock-orders',
    // The day of a want stands in its plan.
    movesAllPlans: true,
    what: 'This order',
    type: StockOrderRow,
    change: ChangeOrder,
    check: (_, { orderedOn, promisedOn }: StockOrderRow) => {
      if (promisedOn < orderedOn)
        throw refused('promise', 'It cannot come before it is ordered.', { promisedOn: 'Not before it is ordered.' });
    },
    afterSave: keepWantsInStep,
    checkDelete: async (manager, { id }: StockOrderRow) => {
      if (await manager.existsBy(OrderLineRow, { orderId: id, arrivedOn: Not(IsNull()) }))
        throw refused('logged', 'Some of it has come: it stays.');
      await letGoOfWants(manager, id);
    },
  },
  {
    ...common,
    path: 'prints',
    what: 'This part',
    type: PrintPartRow,
    change: ChangePrint,
    checkDelete: async (manager, { id, name }: PrintPartRow) => {
      if (await manager.existsBy(PrintRunRow, { printId: id }))
        throw refused('logged', `${name} was printed: it stays, with what was learned from it.`);
    },
  },
  {
    ...common,
    path: 'artworks',
    what: 'This artwork',
    type: DecalArtworkRow,
    change: ChangeArtwork,
    check: assertStateKnown,
    checkDelete: assertNotPlanned,
  },
  {
    ...common,
    path: 'decal-plans',
    what: 'This decal',
    type: DecalPlanRow,
    create: CreateDecalPlan,
    defaults: { place: null },
    // What its step takes of the drawers follows from whether its artwork is known.
    movesPlan: true,
    jobOf: jobOfDecal,
    change: ChangeDecalPlan,
    check: assertDecalPlanned,
  },
  {
    ...common,
    path: 'decal-orders',
    what: 'This order',
    type: DecalOrderRow,
    change: ChangeDecalOrder,
    check: assertCame,
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
    checkDelete: async (manager, { id, name }: SupplierRow) => {
      if (await manager.existsBy(StockOrderRow, { supplierId: id }))
        throw refused('logged', `Something was ordered from ${name}: it stays.`);
    },
  },
];
