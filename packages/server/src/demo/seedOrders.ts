import type { EntityManager } from 'typeorm';
import { OrderLineRow, StockOrderRow } from '../entities/order.ts';
import { WantRow } from '../entities/workpiece.ts';

const DAY_MS = 86_400_000;

interface DemoOrder {
  readonly supplierId: string;
  readonly daysAgo: number;
  readonly promisedDays: number;
  /** null while it is on its way. */
  readonly tookDays: number | null;
  readonly lines: readonly Partial<OrderLineRow>[];
}

const came = (what: string, amount: number, price: number, quality: OrderLineRow['quality'] = 'as wanted') => ({
  ...{ what, amount, unit: 'pieces', price, quality },
});

/** What the demo's workshop sent for: enough of each supplier to know what its word is worth. */
const ORDERS: readonly DemoOrder[] = [
  { supplierId: 'fennimar', daysAgo: 300, promisedDays: 7, tookDays: 8, lines: [came('1.2 × 28, both bare', 8, 1.76)] },
  { supplierId: 'fennimar', daysAgo: 190, promisedDays: 7, tookDays: 7, lines: [came('1.6 × 24, both bare', 6, 1.32)] },
  { supplierId: 'fennimar', daysAgo: 75, promisedDays: 7, tookDays: 9, lines: [came('1 × 18.4, both bare', 5, 1.1)] },
  {
    supplierId: 'tern-street',
    daysAgo: 220,
    promisedDays: 5,
    tookDays: 6,
    lines: [came('12 mm, block tread', 16, 4.48)],
  },
  {
    ...{ supplierId: 'tern-street', daysAgo: 150, promisedDays: 5, tookDays: 11 },
    lines: [came('M2 × 5, pan', 24, 1.2), came('M2 × 8, pan', 24, 1.2, 'wrong')],
  },
  { supplierId: 'tamsel', daysAgo: 130, promisedDays: 10, tookDays: 16, lines: [came('Chevrons', 1, 2.4)] },
  { supplierId: 'tamsel', daysAgo: 70, promisedDays: 10, tookDays: 13, lines: [came('Waistband, library', 2, 4.8)] },
  {
    ...{ supplierId: 'tamsel', daysAgo: 8, promisedDays: 10, tookDays: null },
    lines: [{ wantId: 'sg-03-1.want-2', jobId: 'sg-03', amount: 2, unit: 'sets', price: 9.6 }],
  },
  {
    ...{ supplierId: 'tern-street', daysAgo: 9, promisedDays: 5, tookDays: null },
    lines: [{ wantId: 'sg-09-1.want-1', jobId: 'sg-09', amount: 1, unit: 'pieces', price: 3.5 }],
  },
];

/** Orders that came and orders on their way; those of wants by the day that stands in their jobs. */
export async function seedOrders(manager: EntityManager, now: Date): Promise<void> {
  const dayOf = (daysAgo: number) => new Date(now.getTime() - daysAgo * DAY_MS).toISOString().slice(0, 10);
  for (const [i, { supplierId, daysAgo, promisedDays, tookDays, lines }] of ORDERS.entries()) {
    const id = `order-${i + 1}`;
    // What a want was promised for stands in its job.
    const waiting = await manager.findOneBy(WantRow, { id: lines[0]!.wantId ?? '' });
    const promisedOn = waiting?.dueOn ?? dayOf(daysAgo - promisedDays);
    await manager.insert(StockOrderRow, {
      ...{ id, version: 1, supplierId, orderedOn: dayOf(daysAgo), promisedOn, firstPromisedOn: promisedOn, note: '' },
    });
    for (const [k, line] of lines.entries()) {
      const arrivedOn = tookDays === null ? null : dayOf(daysAgo - tookDays);
      await manager.insert(OrderLineRow, {
        ...{
          id: `${id}-${k + 1}`,
          version: 1,
          orderId: id,
          what: waiting?.what ?? '',
          thingId: null,
          wantId: null,
          bitId: null,
        },
        ...{ serves: null, pot: null, toolKind: null, jobId: null, arrivedOn, quality: null },
        arrivedAmount: arrivedOn === null ? null : (line.amount ?? 0),
        ...line,
      });
    }
  }
}
