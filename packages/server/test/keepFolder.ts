/**
 * `npm run keep-folder`: keeps what this version writes in test/folders, named by its last migration, for all later versions to
 * open. Run it before a migration is added. A path keeps the demo's database of another version instead.
 */
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from '../src/disk/folderNames.ts';
import { seedDemo } from '../src/demo/seedDemo.ts';
import { openRoom } from './support/createTestBench.ts';
import { shrinkDatabase } from './support/shrinkFolder.ts';

const folder = await mkdtemp(join(tmpdir(), 'sardonyx-keep-'));
const path = join(folder, DATABASE_FILE);
if (process.argv[2]) copyFileSync(process.argv[2], path);
else {
  const room = await openRoom(folder, true);
  await seedDemo(room);
  await room.source.destroy();
}
shrinkDatabase(path);
const database = new Database(path, { readonly: true });
const last = database.prepare('SELECT name FROM migrations ORDER BY id DESC LIMIT 1').pluck().get() as string;
database.close();
const kept = join(import.meta.dirname, 'folders', `${last}.db.gz`);
writeFileSync(kept, gzipSync(readFileSync(path), { level: 9 }));
console.log(kept);
await rm(folder, { recursive: true, force: true });
