import type { SupplierView } from '@sardonyx/contract';
import { learnDelay, learnQuality, predictDays, toDay, type Delay } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import type { SupplierRow } from '../../entities/stock.ts';

export interface OrderBook {
  readonly orders: readonly StockOrderRow[];
  readonly linesOf: (orderId: string) => readonly OrderLineRow[];
  /** What the word of a supplier is worth today. */
  readonly delayOf: (supplierId: string) => Delay;
}

/** All orders with their lines, and what was learned from them. Its days are those of `today`, since 1970. */
export async function readOrderBook(manager: EntityManager, today: number): Promise<OrderBook> {
  const orders = await manager.find(StockOrderRow, { order: { promisedOn: 'ASC', id: 'ASC' } });
  const lines = await manager.find(OrderLineRow, { order: { what: 'ASC', id: 'ASC' } });
  const linesOf = (orderId: string) => lines.filter((line) => line.orderId === orderId);
  const delayOf = (supplierId: string) =>
    learnDelay(
      orders
        .filter((order) => order.supplierId === supplierId)
        .map(({ id, orderedOn, firstPromisedOn }) => ({
          orderedDay: toDay(orderedOn),
          promisedDay: toDay(firstPromisedOn),
          arrivedDay: lastArrival(linesOf(id)),
        })),
      today,
    );
  return { orders, linesOf, delayOf };
}

/** An order has come when its last line has. */
const lastArrival = (lines: readonly OrderLineRow[]): number | null =>
  lines.every(({ arrivedOn }) => arrivedOn !== null)
    ? Math.max(...lines.map(({ arrivedOn }) => toDay(arrivedOn!)))
    : null;

/** Suppliers with what their word and their goods turned out to be. */
export function describeSupplier(supplier: SupplierRow, { orders, linesOf, delayOf }: OrderBook): SupplierView {
  const delay = delayOf(supplier.id);
  const came = orders
    .filter(({ supplierId }) => supplierId === supplier.id)
    .flatMap(({ id }) => linesOf(id))
    .filter(({ quality }) => quality !== null);
  // Of so many days that rounding to whole ones does not matter.
  const shareOf = (share: number) => predictDays(delay, 1000, share) / 1000;
  return {
    ...supplier,
    delay: { share: shareOf(0.5), low: shareOf(0.05), high: shareOf(0.95), orders: delay.orders },
    quality: learnQuality(came.filter(({ quality }) => quality === 'as wanted').length, came.length),
  };
}
