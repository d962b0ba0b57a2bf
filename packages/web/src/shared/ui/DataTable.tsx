import {
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Field } from './Field.tsx';
import { ColumnsIcon, CopyIcon, DownIcon, SortIcon, TakeOutIcon, UpIcon } from './icons.ts';
import { Menu } from './Menu.tsx';
import { filterRows, writeCsv, writeTabbed, type Cell } from './tableText.ts';

export interface Column<R extends object> {
  readonly key: string;
  readonly heading: string;
  /** What is sorted, found, copied and written out. */
  readonly read: (row: R) => Cell;
  /** What is shown, where that is more than the words. */
  readonly show?: (row: R) => ReactNode;
  readonly isNumber?: boolean;
  /** Not shown until somebody asks for it. */
  readonly isHidden?: boolean;
  /** Share of the width, 1 where nothing is said. */
  readonly share?: number;
}

interface DataTableProps<R extends object> {
  readonly label: string;
  readonly rows: readonly R[];
  readonly columns: readonly Column<R>[];
  readonly keyOf: (row: R) => string;
  /** Name of the file that is taken out, without its ending. */
  readonly fileName: string;
  /** What Enter or a press on a row does. */
  readonly onOpen?: (row: R) => void;
  /** Under the row of this key. */
  readonly openKey?: string | null;
  readonly showOpen?: (row: R) => ReactNode;
  /** Height of the part that scrolls; the page scrolls without one. */
  readonly height?: string;
  readonly isFilterless?: boolean;
}

const features = tableFeatures({ rowSortingFeature, columnVisibilityFeature, sortedRowModel: createSortedRowModel() });

/** Longer tables draw only the rows that can be seen. */
const LONG = 100;
const ROW_PX = 44;

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
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
    link.download = `${fileName}.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
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
      <Rows
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

interface RowsProps<R extends object> extends DataTableProps<R> {
  readonly shown: readonly Column<R>[];
  readonly sorted: readonly R[];
  readonly sortedBy: (key: string) => false | 'asc' | 'desc';
  readonly onSort: (key: string) => void;
}

function Rows<R extends object>(props: RowsProps<R>) {
  const { label, shown, sorted, keyOf, onOpen, openKey = null, showOpen, height, sortedBy, onSort } = props;
  const frame = useRef<HTMLDivElement>(null);
  const isLong = sorted.length > LONG;
  const virtual = useVirtualizer({
    count: sorted.length,
    enabled: isLong,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    getItemKey: (i) => keyOf(sorted[i]!),
    overscan: 12,
  });
  const items = virtual.getVirtualItems();
  const drawn = isLong ? items.map((item) => item.index) : sorted.map((_, i) => i);
  const above = isLong ? (items[0]?.start ?? 0) : 0;
  const below = isLong ? virtual.getTotalSize() - (items.at(-1)?.end ?? 0) : 0;
  const shares = shown.reduce((sum, one) => sum + (one.share ?? 1), 0);
  return (
    <div
      ref={frame}
      role="region"
      aria-label={`${label}, rows`}
      tabIndex={0}
      className="overflow-auto border-y border-strong-line"
      style={isLong || height ? { height: height ?? '70vh' } : undefined}
      onKeyDown={onOpen && moveAlong}
    >
      <table
        className={`w-full border-collapse ${isLong ? 'table-fixed' : ''}`}
        aria-rowcount={sorted.length + 1}
        aria-label={label}
      >
        <thead className="sticky top-0 z-10 bg-bench">
          <tr aria-rowindex={1}>
            {shown.map((column) => (
              <Heading
                key={column.key}
                column={column}
                width={isLong ? `${(100 * (column.share ?? 1)) / shares}%` : undefined}
                sorted={sortedBy(column.key)}
                onSort={() => onSort(column.key)}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {above > 0 && <tr aria-hidden style={{ height: above }} />}
          {drawn.map((i) => {
            const row = sorted[i]!;
            const key = keyOf(row);
            return (
              <TableRow
                key={key}
                row={row}
                at={i}
                shown={shown}
                isOpen={showOpen ? openKey === key : undefined}
                {...(onOpen ? { onOpen: () => onOpen(row) } : {})}
                below={openKey === key && showOpen ? showOpen(row) : null}
              />
            );
          })}
          {below > 0 && <tr aria-hidden style={{ height: below }} />}
        </tbody>
      </table>
      {sorted.length === 0 && <p className="p-4 text-soft-ink">Nothing here is like that.</p>}
    </div>
  );
}

/** Arrow keys go from row to row. */
function moveAlong(event: KeyboardEvent<HTMLDivElement>) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (!step || !(event.target as HTMLElement).matches('[data-row-act]')) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-row-act]')];
  const next = all[all.indexOf(event.target as HTMLElement) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

interface HeadingProps<R extends object> {
  readonly column: Column<R>;
  readonly width: string | undefined;
  readonly sorted: false | 'asc' | 'desc';
  readonly onSort: () => void;
}

const WAYS = { asc: 'ascending', desc: 'descending' } as const;

function Heading<R extends object>({ column, width, sorted, onSort }: HeadingProps<R>) {
  const Sign = sorted === 'asc' ? UpIcon : sorted === 'desc' ? DownIcon : SortIcon;
  return (
    <th
      scope="col"
      aria-sort={sorted ? WAYS[sorted] : 'none'}
      className={`border-b border-strong-line p-0 font-semibold ${column.isNumber ? 'text-right' : 'text-left'}`}
      style={width ? { width } : undefined}
    >
      <button type="button" className="inline-flex min-h-11 items-center gap-1 px-2" onClick={onSort}>
        {column.heading}
        <Sign aria-hidden size={16} className={sorted ? '' : 'text-soft-ink'} />
      </button>
    </th>
  );
}

interface TableRowProps<R extends object> {
  readonly row: R;
  readonly at: number;
  readonly shown: readonly Column<R>[];
  /** Whether more of it is shown below; undefined where opening it leads elsewhere. */
  readonly isOpen: boolean | undefined;
  readonly onOpen?: () => void;
  readonly below: ReactNode;
}

function TableRow<R extends object>({ row, at, shown, isOpen, onOpen, below }: TableRowProps<R>) {
  return (
    <>
      <tr aria-rowindex={at + 2} className="border-b border-hairline" style={{ height: ROW_PX }}>
        {shown.map((column, i) => {
          const content = column.show?.(row) ?? column.read(row) ?? '';
          return (
            <td key={column.key} className={`px-2 py-1 ${column.isNumber ? 'figure text-right' : ''}`}>
              {i === 0 && onOpen ? (
                <button
                  type="button"
                  data-row-act
                  aria-expanded={isOpen}
                  className="min-h-9 text-left underline underline-offset-4"
                  onClick={onOpen}
                >
                  {content}
                </button>
              ) : (
                content
              )}
            </td>
          );
        })}
      </tr>
      {below !== null && (
        <tr>
          <td colSpan={shown.length}>{below}</td>
        </tr>
      )}
    </>
  );
}
