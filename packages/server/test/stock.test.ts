import type { ErrorBody, ShelfReport, StockView, ThingLog, ThingView } from '@sardonyx/contract';
import { foldMovements, sumStock } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const AXLE = {
  ...{ kind: 'axle', name: 'Bright axle', drawer: 'B3', sizes: { diameter: 1.2, length: 30 } },
  ...{ traits: { ends: 'one domed' }, reorderAt: 4, keepsDays: null, isLocked: false, supplierId: null, note: '' },
};
const LINE = { move: 'bought', amount: 10, jobId: null, price: 5, batch: '', who: 'Imke Varga', note: '' };

describe('drawers', () => {
  let bench: TestBench;
  let id: string;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const move = (changes: object, thing = id) => post(`stock-things/${thing}/movements`, { ...LINE, ...changes });
  const thing = async (): Promise<ThingView> =>
    (await bench.get<StockView>('stock')).things.find((one) => one.id === id)!;

  it('take a thing of their own kind, once; not what things of that kind do not have', async () => {
    const made = await post('stock-things', AXLE).expect(201);
    ({ id } = made.body as { id: string });
    const again = await post('stock-things', AXLE).expect(422);
    expect((again.body as ErrorBody).message).equal('There is “Bright axle” (axle) in drawer B3 already.');
    const foreign = await post('stock-things', { ...AXLE, name: 'x', traits: { thread: 'M2' } }).expect(422);
    expect((foreign.body as ErrorBody).message).include('thread');
    for (const wrong of [{ sizes: { diameter: -1 } }, { sizes: { girth: 3 } }, { kind: 'bolt' }, { onHand: 3 }])
      await post('stock-things', { ...AXLE, ...wrong }).expect(400);
    expect(await thing()).deep.include({ free: 0, name: 'Bright axle', isLocked: false });
  });

  it('hold what their log leaves: bought, reserved for a job, taken', async () => {
    await move({}).expect(201);
    await move({ move: 'reserved', amount: 4, jobId: 'sg-04', price: null }).expect(201);
    const { onHand, free, held, notices } = await thing();
    expect([onHand, free]).deep.equal([10, 6]);
    expect(held).deep.equal([{ jobId: 'sg-04', reserved: 4 }]);
    expect(notices).deep.equal([]);
    await move({ move: 'taken', amount: 6, jobId: 'sg-03', price: null }).expect(201);
    expect((await thing()).notices).deep.equal([{ kind: 'reorder', free: 0, at: 4 }]);
    const log = await bench.get<ThingLog>(`stock-things/${id}/movements`);
    expect(log.map(({ seq, move: what, amount }) => `${seq} ${what} ${amount}`)).deep.equal([
      '1 bought 10',
      '2 reserved 4',
      '3 taken 6',
    ]);
    expect(await thing()).deep.include(sumStock(foldMovements(log)));
  });

  it('give no piece twice, whoever asks at once', async () => {
    const answers = await Promise.all([
      move({ move: 'taken', amount: 3, jobId: 'sg-04', price: null }),
      move({ move: 'taken', amount: 3, jobId: 'sg-04', price: null }),
      move({ move: 'reserved', amount: 1, jobId: 'sg-05', price: null }),
    ]);
    expect(answers.map(({ status }) => status).sort()).deep.equal([201, 422, 422]);
    const no = answers.find(({ status }) => status === 422)!.body as ErrorBody;
    expect(no.code).equal('not-there');
    expect(no.fields).have.property('amount');
    expect((await thing()).onHand).equal(1);
  });

  it('refuse half pieces, no job, a job that is signed off or that nobody knows, and unknown fields', async () => {
    await move({ amount: 1.5 }).expect(422);
    await move({ move: 'put back', amount: 1, price: null }).expect(422);
    await move({ move: 'taken', amount: 1, jobId: 'sg-10', price: null }).expect(422);
    await move({ move: 'taken', amount: 1, jobId: 'sg-99', price: null }).expect(404);
    await move({ seq: 4 }).expect(400);
    await move({ amount: 'ten' }).expect(400);
    await move({}, 'nothing').expect(404);
    await bench.http.get('/api/stock-things/nothing/movements').expect(404);
  });

  it('keep a thing that has a log, and its log as it was written', async () => {
    await bench.http.delete(`/api/stock-things/${id}`).expect(422);
    const { version } = await thing();
    const change = { version, drawer: 'B4', isLocked: true };
    await bench.http.patch(`/api/stock-things/${id}`).send(change).expect(200);
    expect(await thing()).deep.include({ drawer: 'B4', isLocked: true });
    const kept = await move({ move: 'taken', amount: 1, jobId: 'sg-04', price: null }).expect(422);
    expect((kept.body as ErrorBody).code).equal('kept-back');
    await bench.http
      .patch(`/api/stock-things/${id}`)
      .send({ ...change, kind: 'screw' })
      .expect(400);
    await bench.http
      .patch(`/api/stock-things/${id}`)
      .send({ ...change, state: {} })
      .expect(400);
    expect((await bench.get<ThingLog>(`stock-things/${id}/movements`)).length).equal(4);
  });

  it('come and go as a file, all of it or nothing', async () => {
    const csv = (await bench.http.get('/api/stock.csv').expect(200)).text;
    const file = (text: string, take: string) => post('stock/files', { text, take, who: 'Imke Varga' });
    const same = (await file(csv, 'all').expect(200)).body as ShelfReport;
    expect(same).deep.include({ added: 0, changed: 0, isTaken: true, problemCount: 0 });
    expect(same.unchanged).greaterThan(0);
    const more = `${csv}axle,Odd one,C1,7,,0.5,Fennimar Axle,,1.4,22\r\nbolt,Wrong,,1\r\n`;
    const before = (await bench.get<StockView>('stock')).things.length;
    expect((await file(more, 'look').expect(200)).body).deep.include({ added: 1, isTaken: false, problemCount: 1 });
    await file(more, 'all').expect(422);
    expect((await bench.get<StockView>('stock')).things.length).equal(before);
    expect((await file(more, 'good lines').expect(200)).body).deep.include({ added: 1, isTaken: true });
    const { things, suppliers } = await bench.get<StockView>('stock');
    const odd = things.find(({ name }) => name === 'Odd one')!;
    const log = await bench.get<ThingLog>(`stock-things/${odd.id}/movements`);
    expect(foldMovements(log).lots[0]).deep.include({ batch: '', amount: 7, unitPrice: 0.5 });
    expect(suppliers.find((one) => one.id === odd.supplierId)!.name).equal('Fennimar Axle');
    const counted = csv.replace(/^axle,Bright axle,B4,1,/m, 'axle,Bright axle,B4,9,');
    expect((await file(counted, 'all').expect(200)).body).deep.include({ changed: 1 });
    expect((await thing()).onHand).equal(9);
    expect((await bench.get<ThingLog>(`stock-things/${id}/movements`)).at(-1)).deep.include({
      ...{ move: 'counted', amount: 9, note: 'from a file' },
    });
  });

  it('on an empty bench are empty, and begin with anything', async () => {
    const empty = await createTestBench({ isDemo: false });
    expect(await empty.get<StockView>('stock')).deep.equal({ things: [], suppliers: [] });
    expect((await empty.http.get('/api/stock.csv').expect(200)).text).match(/^kind,name,drawer,amount/);
    const supplier = { name: 'Post box', promisedDays: 12, note: '' };
    const made = await empty.http.post('/api/suppliers').send(supplier).expect(201);
    await empty.http.post('/api/suppliers').send(supplier).expect(422);
    const supplierId = (made.body as { id: string }).id;
    await empty.http
      .post('/api/stock-things')
      .send({ ...AXLE, supplierId })
      .expect(201);
    await empty.http
      .post('/api/stock-things')
      .send({ ...AXLE, name: 'y', supplierId: 'nobody' })
      .expect(404);
    await empty.http.delete(`/api/suppliers/${supplierId}`).expect(204);
    const { things } = await empty.get<StockView>('stock');
    expect(things[0]!.supplierId).equal(null);
    // Nothing was ever moved: it goes.
    await empty.http.delete(`/api/stock-things/${things[0]!.id}`).expect(204);
    await empty.clear();
  });
});
