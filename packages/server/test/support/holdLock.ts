import { join } from 'node:path';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from '../../src/disk/folderNames.ts';

/** Takes the lock of a bench's database, as another program would; the returned function lets go of it. */
export function holdLock(folder: string): () => void {
  const other = new Database(join(folder, DATABASE_FILE));
  other.exec('BEGIN IMMEDIATE');
  return () => {
    other.exec('COMMIT');
    other.close();
  };
}
