import type { SupplierView } from '@sardonyx/contract';
import { toDay, type SupplierOrder } from '@sardonyx/core';
import { sayAmount } from '../../shared/sayAmount.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import { sayDay } from './sayOrders.ts';

interface ShoppingListProps {
  readonly orders: readonly SupplierOrder[];
  readonly suppliers: readonly SupplierView[];
  /** ISO day. */
  readonly today: string;
}

/** All of it at one look, the most pressing first; on paper it stands supplier by supplier. */
export function ShoppingList({ orders, suppliers, today }: ShoppingListProps) {
  const nameOf = (id: string) => suppliers.find((supplier) => supplier.id === id)?.name ?? 'who has it is not known';
  const lines = orders
    .flatMap(({ supplierId, lines: own }) => own.map((line) => ({ ...line, from: nameOf(supplierId) })))
    .sort((a, b) => (a.orderBy ?? Infinity) - (b.orderBy ?? Infinity) || a.what.localeCompare(b.what));
  return (
    <ul aria-label="All of it" className="gap-8 border-t border-hairline min-[900px]:columns-2 print:hidden">
      {lines.map(({ what, unit, amount, wantId, bitId, jobNumbers, orderBy, from }) => (
        <li
          key={`${what} ${unit} ${wantId ?? ''} ${bitId ?? ''}`}
          className="grid break-inside-avoid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-b border-hairline py-1"
        >
          <span>
            {what}: <span className="figure">{sayAmount(amount, unit)}</span>
            <span className="block text-note text-soft-ink">{from}</span>
          </span>
          <span className="text-right text-note">
            {orderBy !== null &&
              (orderBy <= toDay(today) ? (
                <>
                  <Sign of="warning" /> order today
                </>
              ) : (
                `order by ${sayDay(orderBy)}`
              ))}
            <span className="block text-soft-ink">{jobNumbers.length ? jobNumbers.join(', ') : 'for the drawer'}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
