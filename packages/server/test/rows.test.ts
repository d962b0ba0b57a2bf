import type { BenchView, ErrorBody, JobView } from '@sardonyx/contract';
import { getNoun, NOUNS } from '@sardonyx/contract';
import type { CoatingLayer, Want } from '@sardonyx/core';
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
    bits: [],
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
      // A field that the request does not know would be refused, and the row be lost; one that is not kept would be forgotten.
      const known = getMetadataStorage().getTargetValidationMetadatas(create!, '', false, false);
      expect([...new Set(known.map((one) => one.propertyName))], path).have.members([...kept]);
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

  it('tells on the bench how each want is come by: as it says itself, else as its plan does', async () => {
    const wayOf = async (what: string) => {
      const { lanes } = await bench.get<BenchView>('bench');
      return lanes.find((lane) => lane.job.id === 'sg-04')!.openWants.find((want) => want.what === what);
    };
    const { body: tyres } = await bench.http.post('/api/wants').send(want()).expect(201);
    const decide = async (option: string) =>
      bench.http.post('/api/decisions').send({ jobId: 'sg-04', school: 'S15', option, reason: 'tried' }).expect(201);
    await decide('print');
    expect(await wayOf('four tyres')).deep.include({ getBy: 'print', partName: 'Tyres', state: 'open' });
    await bench.http
      .patch(`/api/wants/${(tyres as Want).id}`)
      .send({ version: 1, getBy: 'make' })
      .expect(200);
    expect(await wayOf('four tyres')).deep.include({ getBy: 'make' });
    await bench.http
      .patch(`/api/wants/${(tyres as Want).id}`)
      .send({ version: 2, state: 'waived', reason: 'runs on rims' })
      .expect(200);
    expect(await wayOf('four tyres')).equal(undefined);
  });

  describe('planned coats', () => {
    let areaId: string;
    const coat = (kind: string, name: string, seq: number) => ({
      ...{ areaId, stage: 'planned', seq, kind, name, colourHex: '#506070', thicknessUm: 20 },
      ...{ thicknessOrigin: 'planning estimate', productId: null },
    });
    const plan = async (kind: string, name: string, seq: number) =>
      (
        await bench.http
          .post('/api/layers')
          .send(coat(kind, name, seq))
          .expect(201)
      ).body as CoatingLayer;
    const planned = async () =>
      (await job('sg-04')).specimens[0]!.layers.filter(
        (layer) => layer.areaId === areaId && layer.stage === 'planned',
      ).map(({ name, seq }) => `${seq} ${name}`);
    const move = (layer: CoatingLayer, seq: number, version = layer.version) =>
      bench.http.patch(`/api/layers/${layer.id}`).send({ version, seq });
    beforeEach(async () => {
      await bench.room.source.query("DELETE FROM coating_layer WHERE stage = 'planned'");
      areaId = (await job('sg-04')).specimens[0]!.areas.find((one) => one.specimenPartId === part('body'))!.id;
    });

    it('make room for each other, from the metal outwards, and the plan follows', async () => {
      const red = await plan('colour', 'Red', 0);
      await plan('primer', 'Grey', 0);
      const { body: white } = await bench.http
        .post('/api/layers')
        .send(coat('colour', 'White', 30))
        .expect(201);
      expect((white as CoatingLayer).seq).equal(2);
      expect(await planned()).deep.equal(['0 Grey', '1 Red', '2 White']);
      const titleOf = async () =>
        (await job('sg-04')).tasks
          .filter(({ act, partKeys }) => act === 'colour' && partKeys.includes('body'))
          .map(({ title }) => title)
          .join(', ');
      expect(await titleOf()).match(/Red.*White/);
      await move(red, 2).expect(200);
      expect(await planned()).deep.equal(['0 Grey', '1 White', '2 Red']);
      expect(await titleOf()).match(/White.*Red/);
      // Taken back as the page does it.
      await move(red, 1, 2).expect(200);
      expect(await planned()).deep.equal(['0 Grey', '1 Red', '2 White']);
    });

    it('keep the order of their kinds: a refusal names both and moves nothing', async () => {
      const grey = await plan('primer', 'Grey', 0);
      await plan('colour', 'Red', 1);
      const { body } = await move(grey, 1).expect(422);
      expect(body).deep.include({ code: 'coat-order' });
      expect((body as ErrorBody).message).equal('Grey stays under Red. A primer lies under the colour.');
      await bench.http
        .post('/api/layers')
        .send(coat('clear', 'Gloss', 0))
        .expect(422);
      expect(await planned()).deep.equal(['0 Grey', '1 Red']);
    });

    it('are not asked for their place when something else of them changes', async () => {
      await bench.room.source.query(
        `INSERT INTO coating_layer (id, version, areaId, stage, seq, kind, name, colourHex, thicknessUm, thicknessOrigin, productId, whose, note)
         VALUES ('older', 1, '${areaId}', 'planned', 0, 'colour', 'Red', '#aa0000', 20, 'planning estimate', NULL, 'unknown', ''),
                ('lower', 1, '${areaId}', 'planned', 1, 'primer', 'Grey', '#888888', 20, 'planning estimate', NULL, 'unknown', '')`,
      );
      await bench.http.patch('/api/layers/older').send({ version: 1, thicknessUm: 25 }).expect(200);
      expect(await planned()).deep.equal(['0 Red', '1 Grey']);
    });
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
