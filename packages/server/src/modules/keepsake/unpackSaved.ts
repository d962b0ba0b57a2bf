import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { DATABASE_FILE, PHOTO_FOLDER } from '../../disk/folderNames.ts';
import { syncFolder } from '../../disk/writeDurably.ts';
import { BELONGS, MANIFEST_FILE, type Manifest } from './manifest.ts';
import { refuseSave } from './refuseSave.ts';

const MOST_ENTRIES = 200_000;
const MOST_BYTES = 16 * 1024 ** 3;
const MOST_MANIFEST_BYTES = 64 * 1024 ** 2;
const MOST_PHOTO_BYTES = 64 * 1024 ** 2;
/** A database packs well, but not so well. */
const MOST_RATIO = 200;

/**
 * Unpacks a saved ZIP into a folder: looked at as a whole before anything is inflated, then its manifest, then every file that the
 * manifest names, in pieces, with its checksum; all synced. The manifest.
 *
 * Throws HttpError 400 with the reason for anything that "Save everything" did not make.
 */
export async function unpackSaved(path: string, to: string): Promise<Manifest> {
  const zip = await openZip(path);
  try {
    const entries = await listEntries(zip);
    const first = entries.get(MANIFEST_FILE);
    const manifest = first ? readManifest(await readText(zip, first)) : null;
    if (!manifest) throw refuseSave('it was not saved by this program');
    const names = Object.keys(manifest.files);
    for (const name of names)
      if (!BELONGS.test(name)) throw refuseSave(`it holds a file that does not belong there (${name.slice(0, 80)})`);
    if (!names.includes(DATABASE_FILE)) throw refuseSave('it holds no database');
    await mkdir(join(to, PHOTO_FOLDER), { recursive: true });
    for (const name of names) {
      const entry = entries.get(name);
      if (!entry) throw refuseSave(`${name} is listed but missing`);
      if ((await unpack(zip, entry, join(to, name))) !== manifest.files[name])
        throw refuseSave(`${name} was damaged or changed`);
    }
    await syncFolder(join(to, PHOTO_FOLDER));
    await syncFolder(to);
    return manifest;
  } finally {
    zip.close();
  }
}

const openZip = (path: string): Promise<ZipFile> =>
  yauzl.openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true }).catch(() => {
    throw refuseSave('it is not a readable ZIP');
  });

/** Every entry by its name, sizes looked at. */
async function listEntries(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES) throw refuseSave(`it holds ${zip.entryCount} files`);
  const entries = new Map<string, Entry>();
  let bytes = 0;
  await new Promise<void>((done, fail) => {
    zip.on('entry', (entry: Entry) => {
      const { fileName, uncompressedSize, compressedSize } = entry;
      bytes += uncompressedSize;
      const most = fileName.startsWith(`${PHOTO_FOLDER}/`) ? MOST_PHOTO_BYTES : MOST_BYTES;
      if (entries.has(fileName)) return fail(refuseSave(`${fileName.slice(0, 80)} stands in it twice`));
      if (uncompressedSize > most || bytes > MOST_BYTES) return fail(refuseSave('what is in it is too large'));
      if (uncompressedSize > MOST_RATIO * Math.max(compressedSize, 5000))
        return fail(refuseSave(`${fileName.slice(0, 80)} would be far larger than it is packed`));
      entries.set(fileName, entry);
      zip.readEntry();
    });
    zip.on('end', done);
    zip.on('error', () => fail(refuseSave('it is not a readable ZIP')));
    zip.readEntry();
  });
  return entries;
}

const openEntry = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  zip.openReadStreamPromise(entry).catch(() => {
    throw refuseSave(`${entry.fileName.slice(0, 80)} cannot be read`);
  });

async function readText(zip: ZipFile, entry: Entry): Promise<string> {
  if (entry.uncompressedSize > MOST_MANIFEST_BYTES) throw refuseSave('it was not saved by this program');
  const pieces: Buffer[] = [];
  try {
    for await (const piece of (await openEntry(zip, entry)) as AsyncIterable<Buffer>) pieces.push(piece);
  } catch {
    throw refuseSave('its list of files cannot be read');
  }
  return Buffer.concat(pieces).toString('utf8');
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

/** Writes one entry out, synced; the SHA-256 of what was in it. */
async function unpack(zip: ZipFile, entry: Entry, to: string): Promise<string> {
  await mkdir(dirname(to), { recursive: true });
  const hash = createHash('sha256');
  const note = new Transform({
    transform: (piece: Buffer, _, done) => {
      hash.update(piece);
      done(null, piece);
    },
  });
  const from = await openEntry(zip, entry);
  const target = createWriteStream(to, { flush: true });
  try {
    await pipeline(from, note, target);
  } catch (error) {
    // What the disk does not take is the disk's; everything else is the file's.
    if (typeof (error as NodeJS.ErrnoException).syscall === 'string') throw error;
    throw refuseSave(`${entry.fileName.slice(0, 80)} was damaged or changed`);
  }
  return hash.digest('hex');
}
