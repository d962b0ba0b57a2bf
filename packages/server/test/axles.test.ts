import type { BenchView, JobView, StockView } from '@sardonyx/contract';
import type { AxleShare, Task } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const who = 'Osric Bell';

describe('axles over all jobs', () => {
  let bench: TestBench;
  let tasks: Task[];
  before(async () => {
    bench = await createTestBench();
    const { lanes } = await bench.get<BenchView>('bench');
    const views = await Promise.all(
      lanes.filter(({ job }) => !job.signedOffAt).map(({ job }) => bench.get<JobView>(`jobs/${job.id}`)),
    );
    tasks = views.flatMap((view) => view.tasks.filter(({ act, state }) => act === 'axle-in-hand' && state === 'to do'));
  });
  after(() => bench.clear());

  const act = (taskId: string, body: object, status = 200) =>
    bench.http
      .post(`/api/tasks/${taskId}/acts`)
      .send({ act: 'note', who, note: '', ...body })
      .expect(status);
  const measure = (over: number, diameter = 1.2) => [
    { what: 'length', valueMm: over },
    { what: 'diameter', valueMm: diameter },
    { what: 'over the wheels', valueMm: over },
  ];
  const shares = () => bench.get<AxleShare[]>('axles');

  it('ask for nothing until their steps are measured; the measures are a line of the log, and the step stays open', async () => {
    expect(tasks.length, 'the demo has several').greaterThan(1);
    expect(await shares()).deep.equal([]);
    await act(tasks[0]!.id, {}, 400);
    await act(tasks[0]!.id, { measures: measure(22) });
    const [share] = await shares();
    expect(share).deep.include({ taskId: tasks[0]!.id, jobId: tasks[0]!.jobId });
    expect(share!.wanted).greaterThan(0);
    const view = await bench.get<JobView>(`jobs/${tasks[0]!.jobId}`);
    expect(view.tasks.find(({ id }) => id === tasks[0]!.id)!.state).equal('to do');
    expect(view.log.filter(({ taskId }) => taskId === tasks[0]!.id).at(-1)!.work.measures).deep.equal(measure(22));
  });

  it('are handed out over all of them, no piece twice; what is put by for one is gone for the others', async () => {
    await act(tasks[1]!.id, { measures: measure(24) });
    const both = await shares();
    expect(both.map(({ taskId }) => taskId)).have.members([tasks[0]!.id, tasks[1]!.id]);
    const { things } = await bench.get<StockView>('stock');
    const out = new Map<string, number>();
    for (const { thing, amount } of both.flatMap(({ given }) => given))
      out.set(thing.id, (out.get(thing.id) ?? 0) + amount);
    for (const [id, amount] of out) expect(amount).most(things.find((thing) => thing.id === id)!.free);
    const own = both.find(({ given }) => given.length > 0)!;
    const [{ thing, amount }] = own.given as [AxleShare['given'][number]];
    const line = { move: 'reserved', amount, jobId: own.jobId, price: null, batch: '', who, note: '' };
    await bench.http.post(`/api/stock-things/${thing.id}/movements`).send(line).expect(201);
    expect((await shares()).find(({ taskId }) => taskId === own.taskId)!.wanted).equal(own.wanted - amount);
  });

  it('measured again, the last measures count; one that is done asks for nothing', async () => {
    const [first] = tasks;
    await act(first!.id, { measures: [...measure(22).slice(1), { what: 'length', valueMm: 60 }] });
    const share = (await shares()).find(({ taskId }) => taskId === first!.id);
    expect(share).deep.include({ decision: 'yes', wanted: 0, given: [] });
    await act(first!.id, { act: 'done otherwise', note: 'They stay in.', goAheadBecause: 'The owner wants it.' });
    expect((await shares()).some(({ taskId }) => taskId === first!.id)).equal(false);
  });
});
