import 'reflect-metadata';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { DATABASE_FILE } from './disk/folderNames.ts';
import { runTransaction } from './disk/runTransaction.ts';
import { furnish } from './furnish.ts';
import { ENTITIES } from './entities/index.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { recompileAnew } from './modules/tasks/recompilePlan.ts';

/** Opens (or makes) the database of a folder and brings it up to date. ':memory:' serves quick tests. */
export async function openDatabase(folder: string): Promise<DataSource> {
  const source = createDataSource(folder === ':memory:' ? folder : join(folder, DATABASE_FILE));
  await source.initialize();
  const moved = await source.runMigrations({ transaction: 'each' });
  await furnish(source);
  // What the plans are made of may have changed with the tables.
  if (moved.length) await runTransaction(source, (manager) => recompileAnew(manager, new Date()));
  return source;
}

/** The same database over a new connection, in place of one that a failed write left unsound. */
export async function reopenDatabase(unsound: DataSource): Promise<DataSource> {
  if (unsound.isInitialized) await unsound.destroy().catch(() => undefined);
  const source = createDataSource(String(unsound.options.database), true);
  await source.initialize();
  return source;
}

/** `mustExist`: it is not made where it is not there. */
export function createDataSource(database: string, mustExist = false): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database,
    fileMustExist: mustExist,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    synchronize: false,
    enableWAL: database !== ':memory:',
    // Waiting here would hold up everybody: who begins a write waits by itself (runTransaction).
    timeout: 50,
    prepareDatabase: (connection: { pragma(text: string): unknown }) => {
      connection.pragma('foreign_keys = ON');
      // A commit that was acknowledged survives a power cut: the log is synced with each.
      connection.pragma('synchronous = FULL');
    },
  });
}
