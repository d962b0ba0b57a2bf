import type { EntityManager } from 'typeorm';
import type { StoredRow } from './packRows.ts';

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
