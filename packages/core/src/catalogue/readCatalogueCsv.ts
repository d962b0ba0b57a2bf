import Papa from 'papaparse';
import { ALTERATION_GROUPS, BODY_TYPES, SOURCE_CERTAINTIES } from '../model/catalogue.ts';
import { PART_ROLES } from '../model/partRole.ts';
import {
  CSV_COLUMNS,
  CSV_KINDS,
  CSV_LAYOUT,
  MAY_BE_EMPTY,
  keyOf,
  type CsvCells,
  type CsvColumn,
  type CsvKind,
} from './csvLayout.ts';
import { unguardCell } from './formulaCells.ts';
import { isHeaderTooLong } from './isHeaderTooLong.ts';

/** What is wrong, and where: the line of the file (the header is line 1) and the column's name. */
export interface CsvProblem {
  readonly line: number;
  readonly column: CsvColumn | null;
  readonly message: string;
}

export interface CsvRow {
  readonly line: number;
  readonly kind: CsvKind;
  readonly cells: CsvCells;
}

export interface CsvReading {
  readonly rows: readonly CsvRow[];
  readonly problems: readonly CsvProblem[];
}

/** A catalogue of ten thousand castings has half of it. */
const MOST_LINES = 500_000;

/** Rows looked at between two reports of progress. */
const CHUNK = 2000;

/**
 * Reads a catalogue from CSV text, cell by cell: a generator that yields the share done, 0 to 1, and returns the rows with
 * every problem found. Comma, semicolon and tab are understood; columns may stand in any order, and those that no row needs
 * may be left out. References are not looked at here.
 */
export function* readCatalogueCsv(text: string): Generator<number, CsvReading> {
  if (isHeaderTooLong(text)) return refuse('The first line must name the columns; this one does not end.');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    header: false,
    delimitersToGuess: [',', ';', '\t'],
    preview: MOST_LINES + 1,
  });
  if (data.length > MOST_LINES) return refuse(`More than ${MOST_LINES} lines: bring it in pieces.`);
  const [header = [], ...records] = data;
  const columns = header.map((name) => name.trim().toLowerCase());
  const problems = checkHeader(columns);
  if (problems.length) return { rows: [], problems };
  const at = new Map(columns.map((name, i) => [name, i]));
  const rows: CsvRow[] = [];
  const seen = new Map<string, number>();
  let line = 1 + countLines(header);
  for (const [i, record] of records.entries()) {
    if (i % CHUNK === 0) yield i / records.length;
    const own = line;
    line += countLines(record);
    if (record.every((cell) => cell.trim() === '')) continue;
    const cells = Object.fromEntries(
      CSV_COLUMNS.map((column) => [column, unguardCell(record[at.get(column) ?? -1]?.trim() ?? '')]),
    ) as Record<CsvColumn, string>;
    const kind = CSV_KINDS.find((candidate) => candidate === cells.kind);
    if (!kind) {
      problems.push({ line: own, column: 'kind', message: `"${cells.kind}" is no kind; use ${CSV_KINDS.join(', ')}.` });
      continue;
    }
    if (record.length > columns.length)
      problems.push({
        line: own,
        column: null,
        message: `${record.length} cells under ${columns.length} columns: a comma too many, or quotes missing.`,
      });
    problems.push(...checkCells(kind, cells).map((problem) => ({ line: own, ...problem })));
    const key = `${kind} ${keyOf(kind, cells)}`;
    if (seen.has(key))
      problems.push({
        line: own,
        column: CSV_LAYOUT[kind].key.at(-1)!,
        message: `The same ${kind} stands in line ${seen.get(key)} already.`,
      });
    else seen.set(key, own);
    rows.push({ line: own, kind, cells });
  }
  return { rows, problems };
}

const refuse = (message: string): CsvReading => ({ rows: [], problems: [{ line: 1, column: null, message }] });

/** A record ends one line; line breaks inside its cells are further ones. */
const countLines = (record: readonly string[]) =>
  record.reduce((sum, cell) => sum + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 1);

function checkHeader(columns: readonly string[]): CsvProblem[] {
  const problems: CsvProblem[] = [];
  if (!columns.includes('kind'))
    problems.push({ line: 1, column: 'kind', message: 'The first line must name the columns, "kind" among them.' });
  for (const name of columns) {
    if (name !== '' && !CSV_COLUMNS.includes(name as CsvColumn))
      problems.push({
        line: 1,
        column: null,
        message: `The column "${name}" is not known; known are ${CSV_COLUMNS.join(', ')}.`,
      });
    else if (name !== '' && columns.indexOf(name) !== columns.lastIndexOf(name))
      problems.push({ line: 1, column: name as CsvColumn, message: `The column "${name}" stands there twice.` });
  }
  return problems;
}

type CellProblem = Omit<CsvProblem, 'line'>;

function checkCells(kind: CsvKind, cells: CsvCells): CellProblem[] {
  const { key, required, optional } = CSV_LAYOUT[kind];
  const mustBe = [...key.filter((column) => !MAY_BE_EMPTY[kind]?.includes(column)), ...required];
  const used = new Set<CsvColumn>(['kind', ...key, ...required, ...optional]);
  const problems: CellProblem[] = [];
  for (const column of CSV_COLUMNS) {
    const value = cells[column];
    if (value === '') {
      if (mustBe.includes(column)) problems.push({ column, message: `A ${kind} needs "${column}".` });
      continue;
    }
    if (!used.has(column)) problems.push({ column, message: `A ${kind} has no "${column}".` });
    else {
      const message = CHECKS[column]?.(value);
      if (message) problems.push({ column, message });
    }
  }
  if (kind === 'variant' && problems.length === 0) problems.push(...checkSpan(cells));
  if (cells.from_year && cells.to_year && Number(cells.from_year) > Number(cells.to_year) && kind !== 'variant')
    problems.push({ column: 'to_year', message: `Ends in ${cells.to_year}, before it begins in ${cells.from_year}.` });
  return problems;
}

const oneOf = (list: readonly string[]) => (value: string) =>
  list.includes(value) ? null : `"${value}" is not one of: ${list.join(', ')}.`;

const between = (least: number, most: number) => (value: string) => {
  const number = Number(value);
  if (!Number.isFinite(number)) return `"${value}" is not a number (a point, not a comma, before decimals).`;
  return number >= least && number <= most ? null : `${value} is not between ${least} and ${most}.`;
};

const upTo = (length: number) => (value: string) => (value.length > length ? `Longer than ${length} letters.` : null);

const asKey = (value: string) =>
  /^[a-z0-9][a-z0-9-]{0,39}$/.test(value) ? null : `"${value}" is no key: small letters, digits and hyphens, up to 40.`;

const CHECKS: Partial<Record<CsvColumn, (value: string) => string | null>> = {
  maker: asKey,
  range: asKey,
  feature: asKey,
  state: asKey,
  variant: asKey,
  casting: (value) =>
    /^[A-Za-z0-9/. -]{1,12}$/.test(value)
      ? null
      : `"${value}" is no number of a casting: up to 12 letters, digits, / . -`,
  name: upTo(120),
  about: upTo(500),
  history: upTo(2000),
  destroys: upTo(120),
  part_role: oneOf(PART_ROLES),
  body_type: oneOf(BODY_TYPES),
  group: oneOf(ALTERATION_GROUPS),
  certainty: oneOf(SOURCE_CERTAINTIES),
  effort: between(1, 8),
  colour: (value) => (/^#[0-9a-f]{6}$/i.test(value) ? null : `"${value}" is no colour like #c08a2c.`),
  length_mm: between(10, 600),
  wheelbase_mm: between(5, 500),
  from_year: between(1850, 2100),
  start_latest: between(1850, 2100),
  end_earliest: between(1850, 2100),
  to_year: between(1850, 2100),
  rarity: between(0, 10),
  share: between(0.0001, 1),
};

function checkSpan(cells: CsvCells): CellProblem[] {
  const ends = ['from_year', 'start_latest', 'end_earliest', 'to_year'] as const;
  const wrong = ends.findIndex((column, i) => i > 0 && Number(cells[column]) < Number(cells[ends[i - 1]!]));
  if (wrong < 0) return [];
  const column = ends[wrong]!;
  return [{ column, message: `${cells[column]} is before ${cells[ends[wrong - 1]!]} in "${ends[wrong - 1]}".` }];
}
