import type { ErrorBody, JobView, SpecimenView } from '@sardonyx/contract';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

/** Scope, target and models of a job, changed after it began. */
describe('a job that is changed after it began', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const job = () => bench.get<JobView>('jobs/sg-06');
  const change = async (fields: object) =>
    bench.http
      .patch('/api/jobs/sg-06')
      .send({ version: (await job()).job.version, ...fields })
      .expect(200);
  const keysOf = async () => (await job()).tasks.filter((task) => task.state === 'to do').map((task) => task.key);
  const specimenOf = (id: string) => bench.get<SpecimenView>(`specimens/${id}`);
  const refusalOf = (body: unknown) => (body as ErrorBody).code;

  it('leaves all paint on when only repairs are asked for, says so, and comes back', async () => {
    const full = await keysOf();
    expect(full.some((key) => key.startsWith('strip:'))).equal(true);
    await change({ scope: 'repair only' });
    const { tasks, planNotices, planChanges } = await job();
    const open = tasks.filter((task) => task.state === 'to do');
    expect(open.filter(({ act }) => ['strip', 'prime', 'mist', 'colour', 'capture-colour'].includes(act))).deep.equal(
      [],
    );
    expect(open.some(({ act }) => act === 'keep')).equal(true);
    expect(planNotices.join(' ')).include('Only repairs are asked for');
    expect(planChanges[0]!.because.join(' ')).include('the job is repair only now');
    await change({ scope: 'full' });
    expect(await keysOf()).deep.equal(full);
  });

  it('puts a piece on the list when it is chosen for a mend, and takes it off again when somebody thinks better of it', async () => {
    const finding = { specimenPartId: 'sg-06-1.load', kind: 'missing', feature: 'hook', severity: 2, note: '' };
    const { id } = (await bench.http.post('/api/findings').send(finding).expect(201)).body as { id: string };
    const pieces = async () => {
      const { specimens } = await job();
      expect(specimens[0]!.parts.find((part) => part.key === 'load')!.state).not.equal('missing');
      return specimens[0]!.wants.filter((want) => want.kind === 'feature').map((want) => want.feature);
    };
    const choose = (version: number, mend: string | null) =>
      bench.http.patch(`/api/findings/${id}`).send({ version, mend }).expect(200);
    await choose(1, 'new piece');
    expect(await pieces()).deep.equal(['hook']);
    await choose(2, null);
    expect(await pieces()).deep.equal([]);
    // What somebody has sent for stays on the list.
    await choose(3, 'new piece');
    const { wants } = (await job()).specimens[0]!;
    const { id: wantId, version } = wants.find((want) => want.kind === 'feature')!;
    await bench.http.patch(`/api/wants/${wantId}`).send({ version, state: 'ordered' }).expect(200);
    await choose(4, 'splint');
    expect(await pieces()).deep.equal(['hook']);
  });

  it('matches to taste when it is to become a custom model', async () => {
    await change({ target: 'custom' });
    const { tasks } = await job();
    expect(tasks.find((task) => task.act === 'mix')!.because).include(
      'To match: taste. On this job, the target is a custom model.',
    );
    await change({ target: 'as issued' });
  });

  it('gets a second example with its own parts and plan, and a donor that has no job', async () => {
    const { castingId } = (await specimenOf('sg-06-1')).specimen;
    const add = (body: object) => bench.http.post('/api/jobs/sg-06/specimens').send(body);
    expect((await add({ name: '', castingId, isDonor: false })).status).equal(400);
    expect((await add({ name: 'Unknown', castingId: null, isDonor: true })).status).equal(400);
    await add({ name: 'Second plough', castingId, isDonor: false }).expect(201);
    const { specimens, tasks } = await job();
    const second = specimens.find(({ specimen }) => specimen.name === 'Second plough')!;
    expect(second.parts.length).equal(specimens[0]!.parts.length);
    expect(tasks.some((task) => task.specimenId === second.specimen.id)).equal(true);
    const donor = (await add({ name: 'Wreck', castingId, isDonor: true }).expect(201)).body as {
      id: string;
      jobId: null;
    };
    expect(donor.jobId).equal(null);
    expect((await job()).specimens.map(({ specimen }) => specimen.name)).deep.equal(['Snowplough', 'Second plough']);
    expect(specimens.length).equal(2);
  });

  it('takes a part of another example with its history, and gives it back', async () => {
    const { specimens } = await job();
    const [first, second] = specimens;
    const wheels = second!.parts.find((part) => part.key === 'wheels')!;
    const finding = { specimenPartId: wheels.id, kind: 'scuffed', severity: 1, note: 'left front' };
    await bench.http.post('/api/findings').send(finding).expect(201);
    const take = (partId: string, intoSpecimenId: string) =>
      bench.http.post(`/api/specimen-parts/${partId}/take`).send({ intoSpecimenId });
    await take(wheels.id, first!.specimen.id).expect(200);
    const after = await specimenOf(first!.specimen.id);
    const taken = after.parts.find((part) => part.key === 'wheels')!;
    expect(taken).include({ id: wheels.id, origin: 'donor', originNote: 'from Second plough' });
    expect(after.findings.some((one) => one.specimenPartId === wheels.id && one.note === 'left front')).equal(true);
    const swapped = (await specimenOf(second!.specimen.id)).parts.filter((part) => part.key === 'wheels');
    expect(swapped.map((part) => part.id)).deep.equal([first!.parts.find((part) => part.key === 'wheels')!.id]);
    expect(refusalOf((await take(wheels.id, first!.specimen.id)).body)).equal('same-model');
    expect(refusalOf((await take('sg-02-1.body', first!.specimen.id)).body)).equal('other-casting');
    await take(wheels.id, second!.specimen.id).expect(200);
    const home = (await specimenOf(second!.specimen.id)).parts.find((part) => part.key === 'wheels')!;
    expect(home).include({ id: wheels.id, origin: 'unknown', originNote: '' });
  });
});
