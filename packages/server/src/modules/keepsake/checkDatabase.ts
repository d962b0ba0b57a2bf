import { IsNull, Not, type DataSource } from 'typeorm';
import { createDataSource } from '../../data-source.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { HttpError } from '../../http/errors.ts';
import { MIGRATIONS } from '../../migrations/index.ts';
import { refuseSave } from './refuseSave.ts';

/**
 * Throws where a database is not one of ours, whole, with nothing in it that could run, every reference leading somewhere and every
 * column holding what it is for, and where it names a photograph that is not there. It is brought up to date.
 */
export async function checkDatabase(path: string, hasPhoto: (hash: string) => boolean): Promise<void> {
  const source = createDataSource(path, true);
  try {
    await source.initialize();
    await checkShape(source);
    const known = new Set(MIGRATIONS.map((migration) => migration.name));
    const applied = (await source.query('SELECT name FROM migrations')) as { name: string }[];
    if (applied.some((migration) => !known.has(migration.name))) throw refuseSave('it was saved by a newer version');
    await source.runMigrations();
    await checkContents(source, refuseSave);
    for (const { pictureHash } of await source.manager.findBy(StockThingRow, { pictureHash: Not(IsNull()) }))
      if (!hasPhoto(pictureHash!)) throw refuseSave('a picture of a thing that it names is missing');
    for (const photo of await source.manager.find(PhotoRow))
      if (!hasPhoto(photo.hash)) throw refuseSave('a photo that it names is missing');
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw refuseSave('its database cannot be read');
  } finally {
    if (source.isInitialized) await source.destroy();
  }
}

/** Before anything of it is asked: whole pages, and tables and indexes alone, neither views nor triggers. */
async function checkShape(source: DataSource): Promise<void> {
  const [integrity] = (await source.query('PRAGMA integrity_check(1)')) as { integrity_check: string }[];
  if (integrity?.integrity_check !== 'ok') throw refuseSave('its database is damaged');
  const [running] = (await source.query(
    "SELECT name FROM sqlite_master WHERE type NOT IN ('table', 'index') OR sql LIKE 'CREATE VIRTUAL%' LIMIT 1",
  )) as { name: string }[];
  if (running) throw refuseSave(`its database holds something of its own (${running.name.slice(0, 60)})`);
}

/** As the entities have it: tables and columns, references, and the kind of every value. */
export async function checkContents(source: DataSource, refuse: (why: string) => HttpError): Promise<void> {
  const [loose] = (await source.query('PRAGMA foreign_key_check')) as { table: string }[];
  if (loose) throw refuse(`a row of ${loose.table} in it names one that is not there`);
  const tables = (await source.query(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
  )) as { name: string }[];
  const ours = new Set([...source.entityMetadatas.map(({ tableName }) => tableName), 'migrations']);
  const foreign = tables.find(({ name }) => !ours.has(name));
  if (foreign) throw refuse(`its database holds a table of its own (${foreign.name.slice(0, 60)})`);
  for (const { tableName, columns } of source.entityMetadatas) {
    const wrong = columns.map(({ databaseName, type, isNullable }) => {
      const name = `"${databaseName}"`;
      const isWrong = `typeof(${name}) NOT IN (${kindsOf(type)})${isJson(type) ? ` OR NOT json_valid(${name})` : ''}`;
      return `(${name} IS NULL AND ${isNullable ? 0 : 1}) OR (${name} IS NOT NULL AND (${isWrong}))`;
    });
    const [row] = (await source.query(
      `SELECT 1 AS found FROM "${tableName}" WHERE ${wrong.map((one) => `(${one})`).join(' OR ')} LIMIT 1`,
    )) as unknown[];
    if (row) throw refuse(`a row of ${tableName} in it does not hold what it should`);
  }
}

const isJson = (type: unknown): boolean => type === 'simple-json';

/** What SQLite may have stored for a column, by its type. */
function kindsOf(type: unknown): string {
  if (type === 'integer' || type === 'boolean' || type === Boolean) return "'integer'";
  if (type === 'real' || type === Number) return "'real', 'integer'";
  if (type === 'blob') return "'blob'";
  return "'text'";
}
