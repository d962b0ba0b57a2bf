import { mkdtemp, rm } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { unzipSync } from 'fflate';
import { createDataSource, openDatabase } from '../../data-source.ts';
import { DATABASE_FILE, DRAFT_PREFIX, PHOTO_FOLDER } from '../../disk/folderNames.ts';
import { planSwap, swapFolder } from '../../disk/swapFolder.ts';
import { writeDurably } from '../../disk/writeDurably.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { badInput } from '../../http/errors.ts';
import { MIGRATIONS } from '../../migrations/index.ts';
import { inTurn, withDisk, type Workroom } from '../../workroom.ts';
import { hashOf, MANIFEST_FILE, type Manifest } from './saveEverything.ts';

/**
 * Puts a saved ZIP in place of what is there. Everything is checked first: manifest, hashes, the database itself, and a
 * file for every photo. What was there before is kept in a folder of its own, whose name is returned.
 *
 * @param isGone whoever asked for it left meanwhile: nothing is replaced then
 */
export async function restoreEverything(room: Workroom, zip: Uint8Array, isGone: () => boolean): Promise<string> {
  const files = readSaved(zip);
  const draft = await mkdtemp(join(room.folder, DRAFT_PREFIX));
  try {
    for (const [path, bytes] of Object.entries(files)) {
      await writeDurably(join(draft, path), bytes);
    }
    await checkDatabase(join(draft, DATABASE_FILE), (hash) => `${PHOTO_FOLDER}/${hash}.jpg` in files);
    return await swapIn(room, draft, true, isGone);
  } finally {
    await rm(draft, { recursive: true, force: true });
  }
}

function readSaved(zip: Uint8Array): Record<string, Uint8Array> {
  const entries = unzip(zip);
  const manifest = readManifest(entries[MANIFEST_FILE]);
  const allowed = new RegExp(`^(${DATABASE_FILE.replace('.', '\\.')}|${PHOTO_FOLDER}/[0-9a-f]{64}\\.jpg)$`);
  const files: Record<string, Uint8Array> = {};
  for (const [path, hash] of Object.entries(manifest.files)) {
    const bytes = entries[path];
    if (!allowed.test(path)) throw refuse(`it holds a file that does not belong there (${path.slice(0, 80)})`);
    if (!bytes) throw refuse(`${path} is listed but missing`);
    if (hashOf(bytes) !== hash) throw refuse(`${path} was damaged or changed`);
    files[path] = bytes;
  }
  if (!files[DATABASE_FILE]) throw refuse('it holds no database');
  return files;
}

function unzip(zip: Uint8Array): Record<string, Uint8Array> {
  try {
    return unzipSync(zip);
  } catch {
    throw refuse('it is not a readable ZIP');
  }
}

function readManifest(bytes: Uint8Array | undefined): Manifest {
  try {
    const manifest = JSON.parse(new TextDecoder().decode(bytes)) as Manifest;
    if (manifest.format === 'sardonyx-save' && manifest.formatVersion === 1 && typeof manifest.files === 'object')
      return manifest;
  } catch {
    // Falls through to the refusal: unreadable and foreign manifests are told the same.
  }
  throw refuse('it was not saved by this program');
}

/** Throws where a database is not one of ours, or names a photograph that is not there; brings it up to date. */
export async function checkDatabase(path: string, hasPhoto: (hash: string) => boolean): Promise<void> {
  const source = createDataSource(path);
  try {
    await source.initialize();
    const [integrity] = (await source.query('PRAGMA integrity_check')) as { integrity_check: string }[];
    if (integrity?.integrity_check !== 'ok') throw refuse('its database is damaged');
    const known = new Set(MIGRATIONS.map((migration) => migration.name));
    const applied = (await source.query('SELECT name FROM migrations')) as { name: string }[];
    if (applied.some((migration) => !known.has(migration.name))) throw refuse('it was saved by a newer version');
    await source.runMigrations();
    for (const photo of await source.manager.find(PhotoRow)) {
      if (!hasPhoto(photo.hash)) throw refuse('a photo that it names is missing');
    }
  } catch (error) {
    if (error instanceof Error && 'status' in error) throw error;
    throw refuse('its database cannot be read');
  } finally {
    if (source.isInitialized) await source.destroy();
  }
}

/**
 * Puts a checked draft in its place, when it is its turn. The old bench is kept in a folder of its own, whose name is returned.
 * What the disk interrupts is finished when the bench is asked next (workroom), or at the next start.
 */
export function swapIn(room: Workroom, draft: string, withPhotos: boolean, isGone: () => boolean): Promise<string> {
  return inTurn(room, () =>
    withDisk(room, async () => {
      if (isGone()) throw refuse('it was ended');
      const kept = `before-restore-${room.now().toISOString().replace(/[:.]/g, '-')}`;
      await room.source.destroy();
      await swapFolder(room.folder, planSwap(basename(draft), kept, withPhotos));
      room.source = await openDatabase(room.folder);
      room.sentJobs.clear();
      return kept;
    }),
  );
}

const refuse = (why: string) => badInput(`Nothing was replaced: ${why}.`, undefined, 'bad-save');
