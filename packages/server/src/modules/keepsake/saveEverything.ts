import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import Database from 'better-sqlite3';
import { Zip, ZipDeflate, ZipPassThrough, type ZipInputFile } from 'fflate';
import { backupDatabase } from '../../disk/backupDatabase.ts';
import { DATABASE_FILE } from '../../disk/folderNames.ts';
import type { Workroom } from '../../workroom.ts';
import { photoPath } from '../photos/photoStore.ts';
import { MANIFEST_FILE, photoEntry, type Manifest } from './manifest.ts';

/**
 * Writes one ZIP with everything to a stream: a consistent copy of the database, the photographs that it names, and a manifest with
 * their checksums. Never more than a piece of it is in memory, and the bench is written to meanwhile.
 *
 * Throws when the stream ends before it is whole.
 */
export async function saveEverything(room: Workroom, out: Writable): Promise<void> {
  const copy = join(room.folder, `saving-${process.pid}-${room.now().getTime()}.part`);
  try {
    const hashes = await copyDatabase(room.folder, copy);
    const zip = new Zip();
    const sent = sendTo(zip, out);
    const files: Record<string, string> = {};
    const add = async (name: string, entry: ZipInputFile & Pushed, path: string) => {
      zip.add(entry);
      files[name] = await pushFile(entry, path, sent);
    };
    await add(DATABASE_FILE, new ZipDeflate(DATABASE_FILE, { level: 6 }), copy);
    const [there, missing] = [hashes.filter(isThere), hashes.filter((hash) => !isThere(hash))];
    // Pictures are compressed already.
    for (const hash of there)
      await add(photoEntry(hash), new ZipPassThrough(photoEntry(hash)), photoPath(room.folder, hash));
    const manifest: Manifest = {
      ...{ format: 'sardonyx-save', formatVersion: 1, savedAt: room.now().toISOString(), files, missing },
    };
    const last = new ZipPassThrough(MANIFEST_FILE);
    zip.add(last);
    last.push(new TextEncoder().encode(JSON.stringify(manifest, null, 2)), true);
    zip.end();
    await sent();
  } finally {
    await rm(copy, { force: true });
  }

  function isThere(hash: string): boolean {
    return existsSync(photoPath(room.folder, hash));
  }
}

interface Pushed {
  push(piece: Uint8Array, isLast?: boolean): void;
}

/** Copies the database as it stands; the hashes of the photographs that the copy names. */
async function copyDatabase(folder: string, to: string): Promise<string[]> {
  await backupDatabase(folder, to);
  const copy = new Database(to);
  // One file, whole: nothing of it may lie in a log beside it.
  copy.pragma('journal_mode = DELETE');
  const hashes = copy.prepare('SELECT DISTINCT hash FROM photo ORDER BY hash').pluck().all() as string[];
  copy.close();
  return hashes;
}

/** Hands what a ZIP gives to a stream; the returned function waits until the stream can take more. */
function sendTo(zip: Zip, out: Writable): () => Promise<void> {
  let failed: Error | null = null;
  let isFull = false;
  zip.ondata = (error, piece) => {
    if (error) failed = error;
    else if (!out.write(piece)) isFull = true;
  };
  return async () => {
    if (failed) throw failed;
    if (out.destroyed) throw new Error('Whoever asked has left.');
    if (isFull && out.writableNeedDrain) await untilDrained(out);
    isFull = false;
  };
}

/** Until a stream takes more, or is closed. */
const untilDrained = (out: Writable): Promise<void> =>
  new Promise((done) => {
    const goOn = () => {
      out.off('drain', goOn);
      out.off('close', goOn);
      done();
    };
    out.on('drain', goOn);
    out.on('close', goOn);
  });

/** Pushes a file piece by piece; the SHA-256 of it. */
async function pushFile(entry: Pushed, path: string, sent: () => Promise<void>): Promise<string> {
  const hash = createHash('sha256');
  for await (const piece of createReadStream(path) as AsyncIterable<Buffer>) {
    hash.update(piece);
    entry.push(piece);
    await sent();
  }
  entry.push(new Uint8Array(0), true);
  await sent();
  return hash.digest('hex');
}
