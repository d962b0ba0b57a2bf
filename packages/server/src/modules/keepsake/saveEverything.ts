import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync, type Zippable } from 'fflate';
import { DATABASE_FILE, PHOTO_FOLDER, PHOTO_NAME } from '../../disk/folderNames.ts';
import type { Workroom } from '../../workroom.ts';

export const MANIFEST_FILE = 'manifest.json';

export interface Manifest {
  readonly format: 'sardonyx-save';
  readonly formatVersion: 1;
  readonly savedAt: string;
  /** Path in the ZIP -> SHA-256 of its bytes. */
  readonly files: Readonly<Record<string, string>>;
}

/** One ZIP with the whole folder: a consistent copy of the database, the photos and a manifest with their hashes. */
export async function saveEverything(room: Workroom): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = { [DATABASE_FILE]: await copyDatabase(room) };
  const photos = join(room.folder, PHOTO_FOLDER);
  if (existsSync(photos)) {
    for (const name of (await readdir(photos)).filter((candidate) => PHOTO_NAME.test(candidate)).sort()) {
      files[`${PHOTO_FOLDER}/${name}`] = await readFile(join(photos, name));
    }
  }
  const hashes = Object.fromEntries(Object.entries(files).map(([path, bytes]) => [path, hashOf(bytes)]));
  const manifest: Manifest = {
    format: 'sardonyx-save',
    formatVersion: 1,
    savedAt: room.now().toISOString(),
    files: hashes,
  };
  const zip: Zippable = { [MANIFEST_FILE]: new TextEncoder().encode(JSON.stringify(manifest, null, 2)) };
  // Photos are compressed already.
  for (const [path, bytes] of Object.entries(files)) zip[path] = [bytes, { level: path.endsWith('.jpg') ? 0 : 6 }];
  return zipSync(zip);
}

export const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

async function copyDatabase(room: Workroom): Promise<Uint8Array> {
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-'));
  try {
    const copy = join(folder, 'copy.db');
    await room.source.query('VACUUM INTO ?', [copy]);
    return await readFile(copy);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
