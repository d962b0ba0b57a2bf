import 'reflect-metadata';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { furnish } from './furnish.ts';
import { ENTITIES } from './entities/index.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { recompileAnew } from './modules/tasks/recompilePlan.ts';

export const DATABASE_FILE = 'sardonyx.db';

/** Opens (or makes) the database of a folder and brings it up to date. ':memory:' serves quick tests. */
export async function openDatabase(folder: string): Promise<DataSource> {
  const source = createDataSource(folder === ':memory:' ? folder : join(folder, DATABASE_FILE));
  await source.initialize();
  const moved = await source.runMigrations({ transaction: 'each' });
  await furnish(source);
  // What the plans are made of may have changed with the tables.
  if (moved.length) await source.transaction((manager) => recompileAnew(manager, new Date()));
  return source;
}

export function createDataSource(database: string): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    synchronize: false,
    enableWAL: database !== ':memory:',
    prepareDatabase: (connection: { pragma(text: string): unknown }) => {
      connection.pragma('foreign_keys = ON');
      connection.pragma('synchronous = NORMAL');
    },
  });
}
