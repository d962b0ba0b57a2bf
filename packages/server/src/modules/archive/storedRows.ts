import type { EntityManager } from 'typeorm';

/** A row as the database holds it; a blob as base64. */
export type StoredRow = Readonly<Record<string, string | number | null>>;

/** The row of this bench with the key of a row of the archive. */
export type FindHere = (table: string, row: StoredRow) => StoredRow | undefined;

type RawRow = Record<string, string | number | Buffer | null>;

/** By this a row is told from the others of its table. */
export const keyOf = (table: string): string => (table === 'mesh' ? 'hash' : 'id');

/** SQLite takes a limited number of values in one statement. */
const AT_ONCE = 500;

/** All rows of a table. */
export const readTable = async (manager: EntityManager, table: string): Promise<StoredRow[]> =>
  (await manager.query<RawRow[]>(`SELECT * FROM "${table}"`)).map(writeRow);

/** Those rows of a table that have one of some values in a column, in the order in which they were written. */
export async function readWhere(
  manager: EntityManager,
  table: string,
  column: string,
  values: readonly unknown[],
): Promise<StoredRow[]> {
  const rows: StoredRow[] = [];
  for (let i = 0; i < values.length; i += AT_ONCE) {
    const some = values.slice(i, i + AT_ONCE);
    const found = await manager.query<RawRow[]>(
      `SELECT * FROM "${table}" WHERE "${column}" IN (${some.map(() => '?').join(', ')}) ORDER BY rowid`,
      some as unknown[],
    );
    rows.push(...found.map(writeRow));
  }
  return rows;
}

/** Those that are here of some rows, by their key. */
export async function readHere(
  manager: EntityManager,
  table: string,
  rows: readonly StoredRow[],
): Promise<ReadonlyMap<string, StoredRow>> {
  const key = keyOf(table);
  const found = await readWhere(
    manager,
    table,
    key,
    rows.map((row) => row[key]),
  );
  return new Map(found.map((row) => [String(row[key]), row]));
}

const writeRow = (row: RawRow): StoredRow =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [name, Buffer.isBuffer(value) ? value.toString('base64') : value]),
  );

/** Writes rows as they were stored. Throws where the table has no such column. */
export async function insertRows(manager: EntityManager, table: string, rows: readonly StoredRow[]): Promise<void> {
  const columns = await manager.query<{ name: string; type: string }[]>(`PRAGMA table_info("${table}")`);
  const known = new Map(columns.map(({ name, type }) => [name, type.toLowerCase()]));
  for (const row of rows) {
    const names = Object.keys(row);
    if (!names.every((name) => known.has(name))) throw new Error(`${table} has no such column`);
    await manager.query(
      `INSERT INTO "${table}" (${names.map((name) => `"${name}"`).join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
      names.map((name) => {
        const value = row[name]!;
        return known.get(name) === 'blob' && typeof value === 'string' ? Buffer.from(value, 'base64') : value;
      }),
    );
  }
}
