import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { BenchView, JobView } from '@sardonyx/contract';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import supertest from 'supertest';
import { createApp } from '../src/app.ts';
import { COPY_FOLDER, DATABASE_FILE } from '../src/disk/folderNames.ts';
import { listCopies } from '../src/disk/keepCopies.ts';
import { openFolder } from '../src/disk/openFolder.ts';
import { createSilentLog } from '../src/http/log.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';
import { keepNothing, type Workroom } from '../src/workroom.ts';
import { NOW } from './support/createTestBench.ts';

const FOLDERS = join(import.meta.dirname, 'folders');
const versions = readdirSync(FOLDERS).map((name) => name.replace('.db.gz', ''));

/** Came together with the next one: no version ended with it. */
const NEVER_LAST = ['WhoseAndWhich1795941381036', 'PotLog1796140000000', 'WantBits1796150000000'];

/** What a restorer would miss, in words of SQL that every version understands. */
function readWhatCounts(path: string) {
  const database = new Database(path, { readonly: true });
  const all = (sql: string) => database.prepare(sql).raw().all();
  const counts = {
    jobs: all('SELECT id, number, title, signedOffAt FROM job ORDER BY id'),
    parts: all('SELECT id, name, material, origin FROM specimen_part ORDER BY id'),
    coats: all("SELECT id, name, colourHex, appliedAt FROM coating_layer WHERE stage <> 'planned' ORDER BY id"),
    findings: all('SELECT id, kind, note FROM finding ORDER BY id'),
    photos: all('SELECT id, hash, stage, side FROM photo ORDER BY id'),
    log: all('SELECT id, taskId, who, at, act, note FROM task_log ORDER BY rowid'),
    done: all("SELECT id FROM task WHERE state IN ('done', 'doing') ORDER BY id"),
    pots: all('SELECT id, leftMl FROM paint_pot ORDER BY id'),
  };
  database.close();
  return counts;
}

describe('a folder that an earlier version wrote', function () {
  this.timeout(60_000);

  it('is kept of every version that changed what is stored', () => {
    // The last one is this version's own, and is kept before the next is added.
    const names = MIGRATIONS.slice(0, -1).map(({ name }) => name);
    expect(names.filter((name) => !versions.includes(name))).deep.equal(NEVER_LAST);
  });

  for (const version of versions)
    it(`opens, is copied first, and its jobs stand as before (${version})`, async () => {
      const folder = await mkdtemp(join(tmpdir(), 'sardonyx-older-'));
      const path = join(folder, DATABASE_FILE);
      await mkdir(folder, { recursive: true });
      writeFileSync(path, gunzipSync(readFileSync(join(FOLDERS, `${version}.db.gz`))));
      const before = readWhatCounts(path);
      const { source, lock, news } = await openFolder(folder, NOW);
      try {
        const isOld = version !== MIGRATIONS.at(-1)!.name;
        expect(news.includes('The bench was copied before it was brought up to date.')).equal(isOld);
        expect(readWhatCounts(path)).deep.equal(before);
        const copies = (await listCopies(folder)).filter(({ reason }) => reason === 'before an upgrade');
        expect(copies).length(isOld ? 1 : 0);
        for (const { name } of copies) expect(readWhatCounts(join(folder, COPY_FOLDER, name))).deep.equal(before);
        await expectItShows(folder, source, before.jobs.length);
      } finally {
        await source.destroy();
        lock.release();
        await rm(folder, { recursive: true, force: true });
      }
    });
});

/** The bench and each of its jobs are shown, with the log in its order. */
async function expectItShows(folder: string, source: Workroom['source'], jobs: number): Promise<void> {
  const room: Workroom = {
    ...{ source, folder, benchName: 'Old bench', isDemo: false, now: () => NOW },
    ...{ kept: keepNothing(), log: createSilentLog(), trouble: null, clockBehind: null },
  };
  const http = supertest(createApp({ room, webRoot: null }));
  const { lanes } = (await http.get('/api/bench').expect(200)).body as BenchView;
  expect(lanes).length(jobs);
  for (const { job } of lanes) {
    const view = (await http.get(`/api/jobs/${job.id}`).expect(200)).body as JobView;
    const settled = new Set(view.tasks.filter(({ state }) => state === 'done').map(({ id }) => id));
    for (const { act, taskId } of view.log) if (act === 'done') expect(settled.has(taskId), taskId).equal(true);
  }
}
