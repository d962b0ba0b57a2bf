import { join } from 'node:path';
import sharp from 'sharp';
import { PHOTO_FOLDER } from '../../disk/folderNames.ts';
import { SafeZip } from '../../disk/SafeZip.ts';
import { BAGIT_FILE, INFO_FILE, MANIFEST, picturePath, ROWS_FILE, TAG_MANIFEST } from './bagNames.ts';
import type { ArchivedRows } from './packRows.ts';
import { listPictures } from './listPictures.ts';
import { refuseArchive } from './refuseArchive.ts';

const MOST_TAG_BYTES = 16 * 1024 ** 2;
const MOST_ROWS_BYTES = 256 * 1024 ** 2;
const MOST_FILE_BYTES = 256 * 1024 ** 2;

/** What is in an archive, as far as its files go: every one was compared with its checksum. */
export interface ReadBag {
  readonly rows: ArchivedRows;
  /** Hashes of the pictures that were unpacked. */
  readonly pictures: readonly string[];
}

/**
 * Reads a bag (RFC 8493) in a ZIP: every file of the payload is listed and there, with its checksum, and every tag file too. Pictures
 * are unpacked into `draft`; nothing else is written. Throws HttpError 400 with the reason.
 */
export async function readBag(path: string, draft: string): Promise<ReadBag> {
  const zip = await SafeZip.open(path, { refuse: refuseArchive, mostBytes: () => MOST_FILE_BYTES });
  try {
    const names = zip.names.filter((name) => !name.endsWith('/'));
    const base = /^[^/]+\//.exec(names[0] ?? '')?.[0];
    if (!base || !names.every((name) => name.startsWith(base))) throw refuseArchive('it is not one bag in one folder');
    const readTag = (name: string) =>
      zip.readText(base + name, MOST_TAG_BYTES, `its ${name} is missing or cannot be read`);
    const declared = await readTag(BAGIT_FILE);
    if (!/^BagIt-Version: 1\.0\r?\nTag-File-Character-Encoding: UTF-8\r?\n?$/.test(declared))
      throw refuseArchive('it does not say that it is a bag of version 1.0 in UTF-8');
    const inBag = new Set(names.map((name) => name.slice(base.length)));
    await checkTags(zip, base, inBag, readSums(await readTag(TAG_MANIFEST), TAG_MANIFEST));
    const sums = readSums(await readTag(MANIFEST), MANIFEST);
    const bytes = await checkPayload(zip, base, inBag, sums, draft);
    checkOxum(await readTag(INFO_FILE), bytes, sums.size);
    const rows = readRows(
      sums.has(ROWS_FILE) ? await zip.readText(base + ROWS_FILE, MOST_ROWS_BYTES, 'its rows cannot be read') : '',
    );
    return { rows, pictures: await checkPictures(rows, sums, draft) };
  } finally {
    zip.close();
  }
}

/** Path -> SHA-256, as a manifest of BagIt lists them. */
function readSums(text: string, name: string): ReadonlyMap<string, string> {
  const sums = new Map<string, string>();
  for (const line of text.split(/\r?\n/).filter(Boolean)) {
    const [, sum, written] = /^([0-9a-fA-F]{64})[ \t]+\*?(\S.*)$/.exec(line) ?? [];
    if (!sum || !written) throw refuseArchive(`${name} has a line that is none (${line.slice(0, 60)})`);
    const path = written
      .replaceAll(/%0[aA]/g, '\n')
      .replaceAll(/%0[dD]/g, '\r')
      .replaceAll('%25', '%');
    if (sums.has(path)) throw refuseArchive(`${name} lists ${path.slice(0, 80)} twice`);
    sums.set(path, sum.toLowerCase());
  }
  return sums;
}

async function checkTags(
  zip: SafeZip,
  base: string,
  inBag: ReadonlySet<string>,
  sums: ReadonlyMap<string, string>,
): Promise<void> {
  for (const name of [BAGIT_FILE, INFO_FILE, MANIFEST])
    if (!sums.has(name)) throw refuseArchive(`${TAG_MANIFEST} does not list ${name}`);
  for (const name of inBag)
    if (!name.startsWith('data/') && name !== TAG_MANIFEST && !sums.has(name))
      throw refuseArchive(`${name.slice(0, 80)} is not listed`);
  for (const [name, sum] of sums) await compare(zip, base, name, sum, inBag);
}

/** Bytes of the payload. */
async function checkPayload(
  zip: SafeZip,
  base: string,
  inBag: ReadonlySet<string>,
  sums: ReadonlyMap<string, string>,
  draft: string,
): Promise<number> {
  let bytes = 0;
  for (const name of inBag)
    if (name.startsWith('data/') && !sums.has(name)) throw refuseArchive(`${name.slice(0, 80)} is not listed`);
  for (const [name, sum] of sums) {
    if (!name.startsWith('data/')) throw refuseArchive(`${name.slice(0, 80)} is listed and not of its payload`);
    const picture = /^data\/photos\/([0-9a-f]{64}\.jpg)$/.exec(name)?.[1];
    const to = picture ? join(draft, PHOTO_FOLDER, picture) : null;
    bytes += await compare(zip, base, name, sum, inBag, to);
  }
  return bytes;
}

async function compare(
  zip: SafeZip,
  base: string,
  name: string,
  sum: string,
  inBag: ReadonlySet<string>,
  to: string | null = null,
): Promise<number> {
  if (!inBag.has(name)) throw refuseArchive(`${name.slice(0, 80)} is listed but missing`);
  const { sha256, bytes } = await (to ? zip.unpack(base + name, to) : zip.sum(base + name));
  if (sha256 !== sum) throw refuseArchive(`${name.slice(0, 80)} was damaged or changed`);
  return bytes;
}

function checkOxum(info: string, bytes: number, files: number): void {
  const [, said] = /^Payload-Oxum:\s*(\S+)\s*$/m.exec(info) ?? [];
  if (said !== undefined && said !== `${bytes}.${files}`)
    throw refuseArchive(`it should hold ${said} (bytes.files) and holds ${bytes}.${files}`);
}

function readRows(text: string): ArchivedRows {
  const refuse = () => refuseArchive('it holds no jobs of this program');
  if (text === '') throw refuse();
  let rows: ArchivedRows;
  try {
    rows = JSON.parse(text) as ArchivedRows;
  } catch {
    throw refuse();
  }
  const isOurs = rows?.format === 'sardonyx-rows' && rows.formatVersion === 1 && typeof rows.migration === 'string';
  if (!isOurs || typeof rows.tables !== 'object' || rows.tables === null || !Array.isArray(rows.missing))
    throw refuse();
  const isRow = (row: unknown) =>
    typeof row === 'object' &&
    row !== null &&
    Object.values(row).every((value) => value === null || typeof value === 'string' || Number.isFinite(value));
  for (const list of Object.values(rows.tables)) if (!Array.isArray(list) || !list.every(isRow)) throw refuse();
  if (!rows.tables.job?.length) throw refuse();
  return rows;
}

/** Each picture that the rows name is there, is what its name says, and is a picture. */
async function checkPictures(
  rows: ArchivedRows,
  sums: ReadonlyMap<string, string>,
  draft: string,
): Promise<readonly string[]> {
  const missing = new Set(rows.missing);
  const there: string[] = [];
  for (const hash of listPictures(rows)) {
    const sum = sums.get(picturePath(hash));
    if (sum === undefined) {
      if (missing.has(hash)) continue;
      throw refuseArchive('a picture that it names is missing');
    }
    if (sum !== hash) throw refuseArchive('a picture in it is not what its name says');
    const { format } = await sharp(join(draft, PHOTO_FOLDER, `${hash}.jpg`))
      .metadata()
      .catch(() => ({ format: null }));
    if (format !== 'jpeg') throw refuseArchive('a picture in it cannot be read');
    there.push(hash);
  }
  return there;
}
