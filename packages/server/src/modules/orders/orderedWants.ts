import { In, IsNull, type EntityManager } from 'typeorm';
import { OrderLineRow, type StockOrderRow } from '../../entities/order.ts';
import { WantRow } from '../../entities/workpiece.ts';

/** Wants of an order that have not come. */
async function findWants(manager: EntityManager, orderId: string): Promise<WantRow[]> {
  const lines = await manager.findBy(OrderLineRow, { orderId, arrivedOn: IsNull(), bitId: IsNull() });
  return manager.findBy(WantRow, { id: In(lines.flatMap(({ wantId }) => wantId ?? [])), state: 'ordered' });
}

/** A new promise is the day of everything that waits for it. */
export async function keepWantsInStep(manager: EntityManager, { id, promisedOn }: StockOrderRow): Promise<void> {
  for (const { id: wantId, version } of await findWants(manager, id))
    await manager.update(WantRow, { id: wantId }, { dueOn: promisedOn, version: version + 1 });
}

/** An order that is taken back leaves its wants open. */
export async function letGoOfWants(manager: EntityManager, orderId: string): Promise<void> {
  for (const { id, version } of await findWants(manager, orderId))
    await manager.update(WantRow, { id }, { state: 'open', dueOn: null, version: version + 1 });
}
