import Papa from 'papaparse';
import { guardCell, unguardCell } from '../catalogue/formulaCells.ts';
import { readCsvRecords } from '../catalogue/readCsvRecords.ts';
import {
  STOCK_KIND_NAMES,
  STOCK_KINDS,
  STOCK_SIZES,
  STOCK_TRAITS,
  WHOLE_UNITS,
  type StockKind,
  type StockSize,
  type StockSizes,
  type StockTraits,
} from '../model/stock.ts';
import { listFaults } from './listFaults.ts';

/** A thing as it stands in a file of drawers. */
export interface StockLine {
  readonly lineNumber: number;
  readonly kind: StockKind;
  readonly name: string;
  readonly drawer: string;
  /** In the unit of its kind. */
  readonly amount: number;
  readonly reorderAt: number | null;
  readonly unitPrice: number | null;
  readonly supplier: string;
  readonly batch: string;
  readonly sizes: StockSizes;
  readonly traits: StockTraits;
  readonly note: string;
}

export interface StockProblem {
  readonly line: number;
  readonly column: string | null;
  readonly message: string;
}

/** "headHeight" as it stands over a column: "head_height_mm". */
const columnOf = (size: StockSize): string => `${size.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)}_mm`;

export const STOCK_COLUMNS: readonly string[] = [
  ...['kind', 'name', 'drawer', 'amount', 'reorder_at', 'unit_price', 'supplier', 'batch'],
  ...STOCK_SIZES.map(columnOf),
  ...STOCK_TRAITS,
  'note',
];

const MOST_MM = 2000;
const MOST_AMOUNT = 1_000_000;
const LONGEST = 120;

/**
 * Things from CSV text (comma, semicolon or tab; columns in any order). Every cell that is wrong is told by line and column; lines
 * without a fault are returned. A size or a word that things of the kind do not have is a fault: it would be lost.
 */
export function readStockCsv(text: string): { readonly lines: StockLine[]; readonly problems: StockProblem[] } {
  const read = readCsvRecords(text, ['kind', 'name', 'amount']);
  if ('refusal' in read) return { lines: [], problems: [read.refusal] };
  const problems: StockProblem[] = [];
  const seen = new Map<string, number>();
  const lines = read.records.flatMap((record, i): StockLine[] => {
    const own = readLine(record, i + 2);
    const key = nameThing(own.line);
    if (seen.has(key))
      own.problems.push({
        line: i + 2,
        column: 'name',
        message: `The same thing stands in line ${seen.get(key)} already.`,
      });
    seen.set(key, i + 2);
    problems.push(...own.problems);
    return own.problems.length === 0 ? [own.line] : [];
  });
  return { lines, problems };
}

/** A thing is known by its kind, its name and its drawer. */
export const nameThing = ({ kind, name, drawer }: Pick<StockLine, 'kind' | 'name' | 'drawer'>): string =>
  JSON.stringify([kind, name, drawer]);

const isSize = (name: string): name is StockSize => (STOCK_SIZES as readonly string[]).includes(name);

function readLine(record: Readonly<Record<string, string>>, lineNumber: number) {
  const problems: StockProblem[] = [];
  const fault = (column: string, message: string) => void problems.push({ line: lineNumber, column, message });
  const cell = (column: string) => {
    const value = unguardCell(record[column]?.trim() ?? '');
    if (value.length > LONGEST) fault(column, `At most ${LONGEST} letters are wanted.`);
    return value;
  };
  const number = (column: string, most: number, least = 0): number | null => {
    if (cell(column) === '') return null;
    const value = Number(cell(column));
    if (value >= least && value <= most) return value;
    fault(column, `A number from ${least} to ${most} is wanted.`);
    return null;
  };
  const kind = cell('kind').toLowerCase() as StockKind;
  const facts = STOCK_KINDS[kind] as (typeof STOCK_KINDS)[StockKind] | undefined;
  if (!facts) fault('kind', `"${kind}" is none of: ${STOCK_KIND_NAMES.join(', ')}.`);
  if (cell('name') === '') fault('name', 'It needs a name.');
  const amount = number('amount', MOST_AMOUNT);
  if (cell('amount') === '') fault('amount', 'Say how much there is.');
  if (facts && amount !== null && WHOLE_UNITS.has(facts.unit) && !Number.isInteger(amount))
    fault('amount', `There are no parts of ${facts.unit}: a whole number is wanted.`);
  const sizes = Object.fromEntries(
    STOCK_SIZES.flatMap((size) => {
      const value = number(columnOf(size), MOST_MM);
      return value === null ? [] : [[size, value]];
    }),
  );
  const traits = Object.fromEntries(
    STOCK_TRAITS.flatMap((trait) => (cell(trait) === '' ? [] : [[trait, cell(trait)]])),
  );
  for (const { field, message } of facts ? listFaults(kind, sizes, traits) : [])
    fault(isSize(field) ? columnOf(field) : field, message);
  const line: StockLine = {
    ...{ lineNumber, kind, name: cell('name'), drawer: cell('drawer'), amount: amount ?? 0 },
    ...{ reorderAt: number('reorder_at', MOST_AMOUNT), unitPrice: number('unit_price', MOST_AMOUNT) },
    ...{ supplier: cell('supplier'), batch: cell('batch'), sizes, traits, note: cell('note') },
  };
  return { line, problems };
}

/** Things as CSV, by kind, name and drawer. */
export function writeStockCsv(lines: readonly Omit<StockLine, 'lineNumber'>[]): string {
  const rows = [...lines]
    .sort(
      (a, b) =>
        STOCK_KIND_NAMES.indexOf(a.kind) - STOCK_KIND_NAMES.indexOf(b.kind) ||
        a.name.localeCompare(b.name) ||
        a.drawer.localeCompare(b.drawer),
    )
    .map((line) => [
      ...[line.kind, line.name, line.drawer, line.amount, line.reorderAt ?? '', line.unitPrice ?? ''],
      ...[line.supplier, line.batch],
      ...STOCK_SIZES.map((size) => line.sizes[size] ?? ''),
      ...STOCK_TRAITS.map((trait) => line.traits[trait] ?? ''),
      line.note,
    ]);
  const data = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? guardCell(cell) : cell)));
  return Papa.unparse({ fields: [...STOCK_COLUMNS], data }, { newline: '\r\n' }) + '\r\n';
}
