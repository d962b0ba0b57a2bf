import {
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useDeferredValue, useMemo, useState } from 'react';
import { Field } from './Field.tsx';
import { ColumnsIcon, CopyIcon, TakeOutIcon } from './icons.ts';
import { Menu } from './Menu.tsx';
import { saveFile } from './saveFile.ts';
import { TableRows, type Column, type OpenRows } from './TableRows.tsx';
import { filterRows, writeCsv, writeTabbed } from './tableText.ts';

interface DataTableProps<R extends object> extends OpenRows<R> {
  readonly rows: readonly R[];
  readonly columns: readonly Column<R>[];
  /** Name of the file that is taken out, without its ending. */
  readonly fileName: string;
  readonly isFilterless?: boolean;
}

const features = tableFeatures({ rowSortingFeature, columnVisibilityFeature, sortedRowModel: createSortedRowModel() });

/** Rows of one kind: sort by a heading, find by words, choose columns, copy or take out what is shown. */
export function DataTable<R extends object>(props: DataTableProps<R>) {
  const { label, rows, columns, keyOf, fileName, isFilterless = false } = props;
  const [text, setText] = useState('');
  const asked = useDeferredValue(text);
  const found = useMemo(() => filterRows(rows, columns, asked), [rows, columns, asked]);
  const [said, setSaid] = useState('');
  const table = useTable({
    features,
    columns: useMemo(
      () =>
        columns.map((column) => ({
          id: column.key,
          header: column.heading,
          accessorFn: (row: R) => column.read(row) ?? undefined,
          sortFn: compareCells,
          sortUndefined: 'last' as const,
        })),
      [columns],
    ),
    data: found,
    getRowId: keyOf,
    initialState: {
      columnVisibility: Object.fromEntries(columns.filter((one) => one.isHidden).map((one) => [one.key, false])),
    },
  });
  const shown = table.getVisibleLeafColumns().map(({ id }) => columns.find((column) => column.key === id)!);
  const sorted = table.getRowModel().rows.map((row) => row.original);
  const copy = async () => {
    await navigator.clipboard.writeText(writeTabbed(sorted, shown));
    setSaid(`${sorted.length} rows copied.`);
  };
  const takeOut = async () => {
    const csv = await writeCsv(sorted, shown);
    saveFile(new Blob([csv], { type: 'text/csv' }), `${fileName}.csv`);
  };
  return (
    <section aria-label={label}>
      <div className="flex flex-wrap items-end justify-between gap-3 pb-2">
        {!isFilterless && (
          <Field label="Find in it" isQuiet width="16rem">
            <input type="search" value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
        )}
        <p role="status" className="text-note text-soft-ink">
          {said || (found.length < rows.length ? `${found.length} of ${rows.length}` : `${rows.length} in all`)}
        </p>
        <div className="ml-auto flex gap-2">
          <Menu
            acts={table.getAllLeafColumns().map((column) => ({
              word: columns.find(({ key }) => key === column.id)!.heading,
              isOn: column.getIsVisible(),
              // The last one stays: a table of nothing helps nobody.
              isDisabled: column.getIsVisible() && shown.length === 1,
              onAct: () => column.toggleVisibility(),
            }))}
          >
            <button type="button" className="plain-button">
              <ColumnsIcon aria-hidden size={18} /> Columns
            </button>
          </Menu>
          <button type="button" className="plain-button" onClick={() => void copy()}>
            <CopyIcon aria-hidden size={18} /> Copy
          </button>
          <button type="button" className="plain-button" onClick={() => void takeOut()}>
            <TakeOutIcon aria-hidden size={18} /> CSV
          </button>
        </div>
      </div>
      <TableRows
        {...props}
        shown={shown}
        sorted={sorted}
        sortedBy={(key) => table.getColumn(key)?.getIsSorted() ?? false}
        onSort={(key) => table.getColumn(key)?.toggleSorting(undefined, false)}
      />
    </section>
  );
}

/** By size where both are numbers, else by words, figures in them by size. */
function compareCells(
  a: { getValue: (id: string) => unknown },
  b: { getValue: (id: string) => unknown },
  id: string,
): number {
  const [x, y] = [a.getValue(id), b.getValue(id)];
  if (typeof x === 'number' && typeof y === 'number') return x - y;
  return String(x).localeCompare(String(y), undefined, { numeric: true, sensitivity: 'base' });
}
