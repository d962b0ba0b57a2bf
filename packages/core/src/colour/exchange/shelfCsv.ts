import Papa from 'papaparse';
import { guardCell, unguardCell } from '../../catalogue/formulaCells.ts';
import { readCsvRecords } from '../../catalogue/readCsvRecords.ts';
import { FINISHES, type PaintPot, type PaintProduct } from '../../model/work.ts';

/** One pot as it stands in the file. */
export interface ShelfLine {
  readonly lineNumber: number;
  readonly product: Pick<
    PaintProduct,
    'line' | 'name' | 'kind' | 'binder' | 'gloss' | 'colourHex' | 'pricePerMl' | 'densityGPerMl' | 'dropMl'
  >;
  readonly pot: Pick<PaintPot, 'leftMl' | 'place' | 'openedOn'>;
}

export interface ShelfProblem {
  readonly line: number;
  readonly column: string | null;
  readonly message: string;
}

export const SHELF_COLUMNS = [
  'line',
  'name',
  'kind',
  'binder',
  'gloss',
  'colour',
  'left_ml',
  'place',
  'opened_on',
  'price_per_ml',
  'density_g_per_ml',
  'drop_ml',
] as const;

const KINDS: readonly PaintProduct['kind'][] = ['primer', 'colour', 'clear', 'brightwork', 'powder'];
const BINDERS: readonly PaintProduct['binder'][] = ['enamel', 'acrylic', 'lacquer', 'ink', 'powder'];

/** Columns that may be left empty, and what stands for them then. */
const USUAL = { price_per_ml: 0.25, density_g_per_ml: 1.15, drop_ml: 0.05 } as const;

/**
 * Reads pots from CSV text (comma, semicolon or tab; columns in any order). Every cell that is wrong is told by line and
 * column; lines without a fault are returned.
 */
export function readShelfCsv(text: string): { lines: ShelfLine[]; problems: ShelfProblem[] } {
  const read = readCsvRecords(text, ['line', 'name', 'kind', 'binder', 'gloss', 'colour', 'left_ml']);
  if ('refusal' in read) return { lines: [], problems: [read.refusal] };
  const problems: ShelfProblem[] = [];
  const seen = new Map<string, number>();
  const lines = read.records.flatMap((record, i): ShelfLine[] => {
    const line = i + 2;
    const before = problems.length;
    const fault = (column: string, message: string) => void problems.push({ line, column, message });
    const cell = (column: (typeof SHELF_COLUMNS)[number]) => unguardCell(record[column]?.trim() ?? '');
    const oneOf = <T extends string>(column: (typeof SHELF_COLUMNS)[number], list: readonly T[]): T => {
      const value = cell(column) as T;
      if (!list.includes(value)) fault(column, `"${value}" is none of: ${list.join(', ')}.`);
      return value;
    };
    const number = (column: (typeof SHELF_COLUMNS)[number], low: number, high: number, usual?: number): number => {
      const value = cell(column) === '' && usual !== undefined ? usual : Number(cell(column) || NaN);
      if (!(value >= low && value <= high)) fault(column, `A number from ${low} to ${high} is wanted.`);
      return value;
    };
    for (const column of ['line', 'name'] as const)
      if (cell(column) === '' || cell(column).length > 60) fault(column, 'One to 60 letters are wanted.');
    if (!/^#[0-9a-f]{6}$/i.test(cell('colour'))) fault('colour', `"${cell('colour')}" is not a colour like #4d6378.`);
    if (cell('opened_on') !== '' && !isDay(cell('opened_on'))) fault('opened_on', 'A day like 2026-11-25 is wanted.');
    const key = `${cell('line')} ${cell('name')}`.toLowerCase();
    if (seen.has(key)) fault('name', `The same pot stands in line ${seen.get(key)} already.`);
    seen.set(key, line);
    const one: ShelfLine = {
      lineNumber: line,
      product: {
        line: cell('line'),
        name: cell('name'),
        kind: oneOf('kind', KINDS),
        binder: oneOf('binder', BINDERS),
        gloss: oneOf('gloss', FINISHES),
        colourHex: cell('colour').toLowerCase(),
        pricePerMl: number('price_per_ml', 0, 1000, USUAL.price_per_ml),
        densityGPerMl: number('density_g_per_ml', 0.5, 5, USUAL.density_g_per_ml),
        dropMl: number('drop_ml', 0.005, 0.2, USUAL.drop_ml),
      },
      pot: {
        leftMl: number('left_ml', 0, 5000),
        place: cell('place').slice(0, 80),
        openedOn: cell('opened_on') || null,
      },
    };
    return problems.length === before ? [one] : [];
  });
  return { lines, problems };
}

function isDay(text: string): boolean {
  const day = new Date(`${text}T00:00:00Z`);
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text);
}

/** The shelf as CSV, one line a pot, by line and name. */
export function writeShelfCsv(products: readonly PaintProduct[], pots: readonly PaintPot[]): string {
  const rows = pots.flatMap((pot) => {
    const product = products.find((one) => one.id === pot.productId);
    if (!product) return [];
    return [
      [
        ...[product.line, product.name, product.kind, product.binder, product.gloss, product.colourHex],
        ...[pot.leftMl, pot.place, pot.openedOn ?? '', product.pricePerMl, product.densityGPerMl, product.dropMl],
      ],
    ];
  });
  rows.sort((a, b) => (`${a[0]} ${a[1]}` < `${b[0]} ${b[1]}` ? -1 : 1));
  const data = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? guardCell(cell) : cell)));
  return Papa.unparse({ fields: [...SHELF_COLUMNS], data }, { newline: '\r\n' }) + '\r\n';
}
