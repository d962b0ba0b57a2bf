import type { ErrorBody, JobView } from '@sardonyx/contract';
import { getNoun, NOUNS } from '@sardonyx/contract';
import { expect } from 'chai';
import { getMetadataStorage } from 'class-validator';
import { ROW_KINDS } from '../src/modules/rows/rowKinds.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('rows that people edit', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const job = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const part = (key: string, specimen = 'sg-04-1') => `${specimen}.${key}`;
  const finding = (changes: object = {}) => ({
    specimenPartId: part('body'),
    kind: 'chips',
    severity: 1,
    note: 'roof',
    ...changes,
  });
  const want = (changes: object = {}) => ({
    specimenPartId: part('tyres'),
    what: 'four tyres',
    dependentBits: '',
    state: 'open',
    solution: '',
    reason: '',
    dueOn: null,
    ...changes,
  });

  it('are the same nouns for page and server, and each that can be put back can be removed and made', () => {
    expect(ROW_KINDS.map(({ path }) => path)).have.members(Object.keys(NOUNS));
    for (const { path, mayDelete, create } of ROW_KINDS) {
      const { kept } = getNoun(path);
      if (!kept) continue;
      expect(mayDelete, path).equal(true);
      // A field that the request does not know would be refused, and the row be lost.
      const known = getMetadataStorage().getTargetValidationMetadatas(create!, '', false, false);
      expect(
        known.map((one) => one.propertyName),
        path,
      ).include.members([...kept]);
    }
  });

  it('raises the version with every save', async () => {
    const { body } = await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'For the cabinet' }).expect(200);
    expect(body).deep.include({ version: 2, why: 'For the cabinet', title: 'Clay-pit Dumper' });
  });

  it('answers a stale save with 409 and the row as it stands, and overwrites nothing', async () => {
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'First' }).expect(200);
    const { body } = await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'Second' }).expect(409);
    expect((body as ErrorBody).current).deep.include({ why: 'First', version: 2 });
    expect((await job('sg-04')).job.why).equal('First');
  });

  it('refuses unknown fields, wrong types, and null where nothing may be null', async () => {
    const unknown = await bench.http.patch('/api/jobs/sg-04').send({ version: 1, colour: 'red' }).expect(400);
    expect((unknown.body as ErrorBody).message).match(/colour/);
    const wrong = await bench.http
      .post('/api/findings')
      .send(finding({ severity: 9, kind: 'dents' }))
      .expect(400);
    expect(Object.keys((wrong.body as ErrorBody).fields!)).deep.equal(['kind', 'severity']);
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, title: null }).expect(400);
    await bench.http.patch('/api/jobs/sg-04').send({ why: 'no version' }).expect(400);
    await bench.http.post('/api/findings').send([finding()]).expect(400);
    for (const id of ['', '../x', 7, 'y'.repeat(500)])
      await bench.http
        .post('/api/findings')
        .send({ ...finding(), id })
        .expect(400);
  });

  it('refuses days that do not exist', async () => {
    for (const dueOn of ['2026-02-30', '2026-13-01', 'soon', '26-01-01', '2027-02-29']) {
      const { body } = await bench.http.patch('/api/jobs/sg-04').send({ version: 1, dueOn }).expect(400);
      expect((body as ErrorBody).fields!.dueOn, dueOn).match(/day that exists/);
    }
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, dueOn: '2028-02-29' }).expect(200);
    await bench.http.patch('/api/jobs/sg-04').send({ version: 2, dueOn: null }).expect(200);
  });

  it('says what is missing, in one shape, and lets no database text out', async () => {
    expect((await bench.http.patch('/api/jobs/nobody').send({ version: 1, why: 'x' }).expect(404)).body).deep.include({
      code: 'not-found',
    });
    const { body } = await bench.http
      .post('/api/findings')
      .send(finding({ specimenPartId: 'nobody.body' }))
      .expect(422);
    expect(body).deep.include({ code: 'does-not-fit' });
    expect(JSON.stringify(body)).not.match(/SQLITE|FOREIGN|constraint/i);
    expect(
      (await bench.http.post('/api/findings').set('Content-Type', 'application/json').send('{"kind":').expect(400))
        .body,
    ).deep.include({ code: 'bad-json' });
    expect((await bench.http.get('/api/nowhere').expect(404)).body).deep.include({ code: 'not-found' });
  });

  it('changes the plan with a finding and takes the change back with it', async () => {
    const before = (await job('sg-04')).tasks.map((task) => task.key);
    expect(before).not.include('straighten:body');
    const { body } = await bench.http
      .post('/api/findings')
      .send(finding({ kind: 'bent', severity: 2 }))
      .expect(201);
    const bent = (await job('sg-04')).tasks.find((task) => task.key === 'straighten:body')!;
    expect(bent.because).include('bent, roof');
    expect(bent.hazards).include('hot-air');
    await bench.http.delete(`/api/findings/${(body as { id: string }).id}`).expect(204);
    expect((await job('sg-04')).tasks.map((task) => task.key)).deep.equal(before);
  });

  it('puts a removed row back under its old id', async () => {
    const { body } = await bench.http.post('/api/findings').send(finding()).expect(201);
    const { id } = body as { id: string };
    await bench.http.delete(`/api/findings/${id}`).expect(204);
    await bench.http
      .post('/api/findings')
      .send({ ...finding(), id })
      .expect(201);
    expect((await job('sg-04')).specimens[0]!.findings.map((one) => one.id)).deep.equal([id]);
  });

  it('waives a want with a reason only', async () => {
    const { body } = await bench.http.post('/api/wants').send(want()).expect(201);
    const { id } = body as { id: string };
    const refused = await bench.http
      .patch(`/api/wants/${id}`)
      .send({ version: 1, state: 'waived', reason: '  ' })
      .expect(422);
    expect((refused.body as ErrorBody).fields).have.property('reason');
    await bench.http
      .patch(`/api/wants/${id}`)
      .send({ version: 1, state: 'waived', reason: 'The tool never had tyres' })
      .expect(200);
    expect((await job('sg-04')).tasks.map((task) => task.key)).not.include(`get:${id}`);
  });

  it('takes a decision only among the options of its school, once a job', async () => {
    const decision = { jobId: 'sg-04', school: 'S3', option: 'big bit first', reason: 'Heads are gone already' };
    await bench.http
      .post('/api/decisions')
      .send({ ...decision, option: 'hammer' })
      .expect(422);
    await bench.http
      .post('/api/decisions')
      .send({ ...decision, reason: '' })
      .expect(400);
    await bench.http.post('/api/decisions').send(decision).expect(201);
    await bench.http.post('/api/decisions').send(decision).expect(422);
    expect((await job('sg-04')).tasks.filter((task) => task.key.startsWith('pilot:'))).deep.equal([]);
  });

  it('moves a part to another specimen; its origin goes with it', async () => {
    await bench.http
      .patch(`/api/specimen-parts/${part('wheels', 'donor-trolley')}`)
      .send({ version: 1, specimenId: 'sg-07-2', origin: 'donor', originNote: 'scrap trolley' })
      .expect(200);
    const trolley = (await job('sg-07')).specimens.find((one) => one.specimen.id === 'sg-07-2')!;
    expect(trolley.parts.filter((one) => one.key === 'wheels').map((one) => one.origin)).include('donor');
  });

  it('answers a feature once for a specimen', async () => {
    const look = {
      specimenId: 'sg-04-1',
      featureId: 'hand-span.wheel-type',
      stateId: 'hand-span.wheel-type.metal',
      certainty: 'sure',
    };
    const { body } = await bench.http.post('/api/observations').send(look).expect(201);
    await bench.http.post('/api/observations').send(look).expect(422);
    await bench.http
      .patch(`/api/observations/${(body as { id: string }).id}`)
      .send({ version: 1, stateId: null, certainty: 'cannot see' })
      .expect(200);
  });

  it('leaves a signed-off job as it is', async () => {
    for (const request of [
      bench.http.patch('/api/jobs/sg-00').send({ version: 1, why: 'x' }),
      bench.http.post('/api/findings').send(finding({ specimenPartId: part('body', 'sg-00-1') })),
      bench.http.delete('/api/findings/sg-00-1.finding-1'),
    ]) {
      expect(((await request.expect(422)).body as ErrorBody).code).equal('signed-off');
    }
  });
});
