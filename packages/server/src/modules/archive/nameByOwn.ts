import type { EntityManager } from 'typeorm';
import { listLinks } from './links.ts';
import { OF_THE_HOUSE } from './packingList.ts';
import type { ArchivedRows } from './packRows.ts';
import { keyOf, readHere, type StoredRow } from './storedRows.ts';

/** Rows of the house that this bench has under another id, because it wrote them itself: the bench's own stand for them. */
export interface OwnNames {
  readonly tables: ArchivedRows['tables'];
  /** What they say here, and what they say in the archive. */
  readonly twins: readonly Twin[];
}

interface Twin {
  readonly table: string;
  readonly here: StoredRow;
  readonly brought: StoredRow;
}

/**
 * Finds castings, issues, look-points and the like that are on this bench under another id, by what makes them unique, and has the
 * archive's rows name those instead.
 */
export async function nameByOwn(manager: EntityManager, tables: ArchivedRows['tables']): Promise<OwnNames> {
  const metadatas = manager.connection.entityMetadatas;
  const links = listLinks(metadatas);
  const named = new Map<string, string>();
  const rename = (table: string, row: StoredRow): StoredRow => {
    const changed = (links.get(table) ?? []).flatMap(({ column, to }) => {
      const own = named.get(`${to} ${row[column]}`);
      return own === undefined ? [] : [[column, own] as const];
    });
    return { ...row, ...Object.fromEntries(changed) };
  };
  const renamed: Record<string, readonly StoredRow[]> = {};
  const twins: Twin[] = [];
  // Whoever is named comes before whoever names it.
  for (const table of new Set([...Object.keys(OF_THE_HOUSE), ...Object.keys(tables)])) {
    const rows = (tables[table] ?? []).map((row) => rename(table, row));
    const uniques = metadatas.find(({ tableName }) => tableName === table)?.uniques ?? [];
    const found =
      table in OF_THE_HOUSE
        ? await findTwins(
            manager,
            table,
            rows,
            uniques.map(({ columns }) => columns.map(({ databaseName }) => databaseName)),
          )
        : [];
    for (const { brought, here } of found) named.set(`${table} ${brought[keyOf(table)]}`, String(here[keyOf(table)]));
    const isTwin = new Set(found.map(({ brought }) => brought));
    renamed[table] = rows.filter((row) => !isTwin.has(row));
    // Told apart by what they say, not by their ids.
    for (const { brought, here } of found)
      twins.push({ table, here, brought: { ...brought, [keyOf(table)]: here[keyOf(table)]! } });
  }
  return { tables: renamed, twins };
}

/** Rows that are not here by their key, with the row here that has the same in columns that make it unique. */
async function findTwins(
  manager: EntityManager,
  table: string,
  rows: readonly StoredRow[],
  uniques: readonly (readonly string[])[],
): Promise<Omit<Twin, 'table'>[]> {
  if (uniques.length === 0) return [];
  const here = await readHere(manager, table, rows);
  const twins: Omit<Twin, 'table'>[] = [];
  for (const brought of rows.filter((row) => !here.has(String(row[keyOf(table)]))))
    for (const columns of uniques) {
      const [own] = await manager.query<StoredRow[]>(
        `SELECT * FROM "${table}" WHERE ${columns.map((column) => `"${column}" = ?`).join(' AND ')} LIMIT 1`,
        columns.map((column) => brought[column]),
      );
      if (!own) continue;
      twins.push({ brought, here: own });
      break;
    }
  return twins;
}
