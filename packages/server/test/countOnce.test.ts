import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect } from 'chai';
import type { JobView } from '@sardonyx/contract';
import sharp from 'sharp';
import supertest from 'supertest';
import { createApp } from '../src/app.ts';
import { OWN_POT } from './support/ownLorry.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const NOTE = { act: 'note', who: 'Osric Bell', note: 'Smells of pear drops' };
const NOTES = '/api/tasks/sg-04-1.identify/acts';

describe('the same act, sent more than once', () => {
  let bench: TestBench;
  let server: Server;
  beforeEach(async () => {
    bench = await createTestBench();
    server = createApp({ room: bench.room, webRoot: null }).listen(0, '127.0.0.1');
    await once(server, 'listening');
  });
  afterEach(async () => {
    server.close();
    server.closeAllConnections();
    await bench.clear();
  });
  /** Over connections of one client, so that they come together. */
  const post = (path: string, body: object, key: string) =>
    fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'idempotency-key': key },
      body: JSON.stringify(body),
    });
  const count = async (table: string) =>
    (await bench.room.source.query<{ n: number }[]>(`SELECT count(*) AS n FROM ${table}`))[0]!.n;
  const notes = async () => (await bench.get<JobView>('jobs/sg-04')).log.filter(({ act }) => act === 'note').length;

  it('counts once where it comes three times at once, whatever it is', async () => {
    const part = 'sg-04-1.body';
    const acts: readonly (readonly [table: string, path: string, body: object])[] = [
      ['task_log', NOTES, NOTE],
      ['finding', '/api/findings', { specimenPartId: part, kind: 'chips', severity: 1, note: 'one chip' }],
      ['timer', '/api/timers', { jobId: 'sg-04', taskId: null, label: 'Soak', kind: 'soak', minutes: 9 }],
      ['paint_pot', '/api/shelf/pots', { ...OWN_POT, name: 'Slate' }],
    ];
    for (const [table, path, body] of acts) {
      const before = await count(table);
      const answers = await Promise.all([1, 2, 3].map(() => post(path, body, `three-${table}`)));
      expect(
        answers.map(({ status }) => status < 300),
        path,
      ).deep.equal([true, true, true]);
      expect(await count(table), path).equal(before + 1);
      const texts = await Promise.all(answers.map((answer) => answer.text()));
      expect(new Set(texts).size, path).equal(1);
    }
  });

  it('a picture, too', async () => {
    const picture = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#224466' } })
      .png()
      .toBuffer();
    const send = () =>
      bench.http
        .post('/api/photos/upload')
        .field({ jobId: 'sg-04', stage: 'before', side: 'left', caption: 'x' })
        .attach('picture', picture, 'x.png');
    const before = await count('photo');
    for (const { status } of await Promise.all([send(), send(), send()])) expect(status).equal(201);
    expect(await count('photo')).equal(before + 1);
  });

  it('two people who do the same at the same time do two things', async () => {
    const before = await notes();
    await Promise.all(['key-of-one', 'key-of-another'].map((key) => post(NOTES, NOTE, key)));
    await Promise.all([1, 2].map(() => bench.http.post(NOTES).send(NOTE)));
    expect(await notes()).equal(before + 4);
  });

  it('is known by its key when it comes again later, after a restart as well', async () => {
    const before = await notes();
    const send = (http = bench.http) => http.post(NOTES).set('Idempotency-Key', 'act-0000-1').send(NOTE);
    const first = await send().expect(200);
    expect((await send().expect(200)).body).deep.equal(first.body);
    const restarted = supertest(createApp({ room: bench.room, webRoot: null }));
    expect((await send(restarted).expect(409)).body).include({ code: 'counted' });
    expect(await notes()).equal(before + 1);
    // The same words, said once more on purpose, are another act.
    await bench.http.post(NOTES).set('Idempotency-Key', 'act-0000-2').send(NOTE).expect(200);
    expect(await notes()).equal(before + 2);
  });

  it('does not count when it was refused: it may come again under its key', async () => {
    const finish = { act: 'done', who: 'Osric Bell', note: '' };
    const send = (body: object) => bench.http.post(NOTES).set('Idempotency-Key', 'act-0000-3').send(body);
    await send({ ...finish, act: 'not needed' }).expect(400);
    await send(finish).expect(200);
  });

  it('a key for two things is a mistake, and so is one that is none', async () => {
    const send = (key: string, note: string) =>
      bench.http
        .post(NOTES)
        .set('Idempotency-Key', key)
        .send({ ...NOTE, note });
    await send('act-0000-4', 'one').expect(200);
    expect((await send('act-0000-4', 'two').expect(400)).body).include({ code: 'key-used' });
    await send('short', 'one').expect(400);
    await send('with space in it', 'one').expect(400);
  });
});
