import { existsSync } from 'node:fs';
import { mkdir, readdir, rename } from 'node:fs/promises';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { COPY_FOLDER, DATABASE_FILE, DRAFT_PREFIX, LEFTOVER_FOLDER, PHOTO_FOLDER, PHOTO_NAME } from './folderNames.ts';
import { listCopies } from './keepCopies.ts';
import { listNamedPictures } from './listNamedPictures.ts';
import { DRAFT_NAME } from './writeDurably.ts';

/**
 * Moves what an interrupted write or restore left behind, and photographs that neither the bench nor one of its copies names,
 * into a folder of their own. Nothing is thrown away. How many things were moved.
 */
export async function sweepFolder(folder: string, now: Date): Promise<number> {
  const names = async (place: string) => (existsSync(join(folder, place)) ? readdir(join(folder, place)) : []);
  const known = await listNamedPhotos(folder);
  const left = [
    ...(await names('.')).filter((name) => name.startsWith(DRAFT_PREFIX) || DRAFT_NAME.test(name)),
    ...(await names(COPY_FOLDER)).filter((name) => DRAFT_NAME.test(name)).map((name) => join(COPY_FOLDER, name)),
    ...(await names(PHOTO_FOLDER))
      .filter((name) => DRAFT_NAME.test(name) || (known !== null && PHOTO_NAME.test(name) && !known.has(name)))
      .map((name) => join(PHOTO_FOLDER, name)),
  ];
  const to = join(folder, LEFTOVER_FOLDER, now.toISOString().replace(/[:.]/g, '-'));
  if (left.length) await mkdir(to, { recursive: true });
  for (const path of left) await rename(join(folder, path), join(to, path.replace(/[\\/]/g, '-')));
  return left.length;
}

/** Names of the files of all photographs that the bench or a copy of it has a row of; null where one of them cannot be read. */
async function listNamedPhotos(folder: string): Promise<ReadonlySet<string> | null> {
  const copies = (await listCopies(folder)).map(({ name }) => join(folder, COPY_FOLDER, name));
  const named = new Set<string>();
  for (const path of [join(folder, DATABASE_FILE), ...copies]) {
    const database = new Database(path, { readonly: true });
    try {
      for (const hash of listNamedPictures(database)) named.add(`${hash}.jpg`);
    } catch {
      // A damaged copy may name any of them: all stay where they are.
      return null;
    } finally {
      database.close();
    }
  }
  return named;
}
