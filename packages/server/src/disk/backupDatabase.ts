import { open } from 'node:fs/promises';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from './folderNames.ts';

/** Copies the database of a folder to a file as it stands, in steps that let others write meanwhile; whole and synced. */
export async function backupDatabase(folder: string, to: string): Promise<void> {
  const source = new Database(join(folder, DATABASE_FILE), { readonly: true });
  await source.backup(to).finally(() => source.close());
  const file = await open(to, 'r+');
  await file.sync().finally(() => file.close());
}
