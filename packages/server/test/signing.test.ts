import type { EarlierJob, ErrorBody, JobView } from '@sardonyx/contract';
import type { Casting, Job, JobRecord, Lack } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';

const who = 'Nell';
const because = 'The owner fetches it tonight.';

describe('a job that is signed off and opened again', function () {
  this.timeout(120_000);
  let bench: TestBench;
  let casting: Casting;
  let jobId: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    casting = (await bench.http.post('/api/castings').send(OWN_LORRY).expect(201)).body as Casting;
    jobId = ((await bench.http.post('/api/jobs').send(ownJob(casting.id, 'Own Lorry')).expect(201)).body as Job).id;
  });
  afterEach(() => bench.clear());
  const view = () => bench.get<JobView>(`jobs/${jobId}`);
  const record = () => bench.get<JobRecord>(`jobs/${jobId}/record.json`);
  const lacks = () => bench.get<Lack[]>(`jobs/${jobId}/lacks`);
  const post = (path: string, body: object) => bench.http.post(`/api/jobs/${jobId}/${path}`).send(body);
  /** Until nothing is open: what is done may ask for more. */
  async function settle(): Promise<void> {
    for (let round = 0; round < 4; round++)
      for (const { id, state } of (await view()).tasks)
        if (state === 'to do')
          await bench.http
            .post(`/api/tasks/${encodeURIComponent(id)}/acts`)
            .send({ act: 'not needed', who, note: 'Left as it is.' });
  }
  const rename = async (name: string) => {
    const { version } = await bench
      .get<Casting>(`castings/${casting.id}`)
      .then((body) => ('casting' in body ? (body.casting as Casting) : body));
    await bench.http.patch(`/api/castings/${casting.id}`).send({ version, name }).expect(200);
  };

  it('is asked for what its record lacks, and why that matters; a reason is wanted, not an obedience', async () => {
    await settle();
    const lacking = await lacks();
    expect(lacking.map(({ key }) => key)).include.members(['before', 'after', 'issue']);
    expect(lacking.every(({ why }) => why.length > 20)).equal(true);
    for (const empty of ['', '   ']) {
      const { body } = await post('sign-off', { who, because: empty }).expect(422);
      expect(body).have.property('code', 'record-lacks');
      expect((body as ErrorBody).fields).have.property('because');
    }
    expect((await view()).job.signedOffAt).equal(null);
    expect((await view()).signings).deep.equal([]);
    await post('sign-off', { who }).expect(400);
    await post('sign-off', { who, because, more: 1 }).expect(400);
    await post('sign-off', { who, because }).expect(200);
    await post('sign-off', { who, because }).expect(422);
    const [signing, ...others] = (await record()).signings;
    expect(others).deep.equal([]);
    expect(signing).deep.include({ signedBy: who, because, reopenedAt: null, lacks: lacking });
    const { text } = await bench.http.get(`/api/jobs/${jobId}/record.txt`).expect(200);
    expect(text.replaceAll(/\s+/g, ' '))
      .include(`Because: ${because.slice(0, -1)}`)
      .include(lacking[0]!.what);
  });

  it('keeps its record as it was signed, whatever the catalogue says later', async () => {
    await settle();
    await post('sign-off', { who, because }).expect(200);
    const signed = await record();
    await rename('Own Lorry, long bonnet');
    expect(await record()).deep.equal(signed);
    await post('reopen', { who, because: 'A wheel came off.' }).expect(200);
    expect((await record()).models[0]!.casting!.name).equal('Own Lorry, long bonnet');
  });

  it('is opened with a reason, can be worked on, and keeps each record that was signed', async () => {
    await post('reopen', { who, because: 'It is open.' }).expect(422);
    await settle();
    await post('sign-off', { who, because }).expect(200);
    const first = await record();
    const finding = async () => {
      const [part] = (await view()).specimens[0]!.parts;
      return bench.http
        .post('/api/findings')
        .send({ specimenPartId: part!.id, kind: 'chips', severity: 1, note: 'Late.' });
    };
    expect((await finding()).status).equal(422);
    await post('reopen', { who, because: '' }).expect(400);
    await post('reopen', { who, because: 'A wheel came off.' }).expect(200);
    await post('reopen', { who, because: 'Twice.' }).expect(422);
    expect((await finding()).status).equal(201);
    const open = await record();
    expect(open.job.signedOffAt).equal(null);
    expect(open.disclosure).not.include('has been restored');
    expect(open.signings[0]).deep.include({ reopenedBy: who, reopenedBecause: 'A wheel came off.' });
    await settle();
    await post('sign-off', { who: 'Imke', because: 'As before.' }).expect(200);
    await post('reopen', { who, because: 'And again.' }).expect(200);
    const { signings } = await view();
    expect(signings.map(({ signedBy, reopenedBecause }) => [signedBy, reopenedBecause])).deep.equal([
      [who, 'A wheel came off.'],
      ['Imke', 'And again.'],
    ]);
    expect(await bench.get<JobRecord>(`signings/${signings[0]!.id}/record.json`)).deep.equal(first);
    const second = await bench.get<JobRecord>(`signings/${signings[1]!.id}/record.json`);
    expect(second.signings).have.length(2);
    expect(JSON.stringify(second)).include('Late.');
    await bench.http.get('/api/signings/none/record.json').expect(404);
  });

  it('keeps the record of a job that was signed before records were kept', async () => {
    await settle();
    await post('sign-off', { who, because }).expect(200);
    await bench.room.source.query('DELETE FROM signing');
    const said = await record();
    expect(said.job.signedOffBy).equal(who);
    await post('reopen', { who, because: 'Old work.' }).expect(200);
    const [signing] = (await view()).signings;
    expect(signing).deep.include({ signedBy: who, signedAt: said.job.signedOffAt, reopenedBecause: 'Old work.' });
    const kept = await bench.get<JobRecord>(`signings/${signing!.id}/record.json`);
    expect({ ...kept, signings: [] }).deep.equal({ ...said, signings: [] });
  });

  it('is found, with what it can teach, when the next one of its casting comes in, and not by itself', async () => {
    expect(await bench.get<EarlierJob[]>(`jobs/${jobId}/earlier`)).deep.equal([]);
    const next = (await bench.http.post('/api/jobs').send(ownJob(casting.id, 'Another')).expect(201)).body as Job;
    const earlier = () => bench.get<EarlierJob[]>(`jobs/${next.id}/earlier`);
    expect((await earlier())[0]).deep.include({
      jobId,
      title: 'Own Lorry',
      signedOffAt: null,
      coats: [],
      doneSteps: 0,
    });
    const { specimens, tasks } = await view();
    const { id: specimenPartId } = specimens[0]!.parts.find(({ key }) => key === 'body')!;
    const area = {
      specimenPartId,
      kind: 'outside',
      name: '',
      crossesSeam: false,
      reliefUm: null,
      size: null,
      outline: null,
    };
    const [inserted] = await bench.room.source.query<{ id: string }[]>(
      'SELECT id FROM area WHERE specimenPartId = ? LIMIT 1',
      [specimenPartId],
    );
    const areaId =
      inserted?.id ?? ((await bench.http.post('/api/areas').send(area).expect(201)).body as { id: string }).id;
    const rejection = {
      at: '2026-11-01T10:00:00.000Z',
      by: who,
      because: 'It ran.',
      failure: 'ran',
      helped: 'Thinner.',
    };
    const layer = { version: 1, areaId, stage: 'applied', kind: 'colour', colourHex: '#123456', thicknessUm: 20 };
    const more = { thicknessOrigin: 'planning estimate', whose: 'restorer', note: '', isMist: false };
    const { CoatingLayerRow } = await import('../src/entities/workpiece.ts');
    await bench.room.source.manager.insert(CoatingLayerRow, [
      { ...layer, ...more, id: 'a', seq: 0, name: 'Own Green', rejection } as never,
      { ...layer, ...more, id: 'b', seq: 1, name: 'Own Green', rejection: null } as never,
    ]);
    const [task] = tasks;
    const acts = `/api/tasks/${encodeURIComponent(task!.id)}/acts`;
    for (const act of ['start', 'done otherwise']) await bench.http.post(acts).send({ act, who, note: 'Seen.' });
    const [job] = await earlier();
    expect(job!.coats).deep.equal([{ part: 'body', area: 'outside', names: ['Own Green'] }]);
    expect(job!.troubles).deep.equal([{ part: 'body', coat: 'Own Green', failure: 'ran', helped: 'Thinner.' }]);
    const strange = (
      await bench.http
        .post('/api/jobs')
        .send(ownJob(null as never, 'Nobody knows'))
        .expect(201)
    ).body as Job;
    expect(await bench.get<EarlierJob[]>(`jobs/${strange.id}/earlier`)).deep.equal([]);
    await bench.http.get('/api/jobs/none/earlier').expect(404);
  });
});
