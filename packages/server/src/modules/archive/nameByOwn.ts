import type { EntityManager } from 'typeorm';
import { OF_THE_HOUSE } from './packingList.ts';
import { keyOf, listLinks, readByKey, type ArchivedRows, type StoredRow } from './packRows.ts';

/** Rows of the house that this bench has under another id, because it wrote them itself: the bench's own stand for them. */
export interface OwnNames {
  readonly tables: ArchivedRows['tables'];
  /** What they say here, and what they say in the archive. */
  readonly twins: readonly { readonly table: string; readonly here: StoredRow; readonly brought: StoredRow }[];
}

/**
 * Finds castings, issues, look-points and the like that are on this bench under another id, by what makes them unique, and has the
 * archive's rows name those instead.
 */
export async function nameByOwn(manager: EntityManager, tables: ArchivedRows['tables']): Promise<OwnNames> {
  const links = listLinks(manager.connection.entityMetadatas);
  const named = new Map<string, string>();
  const rename = (table: string, row: StoredRow): StoredRow =>
    Object.fromEntries(
      Object.entries(row).map(([column, value]) => {
        const to = (links.get(table) ?? []).find((link) => link.column === column)?.to;
        return [column, (to && named.get(`${to} ${String(value)}`)) ?? value];
      }),
    );
  const renamed: Record<string, readonly StoredRow[]> = {};
  const twins: OwnNames['twins'][number][] = [];
  for (const table of [
    ...Object.keys(OF_THE_HOUSE),
    ...Object.keys(tables).filter((name) => !(name in OF_THE_HOUSE)),
  ]) {
    const rows = (tables[table] ?? []).map((row) => rename(table, row));
    renamed[table] = rows;
    const { uniques = [] } = manager.connection.entityMetadatas.find(({ tableName }) => tableName === table) ?? {};
    if (!(table in OF_THE_HOUSE) || uniques.length === 0) continue;
    const byId = await readByKey(
      manager,
      table,
      rows.map((row) => row[keyOf(table)]),
    );
    const left: StoredRow[] = [];
    for (const row of rows) {
      const key = keyOf(table);
      const here = byId.has(String(row[key]))
        ? undefined
        : await findTwin(
            manager,
            table,
            row,
            uniques.map(({ columns }) => columns.map(({ databaseName }) => databaseName)),
          );
      if (!here) left.push(row);
      else {
        named.set(`${table} ${String(row[key])}`, String(here[key]));
        twins.push({ table, here, brought: { ...row, [key]: here[key]! } });
      }
    }
    renamed[table] = left;
  }
  return { tables: renamed, twins };
}

async function findTwin(
  manager: EntityManager,
  table: string,
  row: StoredRow,
  uniques: readonly (readonly string[])[],
): Promise<StoredRow | undefined> {
  for (const columns of uniques) {
    const [here] = await manager.query<StoredRow[]>(
      `SELECT * FROM "${table}" WHERE ${columns.map((column) => `"${column}" = ?`).join(' AND ')} LIMIT 1`,
      columns.map((column) => row[column]),
    );
    if (here) return here;
  }
  return undefined;
}
