import {
  expectArrival,
  SERVING_KINDS,
  toDay,
  toIsoDay,
  type Household,
  type MarkedThing,
  type PaintProduct,
  type StockKind,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { readOrderBook } from '../orders/supplierWords.ts';
import { ToolRow } from '../../entities/workshop.ts';

/** What lies in a drawer, its mark, and who sends more of it. */
type OwnThing = MarkedThing & { readonly supplierId: string | null };

interface OwnHousehold extends Omit<Household, 'things'> {
  readonly things: readonly OwnThing[];
}

type Stored = Pick<OwnThing, 'id' | 'name' | 'drawer' | 'keepsDays' | 'reorderAt' | 'supplierId'> & {
  readonly kind: StockKind;
  readonly traits: string;
  readonly isLocked: 0 | 1;
  readonly state: string;
};

/**
 * All that plans ask for by name and is in the house, or everything that lies there. Of thousands of things: the columns are read
 * as they are stored.
 */
export async function readHousehold(
  manager: EntityManager,
  now: Date,
  which: 'serving' | 'all' = 'serving',
): Promise<OwnHousehold> {
  const things = await manager.query<Stored[]>(
    `SELECT id, kind, name, drawer, keepsDays, reorderAt, supplierId, traits, isLocked, state FROM stock_thing${which === 'all' ? '' : SERVING}`,
  );
  return {
    tools: await manager.find(ToolRow),
    things: things.map((row) => ({
      ...row,
      traits: JSON.parse(row.traits) as OwnThing['traits'],
      isLocked: row.isLocked === 1,
      state: JSON.parse(row.state) as OwnThing['state'],
    })),
    pots: await manager.query<{ name: string; kind: PaintProduct['kind']; left: number }[]>(
      `SELECT line || ' ' || name AS name, kind, total(leftMl) AS left FROM paint_product
       LEFT JOIN paint_pot ON paint_pot.productId = paint_product.id GROUP BY paint_product.id`,
    ),
    orders: await readComing(manager, now),
  };
}

const SERVING = ` WHERE kind IN (${SERVING_KINDS.map((kind) => `'${kind}'`).join(', ')}) OR json_extract(traits, '$.serves') IS NOT NULL
  OR id IN (SELECT json_extract(bit.value, '$.thingId') FROM want, json_each(want.bits) AS bit)`;

/** What is on its way, by the day on which it is likely to come. */
async function readComing(manager: EntityManager, now: Date): Promise<Household['orders']> {
  const today = toDay(now.toISOString());
  const book = await readOrderBook(manager, today);
  return book.orders.flatMap((order) => {
    const days = { orderedDay: toDay(order.orderedOn), promisedDay: toDay(order.promisedOn) };
    const { likely } = expectArrival(days, book.delayOf(order.supplierId), today);
    return book
      .linesOf(order.id)
      .filter(({ arrivedOn }) => arrivedOn === null)
      .map(({ wantId, bitId, thingId, serves, pot, toolKind, amount }) => ({
        ...{ wantId, bitId, thingId, serves, pot, toolKind, amount },
        arrivesOn: toIsoDay(likely),
      }));
  });
}
