import { createHash } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { unzipSync, zipSync, type Zippable } from 'fflate';

interface Manifest {
  files: Record<string, unknown>;
  [field: string]: unknown;
}

const DATABASE = 'sardonyx.db';
const encode = (value: unknown) => new TextEncoder().encode(typeof value === 'string' ? value : JSON.stringify(value));
const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** What may be wrong with the database of a save; each leaves it one that SQLite opens, or not. */
const SQL: Readonly<Record<string, string>> = {
  'a trigger': 'CREATE TRIGGER t AFTER INSERT ON job BEGIN DELETE FROM job; END',
  'a view': 'CREATE VIEW v AS SELECT * FROM job',
  'a table of its own': 'CREATE TABLE mine (x)',
  'a virtual table': 'CREATE VIRTUAL TABLE f USING fts5(x)',
  'a job of no casting': "PRAGMA foreign_keys = OFF; UPDATE specimen SET castingId = 'nobody'",
  'a pot of no paint': "PRAGMA foreign_keys = OFF; UPDATE paint_pot SET productId = 'nobody'",
  'a state of no feature': "PRAGMA foreign_keys = OFF; UPDATE casting_part SET castingId = 'x'",
  'text for a number': "UPDATE paint_pot SET leftMl = 'much'",
  'a blob for text': "UPDATE paint_product SET name = x'00ff'",
  'text for a whole number': "UPDATE job SET version = 'one'",
  'JSON that is none': 'UPDATE casting SET drawing = \'{"views":\'',
  'JSON that is a blob': "UPDATE casting SET drawing = x'7b7d00'",
  'an unknown migration': "INSERT INTO migrations (timestamp, name) VALUES (1, 'FromTomorrow1')",
  'no list of migrations': 'DROP TABLE migrations',
  'a table less': 'PRAGMA foreign_keys = OFF; DROP TABLE timer',
  'a column less': 'ALTER TABLE paint_pot DROP COLUMN place',
  'a photograph that is not there': `UPDATE photo SET hash = '${'ab'.repeat(32)}'`,
};

/** Kinds of damage that a saved ZIP may have, each with what became of it. */
export async function createDamagedSaves(zip: Uint8Array): Promise<(readonly [kind: string, zip: Uint8Array])[]> {
  const files = unzipSync(zip);
  const manifest = JSON.parse(new TextDecoder().decode(files['manifest.json'])) as Manifest;
  const photo = Object.keys(files).find((name) => name.startsWith('photos/'))!;
  const database = files[DATABASE]!;
  const pack = (changes: Zippable, listed: Partial<Manifest> = {}) =>
    zipSync({ ...files, 'manifest.json': encode({ ...manifest, ...listed }), ...changes });
  const without = (name: string) => zipSync(Object.fromEntries(Object.entries(files).filter(([own]) => own !== name)));
  const withFile = (name: string, bytes: Uint8Array) =>
    pack({ [name]: bytes }, { files: { ...manifest.files, [name]: hashOf(bytes) } });
  const withDatabase = (bytes: Uint8Array) => withFile(DATABASE, bytes);
  const flip = (bytes: Uint8Array, at: number) => {
    const other = Uint8Array.from(bytes);
    other.fill(0x5a, at, at + 3000);
    return other;
  };
  const cut = (bytes: Uint8Array, share: number) => bytes.subarray(0, Math.floor(bytes.length * share));
  const plain: (readonly [string, Uint8Array])[] = [
    ['a letter', encode('Dear bench')],
    ['nothing', new Uint8Array(0)],
    ['half a ZIP', cut(zip, 0.5)],
    ['a ZIP without its end', zip.subarray(0, zip.length - 30)],
    ['a ZIP with holes', flip(zip, Math.floor(zip.length / 2))],
    ['a foreign ZIP', zipSync({ 'letter.txt': encode('x') })],
    ['no manifest', without('manifest.json')],
    ['a manifest that is no JSON', pack({ 'manifest.json': encode('{') })],
    ['a manifest of another program', pack({}, { format: 'other' })],
    ['a manifest of a later form', pack({}, { formatVersion: 2 })],
    ['a manifest without files', pack({ 'manifest.json': encode({ ...manifest, files: null }) })],
    ['a manifest with numbers for checksums', pack({}, { files: { ...manifest.files, [photo]: 1 } })],
    ['no database', without(DATABASE)],
    ['no database listed', pack({}, { files: { [photo]: manifest.files[photo] } })],
    ['a photograph less', without(photo)],
    ['a changed photograph', pack({ [photo]: encode('x') })],
    ['a changed database', pack({ [DATABASE]: flip(database, 9000) })],
    ['a file elsewhere', withFile('../evil.sh', encode('x'))],
    ['a file at the root of the disk', withFile('/etc/evil', encode('x'))],
    ['a script among the photographs', withFile('photos/evil.svg', encode('<svg/>'))],
    ['a log beside the database', withFile(`${DATABASE}-wal`, encode('x'))],
    ['a database that is none', withDatabase(encode('no database'.repeat(900)))],
    ['an empty database', withDatabase(new Uint8Array(0))],
    ['half a database', withDatabase(cut(database, 0.5))],
    // The head of a page: what lies in its middle may be free.
    ['a database with holes', withDatabase(flip(database, 2 * 4096))],
    ['a database that unpacks to a hundred megabytes', withDatabase(new Uint8Array(100_000_000))],
    ['a photograph of a hundred megabytes', withFile(photo, new Uint8Array(100_000_000))],
  ];
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-damaged-'));
  try {
    const path = join(folder, 'one.db');
    for (const [kind, sql] of Object.entries(SQL)) {
      await writeFile(path, database);
      const one = new Database(path);
      one.pragma('journal_mode = DELETE');
      one.exec(sql);
      one.close();
      plain.push([kind, withDatabase(await readFile(path))]);
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
  return plain;
}
