import { useState } from 'react';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import { OrderedList } from '../../shared/ui/OrderedList.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';
import { Shown } from './Shown.tsx';

interface Wheel {
  readonly id: string;
  readonly name: string;
  readonly diameterMm: number | null;
  readonly place: string;
}

const PLACES = ['drawer 1', 'drawer 2', 'on the bench', 'wanted'];
const wheels = (count: number): readonly Wheel[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `w${i}`,
    name: `Wheel ${i + 1}`,
    diameterMm: i % 7 === 0 ? null : 8 + ((i * 13) % 50) / 10,
    place: PLACES[i % 4]!,
  }));
const FEW = wheels(5);
const MANY = wheels(10_000);

const COLUMNS: readonly Column<Wheel>[] = [
  { key: 'name', heading: 'Name', read: ({ name }) => name, share: 2 },
  { key: 'diameter', heading: 'Diameter, mm', read: ({ diameterMm }) => diameterMm, isNumber: true },
  { key: 'place', heading: 'Place', read: ({ place }) => place },
  { key: 'id', heading: 'Mark', read: ({ id }) => id, isHidden: true },
];

export function ShowTables() {
  const [open, setOpen] = useState<string | null>(null);
  const [order, setOrder] = useState(['Grey primer', 'Signal red', 'Cream', 'Gloss clear']);
  const common = {
    ...{ columns: COLUMNS, keyOf: ({ id }: Wheel) => id, fileName: 'wheels', openKey: open },
    onOpen: ({ id }: Wheel) => setOpen(open === id ? null : id),
    showOpen: ({ name }: Wheel) => <p className="p-3">{name} lies here.</p>,
  };
  return (
    <Shown part="Tables and lists in an order">
      <OrderedList
        label="Coats in their order"
        items={order.map((name) => ({ id: name, name, content: <span>{name}</span> }))}
        onMove={(id, place) => setOrder((before) => before.filter((name) => name !== id).toSpliced(place, 0, id))}
      />
      <OrderedList
        label="An order that stands"
        items={[{ id: 'one', name: 'One', content: <span>One coat cannot change places.</span> }]}
        onMove={() => undefined}
      />
      <div className="col-span-full space-y-6">
        <DataTable {...common} label="Five wheels" rows={FEW} />
        <DataTable {...common} label="Ten thousand wheels" rows={MANY} height="24rem" />
        <DataTable {...common} label="No wheels" rows={[]} isFilterless />
      </div>
    </Shown>
  );
}
