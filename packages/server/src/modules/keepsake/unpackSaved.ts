import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { DATABASE_FILE, PHOTO_FOLDER } from '../../disk/folderNames.ts';
import { SafeZip } from '../../disk/SafeZip.ts';
import { syncFolder } from '../../disk/writeDurably.ts';
import { BELONGS, MANIFEST_FILE, type Manifest } from './manifest.ts';
import { refuseSave } from './refuseSave.ts';

const MOST_BYTES = 16 * 1024 ** 3;
const MOST_MANIFEST_BYTES = 64 * 1024 ** 2;
const MOST_PHOTO_BYTES = 64 * 1024 ** 2;

/**
 * Unpacks a saved ZIP into a folder: looked at as a whole before anything is inflated, then its manifest, then every file that the
 * manifest names, in pieces, with its checksum; all synced. The manifest.
 *
 * Throws HttpError 400 with the reason for anything that "Save everything" did not make.
 */
export async function unpackSaved(path: string, to: string): Promise<Manifest> {
  const zip = await SafeZip.open(path, {
    refuse: refuseSave,
    mostBytes: (name) => (name.startsWith(`${PHOTO_FOLDER}/`) ? MOST_PHOTO_BYTES : MOST_BYTES),
  });
  try {
    const manifest = zip.has(MANIFEST_FILE)
      ? readManifest(await zip.readText(MANIFEST_FILE, MOST_MANIFEST_BYTES, 'its list of files cannot be read'))
      : null;
    if (!manifest) throw refuseSave('it was not saved by this program');
    const names = Object.keys(manifest.files);
    for (const name of names)
      if (!BELONGS.test(name)) throw refuseSave(`it holds a file that does not belong there (${name.slice(0, 80)})`);
    if (!names.includes(DATABASE_FILE)) throw refuseSave('it holds no database');
    await mkdir(join(to, PHOTO_FOLDER), { recursive: true });
    for (const name of names) {
      if (!zip.has(name)) throw refuseSave(`${name} is listed but missing`);
      if ((await zip.unpack(name, join(to, name))).sha256 !== manifest.files[name])
        throw refuseSave(`${name} was damaged or changed`);
    }
    await syncFolder(join(to, PHOTO_FOLDER));
    await syncFolder(to);
    return manifest;
  } finally {
    zip.close();
  }
}

function readManifest(text: string): Manifest | null {
  try {
    const manifest = JSON.parse(text) as Manifest;
    const isOurs = manifest.format === 'sardonyx-save' && manifest.formatVersion === 1;
    const { files, missing = [] } = manifest;
    const isWhole = typeof files === 'object' && files !== null && Array.isArray(missing);
    return isOurs && isWhole && Object.values(files).every((hash) => typeof hash === 'string') ? manifest : null;
  } catch {
    return null;
  }
}
