import type { EntityManager, EntityMetadata } from 'typeorm';
import { MIGRATIONS } from '../../migrations/index.ts';
import { NAMED, OF_A_JOB, OF_THE_HOUSE } from './packingList.ts';

/** A row as the database holds it; a blob as base64. */
export type StoredRow = Readonly<Record<string, string | number | null>>;

/** rows.json of an archive. */
export interface ArchivedRows {
  readonly format: 'sardonyx-rows';
  readonly formatVersion: 1;
  /** The last migration of the database that they were taken from. */
  readonly migration: string;
  readonly tables: Readonly<Record<string, readonly StoredRow[]>>;
  /** Pictures that they name and whose files were gone. */
  readonly missing: readonly string[];
}

/** Columns that lead to another table, by table. */
export type Links = ReadonlyMap<
  string,
  readonly { readonly column: string; readonly to: string; readonly key: string }[]
>;

export function listLinks(metadatas: readonly EntityMetadata[]): Links {
  return new Map(
    metadatas.map(({ tableName, foreignKeys }) => [
      tableName,
      [
        ...foreignKeys.map(({ columns, referencedEntityMetadata, referencedColumns }) => ({
          ...{ column: columns[0]!.databaseName, to: referencedEntityMetadata.tableName },
          key: referencedColumns[0]!.databaseName,
        })),
        ...NAMED.filter(([table]) => table === tableName).map(([, column, to]) => ({ column, to, key: 'id' })),
      ],
    ]),
  );
}

/** By this a row is told from the others of its table. */
export const keyOf = (table: string): string => (table === 'mesh' ? 'hash' : 'id');

/** SQLite takes a limited number of values in one statement. */
const AT_ONCE = 500;

/** Every row of some jobs, and of the house what they name, and what those name. */
export async function packRows(
  manager: EntityManager,
  jobIds: readonly string[],
): Promise<Omit<ArchivedRows, 'missing'>> {
  const links = listLinks(manager.connection.entityMetadatas);
  const tables = new Map<string, Map<string, StoredRow>>();
  const rowsOf = (table: string) => [...(tables.get(table)?.values() ?? [])];
  const fetch = async (table: string, column: string, values: readonly unknown[]): Promise<StoredRow[]> => {
    const fresh: StoredRow[] = [];
    const known = tables.get(table) ?? new Map<string, StoredRow>();
    tables.set(table, known);
    for (const row of await readWhere(manager, table, column, values)) {
      const key = String(row[keyOf(table)]);
      if (known.has(key)) continue;
      known.set(key, row);
      fresh.push(row);
    }
    return fresh;
  };
  await fetch('job', 'id', jobIds);
  const fetchOwn = async () => {
    for (const [table, ...by] of OF_A_JOB)
      for (const [column, parent] of by)
        await fetch(
          table,
          column,
          rowsOf(parent).map(({ id }) => id),
        );
  };
  await fetchOwn();
  // A part was taken off a donor, which has no job: it goes along with all that is known of it.
  const named = new Set(listNamed(rowsOf('specimen_part'), 'takenFromId'));
  const donors = await manager.query<{ id: string }[]>('SELECT id FROM specimen WHERE jobId IS NULL');
  await fetch(
    'specimen',
    'id',
    donors.flatMap(({ id }) => (named.has(id) ? id : [])),
  );
  await fetchOwn();
  await fetchUsed(fetch, rowsOf, manager);
  const inJson = new Map<string, string>();
  for (const table of IN_JSON)
    for (const { id } of await manager.query<{ id: string }[]>(`SELECT id FROM "${table}"`)) inJson.set(id, table);
  // What is named names more, until nothing new comes.
  let fresh = [...tables].map(([table, rows]) => [table, [...rows.values()]] as const);
  while (fresh.some(([, rows]) => rows.length)) {
    const next: (readonly [string, StoredRow[]])[] = [];
    for (const [table, rows] of fresh) {
      for (const [to, ids] of listInJson(rows, inJson)) next.push([to, await fetch(to, 'id', ids)]);
      for (const { column, to, key } of links.get(table) ?? [])
        if (to in OF_THE_HOUSE) next.push([to, await fetch(to, key, listNamed(rows, column))]);
      for (const [child, by] of OF_THE_HOUSE[table] ?? [])
        next.push([
          child,
          await fetch(
            child,
            by,
            rows.map(({ id }) => id),
          ),
        ]);
    }
    fresh = next;
  }
  dropLoose(tables, links);
  return {
    ...{ format: 'sardonyx-rows', formatVersion: 1, migration: MIGRATIONS.at(-1)!.name },
    tables: Object.fromEntries([...tables].map(([table, rows]) => [table, [...rows.values()]])),
  };
}

type Fetch = (table: string, column: string, values: readonly unknown[]) => Promise<StoredRow[]>;

/** Pots and things out of which something went into the jobs, what their wants name, and sheets with a piece of them. */
async function fetchUsed(fetch: Fetch, rowsOf: (table: string) => StoredRow[], manager: EntityManager): Promise<void> {
  const jobIds = rowsOf('job').map(({ id }) => id);
  const holders = [
    ['pot_movement', 'potId', 'paint_pot'],
    ['stock_movement', 'thingId', 'stock_thing'],
  ] as const;
  for (const [log, column, table] of holders) {
    const lines = await manager.query<Record<string, string>[]>(
      `SELECT DISTINCT "${column}" FROM "${log}" WHERE jobId IN (${jobIds.map(() => '?').join(', ')})`,
      jobIds,
    );
    await fetch(
      table,
      'id',
      lines.map((line) => line[column]),
    );
  }
  const layers = new Set(rowsOf('coating_layer').map(({ id }) => id));
  const sheets = await manager.query<{ id: string; pieces: string }[]>('SELECT id, pieces FROM decal_sheet');
  const isOurs = ({ pieces }: { pieces: string }) =>
    (JSON.parse(pieces) as { layerId?: string | null }[]).some(({ layerId }) => layerId && layers.has(layerId));
  await fetch(
    'decal_sheet',
    'id',
    sheets.filter(isOurs).map(({ id }) => id),
  );
}

/** Tables of which JSON of other rows names some: the pots of a recipe, the thing of a want. */
const IN_JSON = ['paint_product', 'paint_pot', 'stock_thing', 'decal_artwork', 'decal_sheet'] as const;

/** Every string in the JSON of some rows that is the id of such a row. */
function listInJson(rows: readonly StoredRow[], ids: ReadonlyMap<string, string>): Map<string, string[]> {
  const found = new Map<string, Set<string>>();
  const look = (value: unknown): void => {
    if (typeof value === 'object' && value !== null) for (const inner of Object.values(value)) look(inner);
    const table = typeof value === 'string' ? ids.get(value) : undefined;
    if (table) found.set(table, (found.get(table) ?? new Set()).add(value as string));
  };
  for (const row of rows)
    for (const value of Object.values(row)) if (typeof value === 'string' && /^[[{]/.test(value)) look(readJson(value));
  return new Map([...found].map(([table, own]) => [table, [...own]]));
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    // A note that begins with a bracket.
    return null;
  }
}

const listNamed = (rows: readonly StoredRow[], column: string): (string | number)[] => [
  ...new Set(rows.flatMap((row) => row[column] ?? [])),
];

/** All rows of a table. */
export const readTable = async (manager: EntityManager, table: string): Promise<StoredRow[]> =>
  (await manager.query<Record<string, string | number | Buffer | null>[]>(`SELECT * FROM "${table}"`)).map(writeRow);

/** Those rows of a table that have one of some keys, by it. */
export async function readByKey(
  manager: EntityManager,
  table: string,
  keys: readonly unknown[],
): Promise<ReadonlyMap<string, StoredRow>> {
  const found = new Map<string, StoredRow>();
  for (const row of await readWhere(manager, table, keyOf(table), keys)) found.set(String(row[keyOf(table)]), row);
  return found;
}

async function readWhere(
  manager: EntityManager,
  table: string,
  column: string,
  values: readonly unknown[],
): Promise<StoredRow[]> {
  const rows: StoredRow[] = [];
  for (let i = 0; i < values.length; i += AT_ONCE) {
    const some = values.slice(i, i + AT_ONCE);
    const found = await manager.query<Record<string, string | number | Buffer | null>[]>(
      `SELECT * FROM "${table}" WHERE "${column}" IN (${some.map(() => '?').join(', ')}) ORDER BY rowid`,
      some as unknown[],
    );
    rows.push(...found.map(writeRow));
  }
  return rows;
}

const writeRow = (row: Record<string, string | number | Buffer | null>): StoredRow =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [name, Buffer.isBuffer(value) ? value.toString('base64') : value]),
  );

/**
 * What hangs on a row of another job stays behind with it: what somebody said of a model that does not go along. A row of these
 * jobs goes along without the name of what stays.
 */
function dropLoose(tables: Map<string, Map<string, StoredRow>>, links: Links): void {
  const isLoose = (value: StoredRow[string] | undefined, to: string) =>
    value !== null && value !== undefined && !tables.get(to)?.has(String(value));
  for (let isChanged = true; isChanged;) {
    isChanged = false;
    for (const [table, rows] of tables)
      for (const [key, row] of rows) {
        const loose = (links.get(table) ?? []).filter(({ column, to }) => isLoose(row[column], to));
        if (loose.length === 0) continue;
        isChanged = true;
        if (table in OF_THE_HOUSE) rows.delete(key);
        else rows.set(key, { ...row, ...Object.fromEntries(loose.map(({ column }) => [column, null])) });
      }
  }
}
