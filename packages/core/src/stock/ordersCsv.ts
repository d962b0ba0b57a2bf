import Papa from 'papaparse';
import { guardCell } from '../catalogue/formulaCells.ts';
import { toIsoDay } from './days.ts';
import type { SupplierOrder } from './gatherOrders.ts';

const COLUMNS = ['supplier', 'what', 'amount', 'unit', 'for', 'order_by', 'price'];

/** What is to be ordered, a line a thing, supplier after supplier. */
export function writeOrdersCsv(orders: readonly SupplierOrder[], nameOf: (supplierId: string) => string): string {
  const data = orders.flatMap(({ supplierId, lines }) =>
    lines.map(({ what, amount, unit, jobNumbers, orderBy, price }) => [
      ...[guardCell(nameOf(supplierId)), guardCell(what), amount, unit, guardCell(jobNumbers.join(' '))],
      ...[orderBy === null ? '' : toIsoDay(orderBy), price === null ? '' : Number(price.toFixed(2))],
    ]),
  );
  return Papa.unparse({ fields: COLUMNS, data }, { newline: '\r\n' }) + '\r\n';
}
