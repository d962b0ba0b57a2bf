import { request } from 'node:http';
import { randomFillSync } from 'node:crypto';
import { readdir } from 'node:fs/promises';
import type { ErrorBody, JobView, PhoneDoorView, PhoneView } from '@sardonyx/contract';
import { expect } from 'chai';
import sharp from 'sharp';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

interface Answer {
  readonly status: number;
  readonly body: unknown;
  readonly cookie: string;
}

const OF = { jobId: 'sg-04', stage: 'before', side: 'left' };

describe('a phone that is let in', () => {
  let bench: TestBench;
  let phone: string;
  let cookie = '';
  const post = async (path: string, body: object, status: number) =>
    (await bench.http.post(`/api/phone/${path}`).send(body).expect(status)).body as PhoneDoorView;
  const door = () => bench.get<PhoneDoorView>('phone');
  const show = (jobId: string | null, station = 'survey') =>
    bench.http.put('/api/phone/shown').send({ jobId, station }).expect(204);

  /** As a phone asks, or somebody who pretends to be one: any header may be said otherwise. */
  const ask = (
    method: string,
    path: string,
    body: object | Buffer | null = null,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Answer> =>
    new Promise((done, fail) => {
      const payload = body === null || Buffer.isBuffer(body) ? body : Buffer.from(JSON.stringify(body));
      const asked = request(`${phone}${path}`, {
        method,
        headers: {
          ...(method === 'GET' ? {} : { origin: phone.replace(/\/$/, '') }),
          ...(body === null
            ? {}
            : { 'content-type': Buffer.isBuffer(body) ? 'application/octet-stream' : 'application/json' }),
          ...(cookie ? { cookie } : {}),
          ...headers,
        },
      });
      asked.on('error', fail);
      asked.on('response', (response) => {
        const pieces: Buffer[] = [];
        response.on('data', (piece: Buffer) => pieces.push(piece));
        response.on('end', () => {
          const text = Buffer.concat(pieces).toString();
          const isJson = /json/.test(response.headers['content-type'] ?? '');
          done({
            ...{ status: response.statusCode!, body: isJson ? JSON.parse(text) : text },
            cookie: response.headers['set-cookie']?.[0] ?? '',
          });
        });
      });
      asked.end(payload ?? undefined);
    });
  const codeOf = ({ body }: Answer) => (body as Partial<ErrorBody>).code;
  const enter = async (pin: string, who = 'Imke Varga') => ask('POST', 'phone/enter', { pin, who });
  const comeIn = async () => {
    const answer = await enter((await door()).pin!);
    expect(answer.status).equal(200);
    cookie = answer.cookie.split(';')[0]!;
    return answer;
  };
  const now = async () => (await ask('GET', 'phone/now')).body as PhoneView;
  const wrong = (pin: string) => String((Number(pin) + 1) % 1_000_000).padStart(6, '0');

  beforeEach(async () => {
    bench = await createTestBench();
    cookie = '';
    const { addresses } = await post('open', { hours: 3 }, 200);
    phone = addresses[0]!;
  });
  afterEach(async () => {
    await post('shut', {}, 200);
    await bench.clear();
  });

  it('is opened once where it is opened twice at once', async () => {
    await post('shut', {}, 200);
    const [one, other] = await Promise.all([post('open', { hours: 1 }, 200), post('open', { hours: 1 }, 200)]);
    expect(one).deep.include({ pin: other.pin, addresses: other.addresses });
  });

  it('finds nobody at home before it is opened, nor after it was shut', async () => {
    expect((await door()).pin).match(/^\d{6}$/);
    await post('shut', {}, 200);
    expect(await door()).deep.include({ pin: null, addresses: [], shutBecause: 'It was shut at the bench.' });
    const error = await ask('GET', '').catch((problem: Error & { code?: string }) => problem.code);
    expect(error).equal('ECONNREFUSED');
  });

  it('comes in with the number alone, and sees what stands open on the bench and nothing else', async () => {
    expect(codeOf(await ask('GET', 'phone/now'))).equal('not-in');
    const { cookie: sent, body } = await comeIn();
    expect(sent)
      .match(/HttpOnly/)
      .and.match(/SameSite=Strict/);
    expect((await now()).job).equal(null);
    await show('sg-04');
    const view = await now();
    expect(view.job).deep.include({ id: 'sg-04', stage: 'before' });
    expect(view.step!.title).a('string');
    const { devices } = await door();
    expect(devices).length(1);
    expect(devices[0]).deep.include({ who: 'Imke Varga', mark: (body as { mark: string }).mark });
    for (const path of ['api/bench', 'api/jobs/sg-04', 'api/everything.zip', 'api/phone', 'index.html', 'phone/jobs'])
      expect((await ask('GET', path)).status, path).equal(404);
    expect((await ask('DELETE', 'api/findings/x')).status).equal(404);
  });

  it('is shut out with everybody when the number is guessed at, one by one or all at once', async () => {
    const { pin } = await door();
    const first = await enter(wrong(pin!));
    expect(codeOf(first)).equal('wrong-number');
    expect((first.body as ErrorBody).message).include('4 tries are left');
    expect((await door()).wrongTries).equal(1);
    await comeIn();
    const rest = await Promise.all(Array.from({ length: 9 }, () => enter(wrong(pin!)).catch(() => null)));
    expect(rest.filter((answer) => answer?.status === 200)).length(0);
    const shut = await door();
    expect(shut.pin).equal(null);
    expect(shut.shutBecause).match(/guessed at too often/);
    await post('open', { hours: 1 }, 200);
    phone = (await door()).addresses[0]!;
    expect((await door()).pin).not.equal(pin);
    // The secret of before opens nothing now.
    expect(codeOf(await ask('GET', 'phone/now'))).equal('not-in');
  });

  it('is not listened to under another name, nor for the page of another', async () => {
    await comeIn();
    await show('sg-04');
    const tick = { taskId: 'sg-04-1.identify' };
    for (const headers of [
      { host: 'evil.example' },
      { host: 'evil.example:80', origin: 'http://evil.example:80' },
      { origin: 'http://evil.example' },
      { origin: 'null' },
    ] as Record<string, string>[])
      expect(codeOf(await ask('POST', 'phone/tick', tick, headers)), JSON.stringify(headers)).equal('foreign');
    expect(codeOf(await ask('GET', 'phone/now', null, { host: 'evil.example' }))).equal('foreign');
    expect((await bench.get<JobView>('jobs/sg-04')).log).length(0);
  });

  it('is out after half an hour unseen, when it is sent out, when it leaves, and when the evening is over', async () => {
    await comeIn();
    bench.pass(29);
    expect((await ask('GET', 'phone/now')).status).equal(200);
    bench.pass(31);
    expect(codeOf(await ask('GET', 'phone/now'))).equal('not-in');
    await comeIn();
    const [device] = (await door()).devices;
    await bench.http.delete(`/api/phone/devices/${device!.id}`).expect(200);
    expect(codeOf(await ask('GET', 'phone/now'))).equal('not-in');
    await comeIn();
    expect((await ask('POST', 'phone/leave')).status).equal(204);
    expect(codeOf(await ask('GET', 'phone/now'))).equal('not-in');
    bench.pass(180);
    expect((await door()).shutBecause).match(/evening was over/);
  });

  it('ticks the step in hand, once, under its own name, and no other', async () => {
    await comeIn();
    await show('sg-04');
    const { step } = await now();
    expect(codeOf(await ask('POST', 'phone/tick', { taskId: 'sg-04-1.close:front' }))).equal('not-shown');
    const key = { 'idempotency-key': 'tick-000-1' };
    for (let i = 0; i < 3; i++) expect((await ask('POST', 'phone/tick', { taskId: step!.id }, key)).status).equal(204);
    const { log } = await bench.get<JobView>('jobs/sg-04');
    expect(log.map(({ taskId, who, act }) => ({ taskId, who, act }))).deep.equal([
      { taskId: step!.id, who: 'Imke Varga', act: 'done' },
    ]);
    expect((await now()).step!.id).not.equal(step!.id);
    await show(null);
    expect(codeOf(await ask('POST', 'phone/tick', { taskId: (await now()).step?.id ?? step!.id }))).equal('not-shown');
  });

  it('does not begin what cannot be undone or can hurt: that is asked about at the bench', async () => {
    await comeIn();
    const { lanes } = await bench.get<{ lanes: { job: { id: string }; next: { taskId: string } | null }[] }>('bench');
    let tried = 0;
    for (const { job, next } of lanes) {
      if (!next) continue;
      await show(job.id, 'strip');
      const { step } = await now();
      if (!step || step.state !== 'to do' || !(step.irreversible || step.hazards.length)) continue;
      tried++;
      expect(codeOf(await ask('POST', 'phone/tick', { taskId: step.id }))).equal('at-the-bench');
    }
    expect(tried).greaterThan(0);
  });

  it('brings a large picture in pieces, goes on after a lost connection, and it is kept once', async () => {
    await comeIn();
    await show('sg-04', 'finish');
    const noise = randomFillSync(Buffer.alloc(500 * 400 * 3));
    const picture = await sharp(noise, { raw: { width: 500, height: 400, channels: 3 } })
      .png()
      .toBuffer();
    const begun = await ask('POST', 'phone/pictures', { ...OF, stage: 'during', bytes: picture.length });
    const { id, pieceBytes } = begun.body as { id: string; pieceBytes: number };
    const put = (at: number, piece: Buffer) => ask('PUT', `phone/pictures/${id}?at=${at}`, piece);
    await put(0, picture.subarray(0, pieceBytes));
    // The answer was lost: the piece comes again, then one too far ahead.
    expect((await put(0, picture.subarray(0, pieceBytes))).body).deep.equal({ at: pieceBytes });
    expect(codeOf(await put(2 * pieceBytes, picture.subarray(2 * pieceBytes)))).equal('gap');
    expect(codeOf(await ask('POST', `phone/pictures/${id}/done`))).equal('gap');
    expect((await ask('GET', `phone/pictures/${id}`)).body).deep.equal({ at: pieceBytes });
    for (let at = pieceBytes; at < picture.length; at += pieceBytes)
      expect((await put(at, picture.subarray(at, at + pieceBytes))).status).equal(200);
    // Somebody goes on to another model meanwhile.
    await show('sg-06', 'survey');
    expect(codeOf(await ask('POST', 'phone/pictures', { ...OF, stage: 'during', bytes: 20 }))).equal('not-shown');
    const key = { 'idempotency-key': 'picture-0001' };
    const first = await ask('POST', `phone/pictures/${id}/done`, {}, key);
    expect(first.status).equal(201);
    expect((await ask('POST', `phone/pictures/${id}/done`, {}, key)).body).deep.equal(first.body);
    const photos = (await bench.get<JobView>('jobs/sg-04')).photos.filter(({ stage }) => stage === 'during');
    expect(photos.map(({ side, widthPx, heightPx }) => ({ side, widthPx, heightPx }))).deep.equal([
      { side: 'left', widthPx: 500, heightPx: 400 },
    ]);
    expect((await readdir(bench.room.folder)).filter((name) => name.endsWith('.part'))).deep.equal([]);
    expect((await door()).acts).equal(1);
  });

  it('brings nothing that is no picture, too much, or for another phone', async () => {
    await comeIn();
    await show('sg-04');
    expect((await ask('POST', 'phone/pictures', { ...OF, bytes: 26 * 1024 * 1024 })).status).equal(400);
    const begin = async () => ((await ask('POST', 'phone/pictures', { ...OF, bytes: 20 })).body as { id: string }).id;
    const id = await begin();
    const put = (at: string, piece: Buffer) => ask('PUT', `phone/pictures/${id}?at=${at}`, piece);
    expect((await put('0', Buffer.alloc(21))).status).equal(400);
    expect((await put('-1', Buffer.alloc(2))).status).equal(400);
    expect((await put('0', Buffer.alloc(300 * 1024))).status).equal(413);
    expect((await put('0', Buffer.from('this is no picture..'))).status).equal(200);
    expect(codeOf(await ask('POST', `phone/pictures/${id}/done`))).equal('not-a-picture');
    const [mine, other] = [cookie, await begin()];
    await comeIn();
    expect((await ask('GET', `phone/pictures/${other}`)).status).equal(404);
    cookie = mine;
    await begin();
    await begin();
    expect(codeOf(await ask('POST', 'phone/pictures', { ...OF, bytes: 20 }))).equal('too-many');
  });

  it('refuses what it does not know, and whoever comes when the house is full', async () => {
    const { pin } = await door();
    expect((await ask('POST', 'phone/enter', { pin, who: 'x', more: 1 })).status).equal(400);
    expect((await ask('POST', 'phone/enter', { pin: '12', who: 'x' })).status).equal(400);
    expect((await door()).wrongTries).equal(0);
    for (let i = 0; i < 4; i++) await comeIn();
    expect(codeOf(await enter(pin!))).equal('too-many');
    await bench.http.post('/api/phone/open').send({ hours: 99 }).expect(400);
    await bench.http.put('/api/phone/shown').send({ jobId: 'sg-04', station: 'kitchen' }).expect(400);
  });
});
