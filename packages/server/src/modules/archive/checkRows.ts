import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { DataSource } from 'typeorm';
import { createDataSource } from '../../data-source.ts';
import { HttpError } from '../../http/errors.ts';
import { MIGRATIONS } from '../../migrations/index.ts';
import { checkContents } from '../keepsake/checkDatabase.ts';
import { OF_A_JOB, OF_THE_HOUSE } from './packingList.ts';
import type { ArchivedRows } from './packRows.ts';
import { refuseArchive } from './refuseArchive.ts';
import { insertRows, readTable } from './storedRows.ts';

const KNOWN = new Set(['job', ...OF_A_JOB.map(([table]) => table), ...Object.keys(OF_THE_HOUSE)]);

/**
 * Puts the rows of an archive into a database of their own, as it was when they were taken, and brings that up to date: what this
 * version would not have written is refused. The rows as they are now.
 */
export async function checkRows(rows: ArchivedRows, draft: string): Promise<ArchivedRows['tables']> {
  const at = MIGRATIONS.findIndex(({ name }) => name === rows.migration);
  if (at < 0) throw refuseArchive('it was made by a newer version');
  const unknown = Object.keys(rows.tables).find((table) => !KNOWN.has(table));
  if (unknown) throw refuseArchive(`it holds a table that does not belong there (${unknown.slice(0, 60)})`);
  const path = join(draft, `${randomUUID()}.db`);
  try {
    await withSource(path, MIGRATIONS.slice(0, at + 1), (source) => insertAll(source, rows.tables));
    return await withSource(path, MIGRATIONS, async (source) => {
      await checkContents(source, refuseArchive);
      const tables: Record<string, ArchivedRows['tables'][string]> = {};
      for (const table of KNOWN) tables[table] = await readTable(source.manager, table);
      return tables;
    });
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw refuseArchive('its rows do not hold what they should');
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(path + end, { force: true });
  }
}

async function withSource<T>(
  path: string,
  migrations: typeof MIGRATIONS,
  act: (source: DataSource) => Promise<T>,
): Promise<T> {
  const source = createDataSource(path).setOptions({ migrations });
  await source.initialize();
  try {
    await source.runMigrations({ transaction: 'each' });
    return await act(source);
  } finally {
    await source.destroy();
  }
}

/** One after the other in whatever order they came: what they name is looked for when all are there. */
async function insertAll(source: DataSource, tables: ArchivedRows['tables']): Promise<void> {
  await source.query('PRAGMA foreign_keys = OFF');
  await source.query('PRAGMA synchronous = OFF');
  await source.transaction(async (manager) => {
    for (const [table, rows] of Object.entries(tables)) await insertRows(manager, table, rows);
  });
}
