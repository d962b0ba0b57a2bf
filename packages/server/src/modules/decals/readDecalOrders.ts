import type { FollowedOrder } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { DecalOrderRow } from '../../entities/decal.ts';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { SupplierRow } from '../../entities/stock.ts';
import { WantRow } from '../../entities/workpiece.ts';

/** What suppliers are to send, or sent, of decals; the last wanted first. */
export async function readDecalOrders(manager: EntityManager): Promise<FollowedOrder[]> {
  const rows = await manager.createQueryBuilder(DecalOrderRow, 'wanted').orderBy('wanted.rowid', 'DESC').getMany();
  const wantId = In(rows.map((row) => row.wantId));
  const wants = new Map((await manager.findBy(WantRow, { id: wantId })).map((want) => [want.id, want]));
  const lines = await manager.findBy(OrderLineRow, { wantId });
  const orders = await manager.findBy(StockOrderRow, { id: In(lines.map(({ orderId }) => orderId)) });
  const suppliers = await manager.findBy(SupplierRow, { id: In(orders.map(({ supplierId }) => supplierId)) });
  return rows.map((row): FollowedOrder => {
    const { state, dueOn } = wants.get(row.wantId)!;
    // What came otherwise than wanted was ordered again: the line that counts is the one that is open, or came as wanted.
    const line = lines.find(
      (one) => one.wantId === row.wantId && one.bitId === null && (one.quality === null || one.quality === 'as wanted'),
    );
    const order = orders.find(({ id }) => id === line?.orderId);
    const supplier = suppliers.find(({ id }) => id === order?.supplierId);
    return {
      ...{ ...row, state, arrivedOn: line?.arrivedOn ?? null },
      supplier: supplier ? { id: supplier.id, name: supplier.name } : null,
      promisedOn: state === 'ordered' ? dueOn : null,
    };
  });
}
