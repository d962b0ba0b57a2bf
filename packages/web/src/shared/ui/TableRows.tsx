import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useEffectEvent, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { DownIcon, SortIcon, UpIcon } from './icons.ts';
import type { Cell } from './tableText.ts';

/** Longer tables draw only the rows that can be seen. */
const LONG = 100;
const ROW_PX = 44;
const LINE_PX = 1;

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

/** How rows are told apart, what opens of them, and how much room they have. */
export interface OpenRows<R extends object> {
  readonly label: string;
  readonly keyOf: (row: R) => string;
  /** What Enter or a press on a row does. */
  readonly onOpen?: (row: R) => void;
  /** Under the row of this key. */
  readonly openKey?: string | null;
  readonly showOpen?: (row: R) => ReactNode;
  /** The part that scrolls is never higher; the page scrolls without one. */
  readonly height?: string;
}

interface TableRowsProps<R extends object> extends OpenRows<R> {
  readonly shown: readonly Column<R>[];
  readonly sorted: readonly R[];
  readonly sortedBy: (key: string) => false | 'asc' | 'desc';
  readonly onSort: (key: string) => void;
}

/** The rows as they were sorted, those of a long table only where they can be seen. */
export function TableRows<R extends object>(props: TableRowsProps<R>) {
  const { label, shown, sorted, keyOf, onOpen, openKey = null, showOpen, height, sortedBy, onSort } = props;
  const frame = useRef<HTMLDivElement>(null);
  const isLong = sorted.length > LONG;
  const virtual = useVirtualizer({
    count: sorted.length,
    enabled: isLong,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX + LINE_PX,
    getItemKey: (i) => keyOf(sorted[i]!),
    overscan: 12,
  });
  const forgetOpen = useEffectEvent((key: string) => {
    const at = sorted.findIndex((row) => keyOf(row) === key);
    if (at >= 0) virtual.resizeItem(at, ROW_PX + LINE_PX);
  });
  useEffect(() => {
    if (openKey !== null && isLong) return () => forgetOpen(openKey);
    return undefined;
  }, [openKey, isLong]);
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
      style={isLong || height ? { maxHeight: height ?? '70vh' } : undefined}
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
        {above > 0 && <Gap px={above} />}
        {drawn.map((i) => {
          const row = sorted[i]!;
          const key = keyOf(row);
          return (
            <TableRow
              key={key}
              // What is open is higher than a row. Measuring all would stop a scroll by keyboard half way.
              measure={isLong && openKey === key ? virtual.measureElement : undefined}
              row={row}
              at={i}
              shown={shown}
              isOpen={showOpen ? openKey === key : undefined}
              {...(onOpen ? { onOpen: () => onOpen(row) } : {})}
              below={openKey === key && showOpen ? showOpen(row) : null}
            />
          );
        })}
        {below > 0 && <Gap px={below} />}
      </table>
      {sorted.length === 0 && <p className="p-4 text-soft-ink">Nothing here is like that.</p>}
    </div>
  );
}

/** Rows that are not drawn. */
const Gap = ({ px }: { readonly px: number }) => (
  <tbody aria-hidden>
    <tr style={{ height: px }} />
  </tbody>
);

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
      <button
        type="button"
        className={`inline-flex min-h-11 items-center gap-1 px-2 ${column.isNumber ? 'text-right' : 'text-left'}`}
        onClick={onSort}
      >
        {column.heading}
        <Sign aria-hidden size={16} className={sorted ? '' : 'text-soft-ink'} />
      </button>
    </th>
  );
}

interface TableRowProps<R extends object> {
  readonly measure: ((row: HTMLElement | null) => void) | undefined;
  readonly row: R;
  readonly at: number;
  readonly shown: readonly Column<R>[];
  /** Whether more of it is shown below; undefined where opening it leads elsewhere. */
  readonly isOpen: boolean | undefined;
  readonly onOpen?: () => void;
  readonly below: ReactNode;
}

function TableRow<R extends object>({ measure, row, at, shown, isOpen, onOpen, below }: TableRowProps<R>) {
  return (
    <tbody ref={measure} data-index={at}>
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
    </tbody>
  );
}
