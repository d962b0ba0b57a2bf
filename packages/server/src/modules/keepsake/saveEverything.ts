import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Database from 'better-sqlite3';
import { ZipFile } from 'yazl';
import { backupDatabase } from '../../disk/backupDatabase.ts';
import { DATABASE_FILE } from '../../disk/folderNames.ts';
import { readHashed } from '../../disk/readHashed.ts';
import type { Workroom } from '../../workroom.ts';
import { listNamedPictures } from '../../disk/listNamedPictures.ts';
import { photoPath } from '../photos/photoStore.ts';
import { MANIFEST_FILE, photoEntry, type Manifest } from './manifest.ts';

/**
 * Writes one ZIP (ZIP64 where it is larger than 4 GB) with everything to a stream: a consistent copy of the database, the
 * photographs that it names, and a manifest with their checksums. Never more than a piece of it is in memory, and the bench is
 * written to meanwhile.
 *
 * Throws when the stream ends before it is whole.
 */
export async function saveEverything(room: Workroom, out: Writable): Promise<void> {
  const copy = join(room.folder, `saving-${randomUUID()}.part`);
  const zip = new ZipFile();
  const mtime = room.now();
  const files: Record<string, string> = {};
  try {
    const hashes = await copyDatabase(room.folder, copy);
    const [there, missing] = [hashes.filter(isThere), hashes.filter((hash) => !isThere(hash))];
    const add = async (name: string, path: string, compress: boolean) => {
      const { size } = await stat(path);
      zip.addReadStreamLazy(name, { mtime, compress, size }, (give) =>
        give(
          null,
          readHashed(path, (hash) => (files[name] = hash)),
        ),
      );
    };
    await add(DATABASE_FILE, copy, true);
    // Pictures are compressed already.
    for (const hash of there) await add(photoEntry(hash), photoPath(room.folder, hash), false);
    zip.addReadStreamLazy(MANIFEST_FILE, { mtime, compress: false }, (give) => {
      const manifest: Manifest = {
        ...{ format: 'sardonyx-save', formatVersion: 1, savedAt: mtime.toISOString(), files, missing },
      };
      give(null, Readable.from([Buffer.from(JSON.stringify(manifest, null, 2))]));
    });
    zip.end();
    await send(zip, out);
  } finally {
    await rm(copy, { force: true });
  }

  function isThere(hash: string): boolean {
    return existsSync(photoPath(room.folder, hash));
  }
}

/** Copies the database as it stands; the hashes of the photographs that the copy names. */
async function copyDatabase(folder: string, to: string): Promise<string[]> {
  await backupDatabase(folder, to);
  const copy = new Database(to);
  // One file, whole: nothing of it may lie in a log beside it.
  copy.pragma('journal_mode = DELETE');
  const hashes = listNamedPictures(copy);
  copy.close();
  return hashes;
}

/** Until all of it went out. Throws with what could not be read, or that whoever asked has left. */
async function send(zip: ZipFile, out: Writable): Promise<void> {
  const stop = new AbortController();
  let failed: Error | null = null;
  zip.on('error', (error: Error) => {
    failed = error;
    stop.abort();
  });
  await pipeline(zip.outputStream, out, { end: false, signal: stop.signal }).catch((error: unknown) => {
    throw failed ?? error;
  });
}
