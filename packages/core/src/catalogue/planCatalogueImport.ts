import type { AlterationGroup, BodyType, Feature, SourceCertainty, Versioned } from '../model/catalogue.ts';
import type { PartRole } from '../model/partRole.ts';
import { TABLE_NAMES, type CatalogueTables, type TableName } from './catalogueTables.ts';
import { CSV_LAYOUT, keyOf, type CsvCells, type CsvColumn, type CsvKind } from './csvLayout.ts';
import type { CsvProblem, CsvReading, CsvRow } from './readCatalogueCsv.ts';
import { listCells, type KindCells as Known } from './writeCatalogueCsv.ts';

/** What an import would do. It is carried out only when there are no problems. */
export interface ImportPlan {
  readonly added: CatalogueTables;
  /** Rows as they will be, with the version that they have now. */
  readonly changed: CatalogueTables;
  /** States of a variant's feature that the file gives anew: the old ones go. */
  readonly removedVariantStateIds: readonly string[];
  /** What would be new or another, row by row as the file has it. */
  readonly changes: readonly ImportChange[];
  readonly unchanged: number;
  readonly problems: readonly CsvProblem[];
}

/** One row of a file that is new, or says something else than what is there. */
export interface ImportChange {
  readonly line: number;
  readonly kind: CsvKind;
  /** What names the row, as the file has it. */
  readonly name: string;
  /** null: the row is new. */
  readonly columns: readonly { readonly column: CsvColumn; readonly from: string; readonly to: string }[] | null;
}

const CHUNK = 2000;

const TABLE_OF: Readonly<Record<CsvKind, TableName>> = {
  maker: 'makers',
  range: 'ranges',
  feature: 'features',
  state: 'states',
  casting: 'castings',
  variant: 'variants',
  'variant state': 'variantStates',
  source: 'sources',
};

type Draft = Record<TableName, Versioned[]>;
const createDraft = () => Object.fromEntries(TABLE_NAMES.map((name) => [name, []])) as unknown as Draft;

/**
 * Fits rows that were read into the catalogue that is there: what is new, what changes, and which references lead nowhere.
 * Nothing is deleted, except that the states of a variant's feature are replaced as a set. A generator that yields the
 * share done. Makers and ranges are known by their key; `createId` gives ids
 * to everything else that is new.
 */
export function* planCatalogueImport(
  { rows, problems: found }: CsvReading,
  existing: CatalogueTables,
  createId: () => string,
): Generator<number, ImportPlan> {
  const problems = [...found];
  const known = indexExisting(existing);
  const ids = new Map([...known].map(([key, { row }]) => [key, row.id]));
  for (const { kind, cells } of rows) {
    const key = nameOf(kind, cells);
    if (!ids.has(key)) ids.set(key, kind === 'maker' ? cells.maker : kind === 'range' ? cells.range : createId());
  }
  const added = createDraft();
  const changed = createDraft();
  const given = new Map<string, CsvRow[]>();
  const changes: ImportChange[] = [];
  let unchanged = 0;
  for (const [i, row] of rows.entries()) {
    if (i % CHUNK === 0) yield i / rows.length;
    const { kind, cells, line } = row;
    const resolve: Resolve = (target, column) => {
      const id = ids.get(nameOf(target, cells));
      if (id === undefined)
        problems.push({ line, column, message: `There is no ${target} "${cells[column]}", here or in the catalogue.` });
      return id ?? '';
    };
    const fields = readFields(kind, cells, resolve);
    const id = ids.get(nameOf(kind, cells))!;
    const before = known.get(nameOf(kind, cells));
    if (kind === 'variant state') {
      const set = JSON.stringify([cells.range, cells.casting, cells.variant, cells.feature]);
      given.set(set, [...(given.get(set) ?? []), row]);
    }
    if (before && isSame(before.cells, cells, kind)) {
      unchanged++;
      continue;
    }
    if (before) changed[TABLE_OF[kind]].push({ ...before.row, ...fields });
    else added[TABLE_OF[kind]].push({ id, version: 1, ...fields } as Versioned);
    changes.push({ line, kind, ...describeChange(kind, cells, before?.cells) });
  }
  problems.push(...checkShares(given));
  return {
    added: added as unknown as CatalogueTables,
    changed: changed as unknown as CatalogueTables,
    removedVariantStateIds: findReplaced(known, given),
    ...{ changes, unchanged },
    problems: problems.sort((a, b) => a.line - b.line),
  };
}

function describeChange(
  kind: CsvKind,
  cells: CsvCells,
  before: CsvCells | undefined,
): Pick<ImportChange, 'name' | 'columns'> {
  const name = [...CSV_LAYOUT[kind].key.map((column) => cells[column]), cells.name].filter(Boolean).join(', ');
  const columns = before && columnsOf(kind).filter((column) => !isSameCell(before[column], cells[column]));
  return { name, columns: columns?.map((column) => ({ column, from: before![column], to: cells[column] })) ?? null };
}

const nameOf = (kind: CsvKind, cells: CsvCells) => `${kind} ${keyOf(kind, cells)}`;

const indexExisting = (existing: CatalogueTables): Map<string, Known> =>
  new Map(listCells(existing).map((known) => [nameOf(known.kind, known.cells), known]));

type Resolve = (target: CsvKind, column: CsvColumn) => string;

/** The fields of a model row, from cells that were checked. */
function readFields(kind: CsvKind, cells: CsvCells, resolve: Resolve): object {
  const year = (column: 'from_year' | 'to_year') => (cells[column] === '' ? null : Number(cells[column]));
  const { name, about } = cells;
  switch (kind) {
    case 'maker':
      return { name, about, fromYear: year('from_year'), toYear: year('to_year') };
    case 'range':
      return { makerId: resolve('maker', 'maker'), name, about };
    case 'feature':
      return {
        ...{ rangeId: resolve('range', 'range'), key: cells.feature, label: name, howToLook: about },
        ...{ partRole: cells.part_role as PartRole, effort: Number(cells.effort), destroys: cells.destroys },
        group: cells.group as AlterationGroup,
      } satisfies Omit<Feature, 'id' | 'version'>;
    case 'state':
      return {
        ...{ featureId: resolve('feature', 'feature'), key: cells.state, label: name },
        ...{ colourHex: cells.colour || null, fromYear: year('from_year'), toYear: year('to_year') },
        lookAlikes: cells.look_alikes.split(/\s+/).filter(Boolean),
      };
    case 'casting':
      return {
        ...{
          rangeId: resolve('range', 'range'),
          number: cells.casting,
          name,
          construction: about,
          history: cells.history,
        },
        ...{ bodyType: cells.body_type as BodyType },
        ...{ lengthMm: Number(cells.length_mm), wheelbaseMm: Number(cells.wheelbase_mm) },
      } satisfies Omit<CatalogueTables['castings'][number], 'id' | 'version'>;
    case 'variant':
      return {
        ...{ castingId: resolve('casting', 'casting'), key: cells.variant, name },
        ...{ startEarliest: Number(cells.from_year), startLatest: Number(cells.start_latest) },
        ...{ endEarliest: Number(cells.end_earliest), endLatest: Number(cells.to_year) },
        ...{ rarity: Number(cells.rarity), rarityEvidence: about },
      };
    case 'variant state':
      return {
        ...{ variantId: resolve('variant', 'variant'), featureId: resolve('feature', 'feature') },
        ...{ stateId: resolve('state', 'state'), share: Number(cells.share), origin: about },
      };
    case 'source':
      return {
        castingId: resolve('casting', 'casting'),
        ...{ variantId: cells.variant ? resolve('variant', 'variant') : null, specimenId: null },
        ...{ statement: name, origin: about, fromYear: year('from_year'), toYear: year('to_year') },
        certainty: cells.certainty as SourceCertainty,
      };
  }
}

/** Only the columns of the kind count; numbers are compared as numbers. */
function isSame(before: CsvCells, after: CsvCells, kind: CsvKind): boolean {
  return columnsOf(kind).every((column) => isSameCell(before[column], after[column]));
}

const columnsOf = (kind: CsvKind) => [...CSV_LAYOUT[kind].required, ...CSV_LAYOUT[kind].optional];

const isSameCell = (before: string, after: string): boolean =>
  before === after || (before !== '' && after !== '' && Number(before) === Number(after));

function checkShares(given: ReadonlyMap<string, readonly CsvRow[]>): CsvProblem[] {
  return [...given.values()].flatMap((rows): CsvProblem[] => {
    const sum = rows.reduce((total, { cells }) => total + Number(cells.share), 0);
    if (!(sum > 1 + 1e-6)) return [];
    const { line, cells } = rows.at(-1)!;
    const message = `The shares of "${cells.feature}" on this variant add up to ${Number(sum.toFixed(4))}, more than 1.`;
    return [{ line, column: 'share', message }];
  });
}

/** Rows of a set that the file gives anew and does not name again. */
function findReplaced(known: ReadonlyMap<string, Known>, given: ReadonlyMap<string, readonly CsvRow[]>): string[] {
  return [...known.values()].flatMap(({ kind, cells, row }) => {
    if (kind !== 'variant state') return [];
    const rows = given.get(JSON.stringify([cells.range, cells.casting, cells.variant, cells.feature]));
    return rows && rows.every((one) => one.cells.state !== cells.state) ? [row.id] : [];
  });
}
