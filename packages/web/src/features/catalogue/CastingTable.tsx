import type { CatalogueEntry } from '@sardonyx/contract';
import { useNavigate } from 'react-router';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';

const countHeld = ({ variants }: CatalogueEntry) => variants.filter((variant) => variant.onShelf.length > 0).length;

const COLUMNS: readonly Column<CatalogueEntry>[] = [
  { key: 'number', heading: 'Number', read: ({ number }) => number },
  { key: 'name', heading: 'Name', share: 2, read: ({ name }) => name },
  { key: 'maker', heading: 'Maker', share: 1.5, read: ({ makerName }) => makerName },
  { key: 'range', heading: 'Range', share: 1.5, isHidden: true, read: ({ rangeName }) => rangeName },
  { key: 'kind', heading: 'Kind', read: ({ bodyType }) => bodyType },
  { key: 'from', heading: 'From', isNumber: true, read: ({ fromYear }) => fromYear },
  { key: 'to', heading: 'To', isNumber: true, read: ({ toYear }) => toYear },
  { key: 'issues', heading: 'Issues', isNumber: true, read: ({ variants }) => variants.length },
  { key: 'held', heading: 'Held', isNumber: true, read: countHeld },
  { key: 'models', heading: 'Models here', isNumber: true, isHidden: true, read: ({ onShelf }) => onShelf },
];

/** The castings as rows: to sort, to copy, to take out; Enter on a number opens it. */
export function CastingTable({ castings }: { readonly castings: readonly CatalogueEntry[] }) {
  const navigate = useNavigate();
  return (
    <DataTable
      label="Castings"
      fileName="castings"
      isFilterless
      rows={castings}
      columns={COLUMNS}
      keyOf={({ id }) => id}
      onOpen={({ id }) => void navigate(`/catalogue/${id}`)}
    />
  );
}
