import { readFile, writeFile } from 'node:fs/promises';
import type { ErrorBody, Health } from '@sardonyx/contract';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import { join } from 'node:path';
import sharp from 'sharp';
import { DATABASE_FILE } from '../src/disk/folderNames.ts';
import { photoPath } from '../src/modules/photos/photoStore.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { fillAndFree } from './support/fillAndFree.ts';
import { holdLock } from './support/holdLock.ts';
import { OWN_LORRY, OWN_POT, ownJob } from './support/ownLorry.ts';

type QueryFunction = (text: string, ...rest: unknown[]) => Promise<unknown>;

describe('a disk that does not take what is written', () => {
  let bench: TestBench;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
  });
  afterEach(() => bench.clear());

  const addPot = (name: string) => bench.http.post('/api/shelf/pots').send({ ...OWN_POT, name });
  /** What is in the file, asked over another connection. */
  const listPots = (): string[] => {
    const file = new Database(join(bench.room.folder, DATABASE_FILE), { readonly: true });
    const rows = file.prepare('SELECT name FROM paint_product').all() as { name: string }[];
    file.close();
    return rows.map(({ name }) => name);
  };
  const health = () => bench.get<Health>('health');
  const fill = async () => {
    const [{ page_count }] = (await bench.room.source.query('PRAGMA page_count')) as [{ page_count: number }];
    await bench.room.source.query(`PRAGMA max_page_count = ${page_count}`);
  };
  const free = () => bench.room.source.query('PRAGMA max_page_count = 1000000');
  /** Makes the database answer statements in another way, each once. */
  const answerOnce = (answers: Record<string, (query: QueryFunction) => Promise<unknown>>) => {
    const runner = bench.room.source.createQueryRunner() as unknown as { query: QueryFunction };
    const query = runner.query.bind(runner);
    runner.query = (text, ...rest) => {
      const found = Object.keys(answers).find((beginning) => text.startsWith(beginning));
      if (found === undefined) return query(text, ...rest);
      const answer = answers[found]!;
      delete answers[found];
      return answer(() => query(text, ...rest));
    };
    return query;
  };
  const full = () => Promise.reject(Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' }));

  it('is said, nothing that was acknowledged is lost, reading goes on, and it goes on when there is room', async () => {
    await fill();
    const kept: string[] = [];
    let refused: ErrorBody | null = null;
    for (let i = 0; i < 900 && !refused; i++) {
      const { status, body } = await addPot(`Pot ${i} ${'x'.repeat(30)}`);
      if (status === 201) kept.push(`Pot ${i} ${'x'.repeat(30)}`);
      else refused = body as ErrorBody;
    }
    expect(refused).include({ code: 'disk-full' });
    expect(refused!.message).match(/full: nothing of this was saved.*kept here/);
    expect(kept.length).greaterThan(0);
    expect(listPots()).have.members(kept);
    await bench.http.get('/api/shelf').expect(200);
    expect((await health()).trouble).include({ kind: 'full' });
    expect((await addPot(`More ${'y'.repeat(40)}`)).status).equal(507);
    expect(listPots()).have.members(kept);
    await free();
    expect((await addPot('After')).status).equal(201);
    expect(listPots()).have.members([...kept, 'After']);
    expect((await health()).trouble).equal(null);
  });

  it('is found out when it is asked for, without a write', async () => {
    answerOnce({ COMMIT: full });
    expect((await addPot('One')).status).equal(507);
    expect((await health()).trouble).include({ kind: 'full' });
    for (let i = 0; i < 50 && (await health()).trouble; i++) await new Promise((done) => setTimeout(done, 20));
    expect((await health()).trouble).equal(null);
  });

  it('at the commit: nothing of it stands, and the next write does', async () => {
    answerOnce({ COMMIT: full });
    expect((await addPot('One')).status).equal(507);
    expect(listPots()).deep.equal([]);
    expect((await addPot('Two')).status).equal(201);
    expect(listPots()).deep.equal(['Two']);
  });

  it('is not believed when it says that it committed and did not', async () => {
    answerOnce({ COMMIT: () => Promise.resolve(undefined) });
    expect((await addPot('One')).status).equal(507);
    expect((await addPot('Two')).status).equal(201);
    expect(listPots()).deep.equal(['Two']);
  });

  it('does not keep the half of a change whose transaction the database ended', async () => {
    const casting = await bench.http.post('/api/castings').send(OWN_LORRY).expect(201);
    const count = () => bench.room.source.query('SELECT count(*) AS n FROM job') as Promise<[{ n: number }]>;
    const query = answerOnce({
      'INSERT INTO "job"': async (insert) => {
        const result = await insert('');
        await query('ROLLBACK');
        return result;
      },
    });
    const { status } = await bench.http.post('/api/jobs').send(ownJob((casting.body as { id: string }).id));
    expect(status).equal(507);
    expect((await count())[0].n).equal(0);
  });

  it('has its connection replaced where even the way back fails', async () => {
    const { source } = bench.room;
    answerOnce({ COMMIT: full, ROLLBACK: full });
    expect((await addPot('One')).status).equal(507);
    expect(bench.room.source).not.equal(source);
    expect((await addPot('Two')).status).equal(201);
    expect(listPots()).deep.equal(['Two']);
  });

  it('loses nothing that it acknowledged, whichever statement it fails at (200 rounds: npm run bench)', async () => {
    const { acknowledged, refused, lost, strange } = await fillAndFree(3, 30);
    expect(lost).deep.equal([]);
    expect(strange).deep.equal([]);
    expect(acknowledged).greaterThan(10);
    expect(refused).greaterThan(10);
  });

  it('waits for somebody else’s lock for seconds, and others are served meanwhile', async () => {
    const letGo = holdLock(bench.room.folder);
    const written = addPot('Patient');
    const sent = written.then(({ status }) => status);
    await new Promise((done) => setTimeout(done, 700));
    await health();
    letGo();
    expect(await sent).equal(201);
    expect(listPots()).deep.equal(['Patient']);
  });

  it('heals a photo file that is damaged or empty when the picture comes again', async () => {
    const casting = await bench.http.post('/api/castings').send(OWN_LORRY).expect(201);
    const job = await bench.http
      .post('/api/jobs')
      .send(ownJob((casting.body as { id: string }).id))
      .expect(201);
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#345' } })
      .png()
      .toBuffer();
    const upload = () =>
      bench.http
        .post('/api/photos/upload')
        .field({ jobId: (job.body as { id: string }).id, stage: 'before', side: 'left', caption: '' })
        .attach('picture', picture, 'p.png');
    const { body } = await upload();
    const { hash } = body as { hash: string };
    const path = photoPath(bench.room.folder, hash);
    const whole = await readFile(path);
    for (const damage of [Buffer.alloc(0), whole.subarray(0, 50)]) {
      await writeFile(path, damage);
      await upload().expect(201);
      expect((await readFile(path)).equals(whole)).equal(true);
    }
  });
});
