import { existsSync } from 'node:fs';
import { mkdir, mkdtemp, readdir, readFile, rename, rm, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { KeptCopy, ShelfView } from '@sardonyx/contract';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import { createDataSource } from '../src/data-source.ts';
import { DATABASE_FILE, PHOTO_FOLDER } from '../src/disk/folderNames.ts';
import { keepCopy, keepDailyCopy, listCopies } from '../src/disk/keepCopies.ts';
import { openFolder } from '../src/disk/openFolder.ts';
import { planSwap } from '../src/disk/swapFolder.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';
import { createTestBench, NOW, type TestBench } from './support/createTestBench.ts';
import { OWN_POT } from './support/ownLorry.ts';
import { startServer } from './support/startServer.ts';

const day = (n: number) => new Date(NOW.getTime() + n * 86_400_000);

describe('the folder of a bench', () => {
  let folder: string;
  beforeEach(async () => void (folder = await mkdtemp(join(tmpdir(), 'sardonyx-folder-'))));
  afterEach(() => rm(folder, { recursive: true, force: true }));

  /** Opens it, does something, and closes it again. */
  const open = async (act: (news: readonly string[]) => unknown = () => undefined, now = NOW) => {
    const { source, lock, news } = await openFolder(folder, now);
    try {
      await act(news);
    } finally {
      await source.destroy();
      lock.release();
    }
  };
  const why = async (): Promise<string> => {
    const before = await listAll();
    const message = await open().then(
      () => 'it was opened',
      (error: Error) => error.message,
    );
    expect(await listAll()).deep.equal(before);
    return message;
  };
  /** Every file with what is in it, but for the lock. */
  const listAll = async () => {
    const names = (await readdir(folder, { recursive: true }))
      .filter((name) => !/^open\.|-shm$|-wal$/.test(name))
      .sort();
    return Promise.all(names.map(async (name) => [name, await readFile(join(folder, name), 'latin1').catch(() => '')]));
  };
  const photo = async (name: string) => {
    await mkdir(join(folder, PHOTO_FOLDER), { recursive: true });
    await writeFile(join(folder, PHOTO_FOLDER, name), 'picture');
  };
  const HASH = 'ab'.repeat(32);

  it('is opened by one server at a time; the second says where the first is, and a dead one holds nothing', async () => {
    const first = await startServer(folder);
    const refused = await startServer(folder).then(
      () => 'it was opened',
      (error: Error) => error.message,
    );
    expect(refused).include('ended with 1').and.include(`is open already at ${first.address}`);
    await first.kill();
    await open();
  });

  it('that is damaged, not ours, or of a newer program is left as it is, and says where a copy lies', async () => {
    await open();
    const path = join(folder, DATABASE_FILE);
    const whole = await readFile(path);
    await writeFile(path, 'this is no database at all, but long enough to be looked at');
    expect(await why()).match(/damaged or is no bench.*There is no copy/);
    const broken = Buffer.from(whole);
    broken.fill(0x5a, 4096, 40_000);
    await writeFile(path, broken);
    expect(await why()).match(/damaged/);
    await writeFile(path, whole);
    await keepCopy(folder, 'a day', NOW);
    await writeFile(path, broken);
    expect(await why()).match(/The latest copy is .*2026-11-25T18-30-00-day\.db/);
    await writeFile(path, whole);
    const database = new Database(path);
    database.exec("INSERT INTO migrations (timestamp, name) VALUES (1, 'FromTomorrow1')");
    database.close();
    expect(await why()).match(/newer version/);
  });

  it('whose database is gone or empty beside photographs is not taken for a new one', async () => {
    await photo(`${HASH}.jpg`);
    expect(await why()).match(/^There is 1 photograph .* beside it is gone/);
    await writeFile(join(folder, DATABASE_FILE), '');
    expect(await why()).match(/empty/);
  });

  it('that cannot be made or written to is said', async () => {
    const file = join(folder, 'file');
    await writeFile(file, '');
    const refused = await openFolder(join(file, 'bench'), NOW).catch((error: Error) => error.message);
    expect(refused).match(/cannot be made/);
  });

  it('is copied once a day, the last seven are kept, and before it is brought up to date', async () => {
    await open();
    for (let n = 0; n < 10; n++) await keepDailyCopy(folder, day(n));
    expect(await keepDailyCopy(folder, day(9))).equal(false);
    expect((await listCopies(folder)).map(({ madeAt }) => madeAt.slice(0, 10))).deep.equal(
      [9, 8, 7, 6, 5, 4, 3].map((n) => day(n).toISOString().slice(0, 10)),
    );
    const old = createDataSource(join(folder, DATABASE_FILE));
    await old.initialize();
    await old.undoLastMigration();
    await old.destroy();
    await open((news) => expect(news.join(' ')).match(/copied before it was brought up to date/), day(9));
    const [copy] = (await listCopies(folder)).filter(({ reason }) => reason === 'before an upgrade');
    const copied = new Database(join(folder, 'copies', copy!.name), { readonly: true });
    const names = copied.prepare('SELECT name FROM migrations').pluck().all() as string[];
    copied.close();
    expect(names).deep.equal(MIGRATIONS.slice(0, -1).map(({ name }) => name));
  });

  it('is swept of what nobody names, into a folder of its own, and keeps what a copy names', async () => {
    await open();
    const named = 'cd'.repeat(32);
    const database = new Database(join(folder, DATABASE_FILE));
    database.pragma('foreign_keys = OFF');
    const columns = database.pragma('table_info(photo)') as { name: string; notnull: number; type: string }[];
    const values = columns.map(({ name, notnull, type }) =>
      name === 'hash' ? named : notnull ? (type === 'text' ? 'x' : 1) : null,
    );
    database.prepare(`INSERT INTO photo VALUES (${columns.map(() => '?').join(',')})`).run(...values);
    database.close();
    await keepCopy(folder, 'a day', NOW);
    const again = new Database(join(folder, DATABASE_FILE));
    again.exec('DELETE FROM photo');
    again.close();
    for (const name of [`${HASH}.jpg`, `${named}.jpg`, `${HASH}.jpg.12.part`]) await photo(name);
    await mkdir(join(folder, 'restoring-x'));
    await open((news) => expect(news.join(' ')).match(/3 leftovers were moved/));
    expect(await readdir(join(folder, PHOTO_FOLDER))).deep.equal([`${named}.jpg`]);
    await open((news) => expect(news).deep.equal([]));
  });

  it('opens beside a copy that is damaged, and then sweeps no photograph', async () => {
    await open();
    await keepCopy(folder, 'a day', NOW);
    const [copy] = await listCopies(folder);
    await writeFile(join(folder, 'copies', copy!.name), 'no database');
    await photo(`${HASH}.jpg`);
    await open((news) => expect(news).deep.equal([]));
    expect(await readdir(join(folder, PHOTO_FOLDER))).deep.equal([`${HASH}.jpg`]);
  });

  it('opens where no copy of the day can be made, and says so', async () => {
    await open();
    await writeFile(join(folder, 'copies'), 'a file where the folder should be');
    await open((news) => expect(news.join(' ')).match(/Not swept, not copied/), day(1));
  });

  for (const [stage, done] of [
    ['clearing', 0],
    ['clearing', 1],
    ['filling', 0],
    ['filling', 1],
  ] as const)
    it(`with a restore interrupted while ${stage} (${done ? 'half done' : 'just begun'}) becomes the new bench`, async () => {
      const draft = 'restoring-1';
      await open();
      await photo(`${HASH}.jpg`);
      await mkdir(join(folder, draft, PHOTO_FOLDER), { recursive: true });
      await mkdir(join(folder, 'kept'));
      const database = createDataSource(join(folder, draft, DATABASE_FILE));
      await database.initialize();
      await database.runMigrations();
      await database.query("INSERT INTO maker (id, version, name, about) VALUES ('new', 1, 'New', '')");
      await database.destroy();
      const plan = planSwap(draft, 'kept', true);
      const move = async (names: readonly string[], from: string, to: string) => {
        for (const name of names) if (existsSync(join(from, name))) await rename(join(from, name), join(to, name));
      };
      const out = stage === 'filling' ? plan.out : plan.out.slice(0, done);
      await move(out, folder, join(folder, 'kept'));
      if (stage === 'filling') await move(plan.into.slice(0, done), join(folder, draft), folder);
      await writeFile(join(folder, 'swap.json'), JSON.stringify({ ...plan, stage }));
      await open((news) => expect(news[0]).match(/interrupted was finished/));
      const now = new Database(join(folder, DATABASE_FILE), { readonly: true });
      expect(now.prepare('SELECT name FROM maker').pluck().all()).deep.equal(['New']);
      now.close();
      expect(existsSync(join(folder, 'kept', DATABASE_FILE))).equal(true);
      expect(await readdir(join(folder, 'kept', PHOTO_FOLDER))).deep.equal([`${HASH}.jpg`]);
      expect(existsSync(join(folder, draft))).equal(false);
    });
});

describe('copies over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench({ isDemo: false })));
  afterEach(() => bench.clear());
  const addPot = (name: string) =>
    bench.http
      .post('/api/shelf/pots')
      .send({ ...OWN_POT, name })
      .expect(201);
  const pots = async () => (await bench.get<ShelfView>('shelf')).products.map(({ name }) => name);

  it('are made, listed with their size, and put back; what stood there is kept', async () => {
    await addPot('First');
    const [copy] = (await bench.http.post('/api/copies').expect(201)).body as KeptCopy[];
    expect(copy).include({ reason: 'a day', madeAt: '2026-11-25T18:30:00.000Z' });
    expect(copy!.bytes).greaterThan(10_000);
    await addPot('Second');
    const { body } = await bench.http.post(`/api/copies/${copy!.name}/restore`).expect(200);
    expect(await pots()).deep.equal(['First']);
    const { keptIn } = body as { keptIn: string };
    const kept = new Database(join(bench.room.folder, keptIn, DATABASE_FILE), { readonly: true });
    expect(kept.prepare('SELECT name FROM paint_product ORDER BY name').pluck().all()).deep.equal(['First', 'Second']);
    kept.close();
    await addPot('Third');
    expect((await pots()).sort()).deep.equal(['First', 'Third']);
  });

  it('that are damaged or not there replace nothing', async () => {
    await addPot('First');
    const [copy] = (await bench.http.post('/api/copies').expect(201)).body as KeptCopy[];
    await truncate(join(bench.room.folder, 'copies', copy!.name), 5000);
    await bench.http.post(`/api/copies/${copy!.name}/restore`).expect(400);
    await bench.http.post('/api/copies/..%2Fsardonyx.db/restore').expect(404);
    expect(await pots()).deep.equal(['First']);
  });
});
