import type { ErrorBody, JobView } from '@sardonyx/contract';
import type { Finding, Photo } from '@sardonyx/core';
import { expect } from 'chai';
import { unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';

/** Several windows at once, and what comes from elsewhere. */
describe('many hands at one bench', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const finding = (note: string) => ({ specimenPartId: 'sg-04-1.body', kind: 'chips', severity: 1, note });
  const job = (id: string) => bench.get<JobView>(`jobs/${id}`);

  it('lets exactly one of twenty saves of one version through', async () => {
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: `hand ${i}` })),
    );
    const won = answers.filter((answer) => answer.status === 200);
    expect(won).length(1);
    expect(answers.filter((answer) => answer.status === 409)).length(19);
    expect((await job('sg-04')).job.why).equal((won[0]!.body as { why: string }).why);
  });

  it('keeps every one of twenty rows that are added at once, and one plan', async () => {
    await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        bench.http
          .post('/api/findings')
          .send(finding(`chip ${i}`))
          .expect(201),
      ),
    );
    const view = await job('sg-04');
    expect(view.specimens[0]!.findings).length(20);
    expect(new Set(view.tasks.map((task) => task.key)).size).equal(view.tasks.length);
  });

  it('ends a task once when two press at the same time', async () => {
    const press = () =>
      bench.http.post('/api/tasks/sg-04-1.identify/acts').send({ act: 'done', who: 'Osric Bell', note: '' });
    const statuses = (await Promise.all([press(), press(), press()])).map((answer) => answer.status);
    expect(statuses.sort()).deep.equal([200, 422, 422]);
    expect((await job('sg-04')).log).length(1);
  });

  it('undoes nothing of a refused change: rows, plan and log stay', async () => {
    const before = JSON.stringify(await job('sg-04'));
    await bench.http
      .post('/api/findings')
      .send({ ...finding('x'), specimenPartId: 'gone' })
      .expect(422);
    await bench.http.patch('/api/specimens/sg-04-1').send({ version: 1, castingId: 'no such casting' }).expect(422);
    await bench.http
      .post('/api/decisions')
      .send({ jobId: 'sg-04', school: 'S3', option: 'x', reason: 'y' })
      .expect(422);
    expect(JSON.stringify(await job('sg-04'))).equal(before);
  });

  it('never shows a job as it was before the last save', async () => {
    for (let i = 0; i < 5; i++) {
      const { body } = await bench.http
        .post('/api/findings')
        .send(finding(`n${i}`))
        .expect(201);
      const seen = (await job('sg-04')).specimens[0]!.findings.map((one) => one.id);
      expect(seen).include((body as Finding).id);
    }
  });

  it('takes words for words, whatever is in them', async () => {
    const nasty = `'; DROP TABLE job; -- <script>alert(1)</script> ${'ü'.repeat(50)}`;
    const { body } = await bench.http.post('/api/findings').send(finding(nasty)).expect(201);
    expect((body as Finding).note).equal(nasty);
    expect(await bench.get(`find?q=${encodeURIComponent("' OR 1=1 --")}`)).deep.equal([]);
    await bench.http
      .post('/api/findings')
      .send(finding('x'.repeat(501)))
      .expect(400);
  });

  it('corrects what is written under a photograph, with versions like any row', async () => {
    const [photo] = (await job('sg-03')).photos;
    const { body } = await bench.http
      .patch(`/api/photos/${photo!.id}`)
      .send({ version: 1, side: 'rear', caption: 'wrong way round' })
      .expect(200);
    expect(body as Photo).deep.include({ side: 'rear', version: 2, hash: photo!.hash });
    await bench.http.patch(`/api/photos/${photo!.id}`).send({ version: 1, side: 'top' }).expect(409);
    await bench.http
      .patch(`/api/photos/${photo!.id}`)
      .send({ version: 2, hash: 'f'.repeat(64) })
      .expect(400);
  });

  it('changes both plans when a part moves from one job to another, and no signed-off one', async () => {
    const wheels = 'sg-04-1.seat';
    expect((await job('sg-04')).tasks.map((task) => task.key)).include('soap:seat');
    await bench.http.patch(`/api/specimen-parts/${wheels}`).send({ version: 1, specimenId: 'sg-00-1' }).expect(422);
    await bench.http.patch(`/api/specimen-parts/${wheels}`).send({ version: 1, specimenId: 'sg-01-1' }).expect(200);
    expect((await job('sg-04')).tasks.map((task) => task.key)).not.include('soap:seat');
    expect((await job('sg-01')).tasks.map((task) => task.key)).include('soap:seat');
  });

  it('leaves a logged coat as it was logged', async () => {
    const applied = (await job('sg-07')).specimens[1]!.layers.find((layer) => layer.stage === 'applied')!;
    for (const request of [
      bench.http.delete(`/api/layers/${applied.id}`),
      bench.http.patch(`/api/layers/${applied.id}`).send({ version: 1, name: 'something else' }),
    ])
      expect(((await request.expect(422)).body as ErrorBody).code).equal('logged');
  });

  it('does not remove what somebody changed since it was seen', async () => {
    const { body } = await bench.http.post('/api/findings').send(finding('seen')).expect(201);
    const { id } = body as Finding;
    await bench.http.patch(`/api/findings/${id}`).send({ version: 1, note: 'changed' }).expect(200);
    const refused = await bench.http.delete(`/api/findings/${id}?version=1`).expect(409);
    expect((refused.body as ErrorBody).current).deep.include({ note: 'changed', version: 2 });
    await bench.http.delete(`/api/findings/${id}?version=2`).expect(204);
  });

  it('takes a state only for the feature that has it, and keeps looks of other ranges out of the record', async () => {
    const look = (featureId: string, stateId: string) =>
      bench.http.post('/api/observations').send({ specimenId: 'sg-04-1', featureId, stateId, certainty: 'sure' });
    await look('hand-span.grille', 'hand-span.wheel-type.metal').expect(422);
    await look('quayside.lamp', 'quayside.lamp.soldered').expect(201);
    await look('hand-span.grille', 'hand-span.grille.solid').expect(201);
    const { body } = await bench.http.get('/api/jobs/sg-04/record.json').expect(200);
    expect((body as { models: { verdict: string }[] }).models[0]!.verdict).match(/^(Not settled; )?\w/);
  });

  it('reads no half of a change: every job seen beside writes has its findings and their tasks together', async () => {
    const writes = Array.from({ length: 12 }, (_, i) =>
      bench.http
        .post('/api/findings')
        .send({ ...finding(`bend ${i}`), specimenPartId: 'sg-04-1.body', kind: i % 2 ? 'bent' : 'chips' }),
    );
    const reads = Array.from({ length: 12 }, () => job('sg-04'));
    const [, ...seen] = await Promise.all([Promise.all(writes), ...reads]);
    for (const view of [...seen, await job('sg-04')]) {
      const isBent = view.specimens[0]!.findings.some((one) => one.kind === 'bent');
      expect(view.tasks.some((task) => task.key === 'straighten:body')).equal(isBent);
    }
  });

  it('does not restore what a newer version saved', async () => {
    const { body } = await bench.http.get('/api/everything.zip').buffer(true).parse(readBinary);
    await bench.room.source.query(
      "INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'FromTheFuture9999999999999')",
    );
    const newer = (await bench.http.get('/api/everything.zip').buffer(true).parse(readBinary)).body as Buffer;
    const refused = await bench.http
      .post('/api/everything.zip')
      .set('Content-Type', 'application/zip')
      .send(newer as never)
      .expect(400);
    expect((refused.body as ErrorBody).message).equal('Nothing was replaced: it was saved by a newer version.');
    const files = unzipSync(body as Buffer);
    files['sardonyx.db'] = files['sardonyx.db']!.slice(0, 5000);
    const manifest = JSON.parse(new TextDecoder().decode(files['manifest.json'])) as { files: Record<string, string> };
    manifest.files['sardonyx.db'] = createHash('sha256').update(files['sardonyx.db']).digest('hex');
    files['manifest.json'] = new TextEncoder().encode(JSON.stringify(manifest));
    const cut = await bench.http
      .post('/api/everything.zip')
      .set('Content-Type', 'application/zip')
      .send(Buffer.from(zipSync(files)) as never)
      .expect(400);
    expect((cut.body as ErrorBody).message).match(/^Nothing was replaced: its database (cannot be read|is damaged)/);
  });
});
