import type { OrderView, SupplierView } from '@sardonyx/contract';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';

interface PastOrdersProps {
  readonly orders: readonly OrderView[];
  readonly suppliers: readonly SupplierView[];
}

interface PastLine {
  readonly id: string;
  readonly what: string;
  readonly supplier: string;
  readonly orderedOn: string;
  readonly promisedOn: string;
  readonly arrivedOn: string;
  readonly quality: string;
  readonly price: number | null;
}

/** What came, and how. */
export function PastOrders({ orders, suppliers }: PastOrdersProps) {
  const rows = orders.flatMap(({ supplierId, orderedOn, firstPromisedOn, lines }) =>
    lines.map(({ id, what, arrivedOn, quality, price }): PastLine => ({
      ...{ id, what, price, orderedOn, promisedOn: firstPromisedOn },
      ...{ arrivedOn: arrivedOn ?? '', quality: quality ?? '' },
      supplier: suppliers.find((one) => one.id === supplierId)?.name ?? '',
    })),
  );
  return (
    <section aria-label="What came" className="print:hidden">
      <Fold title={`What came: ${rows.length} ${rows.length === 1 ? 'line' : 'lines'}`}>
        <DataTable
          label="What came"
          fileName="orders"
          rows={rows}
          columns={COLUMNS}
          keyOf={({ id }) => id}
          height="24rem"
        />
      </Fold>
    </section>
  );
}

const day = (key: 'orderedOn' | 'promisedOn' | 'arrivedOn', heading: string): Column<PastLine> => ({
  ...{ key, heading, read: (line) => line[key] },
  show: (line) => formatDay(line[key]),
});

const COLUMNS: readonly Column<PastLine>[] = [
  { key: 'what', heading: 'What', share: 1.6, read: ({ what }) => what },
  { key: 'supplier', heading: 'From', read: ({ supplier }) => supplier },
  day('orderedOn', 'Ordered'),
  day('promisedOn', 'Promised'),
  day('arrivedOn', 'Came'),
  { key: 'quality', heading: 'How', read: ({ quality }) => quality },
  {
    key: 'price',
    heading: 'Price',
    isNumber: true,
    read: ({ price }) => (price === null ? null : Number(price.toFixed(2))),
    show: ({ price }) => price?.toFixed(2) ?? '',
  },
];
