import type { ErrorBody, FoundPlace, JobView, PrintsView, StockView } from '@sardonyx/contract';
import { writeStl, type JobCost, type Print, type PrintRun, type Want } from '@sardonyx/core';
import { expect } from 'chai';
import { boxMesh } from '../../core/test/support/meshes.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';

const who = 'Imke Varga';

const STL = Buffer.from(writeStl(Float64Array.from(boxMesh([0, 0, 0], [20, 10, 4]))));

describe('printed parts over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const bring = (bytes: Buffer | string, name = 'Hopper.stl') =>
    bench.http.post('/api/prints').query({ name }).set('content-type', 'model/stl').send(bytes);
  const bringBox = async () => (await bring(STL).expect(201)).body as Print;
  const view = () => bench.get<PrintsView>('prints');
  const RUN = { copies: 1, cure: '', measure: null, price: null, wantId: null, thingId: null, who, note: '' };
  const log = (id: string, changes: object = {}, status = 201) =>
    bench.http
      .post(`/api/prints/${id}/runs`)
      .send({ ...RUN, ...changes })
      .expect(status);
  const wantOf = async (): Promise<Want> =>
    (await bench.get<JobView>('jobs/sg-04')).specimens[0]!.wants.find(({ id }) => id === 'sg-04-1.tyres.want')!;
  const changeWant = async (changes: object, status = 200) =>
    (
      await bench.http
        .patch('/api/wants/sg-04-1.tyres.want')
        .send({ version: (await wantOf()).version, ...changes })
        .expect(status)
    ).body as ErrorBody;

  it('are measured before they are kept, and come out as they were brought', async () => {
    const print = await bringBox();
    expect(print).deep.include({ name: 'Hopper', fileName: 'Hopper.stl', wanted: [null, null, null] });
    expect(print.size).deep.include({ triangles: 12, size: [20, 10, 4], isClosed: true });
    const out = await bench.http.get(`/api/prints/${print.id}/mesh`).buffer(true).parse(readBinary).expect(200);
    expect(Buffer.compare(out.body as Buffer, STL)).equal(0);
    expect(await bench.get<FoundPlace[]>('find?q=printed%20hop')).deep.equal([
      { kind: 'drawer', title: 'Hopper', where: 'Printed parts', path: `/prints?print=${print.id}` },
    ]);
    await bringBox();
    const hoppers = (await view()).prints.filter(({ name }) => name === 'Hopper');
    expect(hoppers, 'the same mesh twice is two parts, and one file').lengthOf(2);
    const [{ count }] = await bench.room.source.query<[{ count: number }]>('SELECT count(*) AS count FROM mesh');
    expect(count, 'the demo has one too').equal(2);
  });

  it('what is no mesh is refused with what is wrong in it, and nothing is kept', async () => {
    const refused = async (bytes: Buffer | string) => (await bring(bytes).expect(400)).body as ErrorBody;
    expect((await refused('a picture of a hopper')).message).include('no STL file');
    expect((await refused(STL.subarray(0, STL.length - 60))).message).include('cut off');
    expect((await refused('')).message).include('empty');
    await bench.http.post('/api/prints').set('content-type', 'model/stl').send(STL).expect(400);
    await bench.http.post('/api/prints').query({ name: 'x' }).send({ name: 'x' }).expect(400);
    await bench.http.get('/api/prints/nobody/mesh').expect(404);
    expect((await view()).prints.map(({ name }) => name)).deep.equal(['Lorry tyre']);
  });

  it('teach what a resin loses: the next file is written for it', async () => {
    const { id } = await bringBox();
    await bench.http
      .patch(`/api/prints/${id}`)
      .send({ version: 1, wanted: [21, null, null], resin: 'Grey tough' })
      .expect(200);
    const before = (await view()).prints[0]!;
    expect(before.shrink).deep.equal({ share: 0.006, sd: 0.004, prints: 0 });
    const run = (await log(id, { measure: { axis: 'x', mm: 20.7, sdMm: 0.03 } })).body as PrintRun;
    expect(run.inFile[0]).closeTo(21 / 0.994, 1e-9);
    expect(run.resin).equal('Grey tough');
    const { shrink } = (await view()).prints[0]!;
    expect(shrink.prints).equal(1);
    expect(shrink.share)
      .greaterThan(0.015)
      .lessThan(1 - 20.7 / (21 / 0.994) + 1e-9);
    const next = (await log(id)).body as PrintRun;
    expect(next.inFile[0]).closeTo(21 / (1 - shrink.share), 1e-9);
    await bench.http
      .patch(`/api/prints/${id}`)
      .send({ version: 2, wanted: [21, null] })
      .expect(400);
    await bench.http
      .patch(`/api/prints/${id}`)
      .send({ version: 2, wanted: [-1, null, null] })
      .expect(400);
    // What was learned from it stays.
    await bench.http.delete(`/api/prints/${id}`).send({ version: 2 }).expect(422);
  });

  it('meet their want, the others lie in their drawer, each with its share of the cost', async () => {
    const { id } = await bringBox();
    await changeWant({ getBy: 'print' });
    expect((await view()).wants.map(({ wantId, jobNumber }) => [wantId, jobNumber])).deep.equal([
      ['sg-04-1.tyres.want', 'SG-04'],
    ]);
    const thing = (await bench.get<StockView>('stock')).things.find(({ kind }) => kind === 'tyre')!;
    await log(id, { wantId: 'sg-04-1.tyres.want', thingId: thing.id }, 422);
    await log(id, { copies: 4, price: 6, wantId: 'sg-04-1.tyres.want', thingId: thing.id });
    expect(await wantOf()).deep.include({
      state: 'solved',
      origin: 'printed',
      price: 1.5,
      solution: 'printed: Hopper',
    });
    expect((await view()).wants).deep.equal([]);
    const after = (await bench.get<StockView>('stock')).things.find((one) => one.id === thing.id)!;
    expect(after.onHand).equal(thing.onHand + 3);
    expect((await bench.get<JobCost>('jobs/sg-04/cost')).total).closeTo(1.5, 1e-9);
    await log(id, { copies: 0 }, 400);
    await log(id, { copies: 1.5 }, 400);
    await log('nobody', {}, 404);
  });

  it('a want met out of a drawer: taken there, put back where somebody thinks better of it', async () => {
    const thing = (await bench.get<StockView>('stock')).things.find(({ kind, free }) => kind === 'tyre' && free >= 4)!;
    const onHand = async () => (await bench.get<StockView>('stock')).things.find(({ id }) => id === thing.id)!.onHand;
    const take = (changes: object = {}, status = 201) =>
      bench.http
        .post('/api/wants/sg-04-1.tyres.want/taken')
        .send({ thingId: thing.id, amount: 4, origin: 'bought', who, ...changes })
        .expect(status);
    await take({ amount: 4000 }, 422);
    await take({ thingId: 'nothing' }, 404);
    await take();
    expect(await onHand()).equal(thing.onHand - 4);
    expect(await wantOf()).deep.include({ state: 'solved', origin: 'bought', taken: { thingId: thing.id, amount: 4 } });
    await take({}, 422);
    expect((await changeWant({ state: 'open' }, 422)).message).include('put it back there first');
    await bench.http
      .delete('/api/wants/sg-04-1.tyres.want')
      .send({ version: (await wantOf()).version })
      .expect(422);
    const { lines } = await bench.get<JobCost>('jobs/sg-04/cost');
    expect(
      lines.map(({ group, amount }) => [group, amount]),
      'once, and in its drawer',
    ).deep.equal([['drawers', 4]]);
    await bench.http.post('/api/wants/sg-04-1.tyres.want/put-back').send({ who }).expect(200);
    expect(await onHand()).equal(thing.onHand);
    expect(await wantOf()).deep.include({ state: 'open', origin: null, taken: null });
    const getting = (await bench.get<JobView>('jobs/sg-04')).tasks.find(
      ({ act, of }) => act === 'get' && of.wantId === 'sg-04-1.tyres.want',
    )!;
    expect(getting.state, 'still to be got').equal('to do');
    await bench.http.post('/api/wants/sg-04-1.tyres.want/put-back').send({ who }).expect(422);
  });
});
