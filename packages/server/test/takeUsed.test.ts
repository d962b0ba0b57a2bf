import type { JobView, StockView, ThingLog, ThingView } from '@sardonyx/contract';
import { foldMovements, sumStock, type Task } from '@sardonyx/core';
import { expect } from 'chai';
import { TaskRow } from '../src/entities/work.ts';
import { takeUsed } from '../src/modules/stock/takeUsed.ts';
import { forget } from '../src/workroom.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const ALL_THE_SAME = { goAheadBecause: 'The owner wants it.' };

describe('what a step takes out of the drawers', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const act = (id: string, name: string, more: object = {}) =>
    bench.http.post(`/api/tasks/${id}/acts`).send({ act: name, who: 'Imke Varga', note: '', ...more });
  const thing = async (name: string): Promise<ThingView> =>
    (await bench.get<StockView>('stock')).things.find((one) => one.name === name)!;
  const logOf = async (name: string) => bench.get<ThingLog>(`stock-things/${(await thing(name)).id}/movements`);
  const task = async (jobId: string, isWanted: (one: Task) => boolean) =>
    (await bench.get<JobView>(`jobs/${jobId}`)).tasks.find(isWanted)!;
  const supply = async (jobId: string, what: string) =>
    (await bench.get<JobView>(`jobs/${jobId}`)).supplies.find((line) => line.what === what);

  it('is written in the log of the thing, by the step and for the job; taken back, it lies there again', async () => {
    const pilot = await task('sg-07', ({ act: name, state }) => name === 'pilot' && state === 'to do');
    const used = pilot.uses.find(({ what }) => what === 'cutting oil')!.amount;
    const before = await thing('Cutting oil');
    const other = (await supply('sg-05', 'cutting oil'))!.places[0]!.amount;
    await act(pilot.id, 'start', ALL_THE_SAME).expect(200);
    expect((await thing('Cutting oil')).onHand, 'begun is not done').equal(before.onHand);
    await act(pilot.id, 'done', ALL_THE_SAME).expect(200);
    expect((await thing('Cutting oil')).onHand).closeTo(before.onHand - used, 1e-6);
    expect((await supply('sg-05', 'cutting oil'))!.places[0]!.amount, 'other jobs see it').closeTo(other - used, 1e-6);
    const line = (await logOf('Cutting oil')).at(-1)!;
    expect(line).deep.include({
      move: 'taken',
      amount: used,
      jobId: 'sg-07',
      taskId: pilot.id,
      note: pilot.title,
      who: 'Imke Varga',
    });
    await act(pilot.id, 'take back').expect(200);
    expect((await thing('Cutting oil')).onHand).closeTo(before.onHand, 1e-6);
    expect((await logOf('Cutting oil')).at(-1)).deep.include({ move: 'put back', taskId: pilot.id });
    await act(pilot.id, 'done otherwise', { note: 'again', ...ALL_THE_SAME }).expect(200);
    await act(pilot.id, 'take back').expect(200);
    expect((await thing('Cutting oil')).onHand, 'each time once').closeTo(before.onHand, 1e-6);
    expect(sumStock(foldMovements(await logOf('Cutting oil')))).deep.include({
      onHand: (await thing('Cutting oil')).onHand,
    });
  });

  it('is not taken when the step is not needed, and holds nothing up where it is not there', async () => {
    const oil = await thing('Cutting oil');
    const pilot = await task('sg-07', ({ act: name, state }) => name === 'pilot' && state === 'to do');
    await act(pilot.id, 'not needed', { note: 'drilled before' }).expect(200);
    expect((await thing('Cutting oil')).onHand).equal(oil.onHand);
    await act(pilot.id, 'take back').expect(200);
    await bench.http
      .post(`/api/stock-things/${oil.id}/movements`)
      .send({ move: 'counted', amount: 0, jobId: null, price: null, batch: '', who: 'Nell', note: '' })
      .expect(201);
    await act(pilot.id, 'done', ALL_THE_SAME).expect(200);
    expect((await thing('Cutting oil')).onHand).equal(0);
    expect((await logOf('Cutting oil')).at(-1)!.move).equal('counted');
  });

  it('of axles: those that were put by for the job, when their ends are formed', async () => {
    const { id, onHand } = await thing('1.2 × 28, both bare');
    const { manager } = bench.room.source;
    const close = await manager.findOneByOrFail(TaskRow, { jobId: 'sg-05', key: 'close:axle-ends' });
    const taker = { who: 'Nell', now: bench.room.now() };
    await takeUsed(manager, close, taker);
    forget(bench.room, 'all');
    expect((await thing('1.2 × 28, both bare')).onHand, 'another job holds them').equal(onHand);
    const reserve = { move: 'reserved', amount: 2, jobId: 'sg-05', price: null, batch: '', who: 'Nell', note: '' };
    await bench.http.post(`/api/stock-things/${id}/movements`).send(reserve).expect(201);
    await takeUsed(manager, close, taker);
    forget(bench.room, 'all');
    const after = await thing('1.2 × 28, both bare');
    expect(after.onHand).equal(onHand - 2);
    expect(after.held.some(({ jobId }) => jobId === 'sg-05')).equal(false);
    expect(after.held).deep.include({ jobId: 'sg-04', reserved: 2 });
  });

  it('of axles: not one that was put by and is too short for what was measured', async () => {
    const { manager } = bench.room.source;
    const close = await manager.findOneByOrFail(TaskRow, { jobId: 'sg-05', key: 'close:axle-ends' });
    const measure = await task('sg-05', ({ act: name }) => name === 'axle-in-hand');
    const [short, long] = [await thing('1.2 × 22, both bare'), await thing('1.2 × 32, both bare')];
    for (const { id } of [short, long]) {
      const reserve = { move: 'reserved', amount: 2, jobId: 'sg-05', price: null, batch: '', who: 'Nell', note: '' };
      await bench.http.post(`/api/stock-things/${id}/movements`).send(reserve).expect(201);
    }
    const measures = [
      { what: 'length', valueMm: 29 },
      { what: 'diameter', valueMm: 1.2 },
      { what: 'over the wheels', valueMm: 27.4 },
    ];
    await act(measure.id, 'done', { measures, ...ALL_THE_SAME }).expect(200);
    await takeUsed(manager, close, { who: 'Nell', now: bench.room.now() });
    forget(bench.room, 'all');
    expect((await thing('1.2 × 22, both bare')).held).deep.equal([{ jobId: 'sg-05', reserved: 2 }]);
    expect((await thing('1.2 × 32, both bare')).onHand).equal(long.onHand - 2);
  });
});
