import { existsSync, readdirSync, statSync } from 'node:fs';
import { access, constants, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { COPY_FOLDER, DATABASE_FILE, PHOTO_FOLDER, PHOTO_NAME } from './folderNames.ts';
import { FolderError } from './folderError.ts';

/** How the database of a folder stands before it is opened: there or not, and which of our migrations it has. */
export interface Inspected {
  readonly isNew: boolean;
  /** Names of migrations that it still needs. */
  readonly pending: readonly string[];
}

/**
 * Looks before anything is touched. Throws FolderError, one plain sentence with what to do and where an older copy lies, for a
 * folder that cannot be written to, a database that is damaged, of a newer program, or gone from beside its photographs.
 */
export async function inspectFolder(folder: string, known: readonly string[]): Promise<Inspected> {
  await assertWritable(folder);
  const file = join(folder, DATABASE_FILE);
  if (!existsSync(file) || statSync(file).size === 0) {
    const photos = listPhotos(folder);
    if (photos > 0)
      throw new FolderError(
        `${photos === 1 ? 'There is 1 photograph' : `There are ${photos} photographs`} in ${join(folder, PHOTO_FOLDER)}, but the database beside ${photos === 1 ? 'it' : 'them'} is ${existsSync(file) ? 'empty' : 'gone'}. Nothing was touched. ${sayCopies(folder)}`,
      );
    return { isNew: true, pending: known };
  }
  const applied = readApplied(folder, file);
  const foreign = applied.filter((name) => !known.includes(name));
  if (foreign.length)
    throw new FolderError(
      `The bench in ${folder} was written by a newer version of this program. Nothing was touched. Start that version, or open another folder (SARDONYX_DATA).`,
    );
  return { isNew: applied.length === 0, pending: known.filter((name) => !applied.includes(name)) };
}

async function assertWritable(folder: string): Promise<void> {
  const probe = join(folder, `.probe-${process.pid}`);
  try {
    await access(folder, constants.W_OK);
    await writeFile(probe, '');
    await rm(probe);
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    throw new FolderError(
      code === 'ENOSPC' || code === 'EDQUOT'
        ? `The disk of ${folder} is full. Nothing was touched. Free some space and start again.`
        : `${folder} cannot be written to (${code}). Nothing was touched. Make it writable for you, or name another folder (SARDONYX_DATA).`,
    );
  }
}

const listPhotos = (folder: string): number =>
  existsSync(join(folder, PHOTO_FOLDER))
    ? readdirSync(join(folder, PHOTO_FOLDER)).filter((name) => PHOTO_NAME.test(name)).length
    : 0;

/** Applied migrations of a database that holds together. */
function readApplied(folder: string, file: string): string[] {
  let database: Database.Database | null = null;
  try {
    database = new Database(file, { readonly: true, fileMustExist: true });
    const [row] = database.pragma('quick_check(1)') as { quick_check: string }[];
    if (row?.quick_check !== 'ok') throw new Error(row?.quick_check);
    const tables = database.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all();
    if (tables.length === 0) return [];
    if (!tables.includes('migrations')) throw new Error('no table of ours');
    return database.prepare('SELECT name FROM migrations').pluck().all() as string[];
  } catch {
    throw new FolderError(
      `The database ${file} is damaged or is no bench of this program. It was left as it is: keep it, it may be mended. ${sayCopies(folder)}`,
    );
  } finally {
    database?.close();
  }
}

/** Where the latest copy lies, and how it comes back. */
function sayCopies(folder: string): string {
  const copies = existsSync(join(folder, COPY_FOLDER))
    ? readdirSync(join(folder, COPY_FOLDER)).filter((name) => name.endsWith('.db'))
    : [];
  const latest = copies
    .map((name) => join(folder, COPY_FOLDER, name))
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)[0];
  return latest
    ? `The latest copy is ${latest}: move the database and its -wal and -shm aside and put a copy of that file in its place, named ${DATABASE_FILE}.`
    : 'There is no copy in this folder: look for a ZIP of “Save everything”, open an empty folder (SARDONYX_DATA) and restore it there.';
}
