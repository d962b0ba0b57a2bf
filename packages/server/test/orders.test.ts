import type { BenchView, ErrorBody, JobView, OrdersView, OrderView, ShelfView, StockView } from '@sardonyx/contract';
import { expect } from 'chai';
import { JobRow } from '../src/entities/work.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const ORDER = { orderedOn: '2026-11-25', promisedOn: '2026-11-30', note: '' };
const NOBODY = { thingId: null, wantId: null, serves: null, pot: null, toolKind: null, jobId: null, price: null };
const CAME = { quality: 'as wanted', price: null, batch: '', who: 'Imke Varga', putInto: null };

describe('orders', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const orders = () => bench.get<OrdersView>('orders');
  const job = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const wantOf = async (jobId: string) => (await job(jobId)).specimens[0]!.wants[0]!;
  const lineOf = (view: OrdersView, what: string) =>
    view.lacking
      .flatMap(({ lines, supplierId }) => lines.map((line) => ({ ...line, supplierId })))
      .find((line) => line.what === what);
  const supply = async (jobId: string, what: string) => (await job(jobId)).supplies.find((line) => line.what === what)!;

  it('gather what all open jobs and the drawers lack; of one thing no plan says that it is ready and that it is missing', async () => {
    const view = await orders();
    const gel = lineOf(view, 'Gel stripper')!;
    expect(gel.jobNumbers.length).greaterThan(2);
    expect(gel.thingId).not.equal(null);
    expect(lineOf(view, 'tyre 12 mm, block tread')).deep.include({ supplierId: 'tern-street', jobNumbers: [] });
    const { lanes } = await bench.get<BenchView>('bench');
    for (const { job: own } of lanes.filter((lane) => !lane.job.signedOffAt)) {
      const { supplies } = await job(own.id);
      const names = supplies.map(({ what, pot, wantId }) => `${what} ${pot ?? ''} ${wantId ?? ''}`);
      expect(new Set(names).size, own.number).equal(names.length);
    }
    expect(await supply('sg-01', 'bench drill')).deep.include({ stand: 'ready', leadDays: 0 });
  });

  it('bring a want on its way; a late one moves the day, and what its supplier’s word is worth', async () => {
    await bench.http
      .patch('/api/wants/sg-04-1.tyres.want')
      .send({ version: (await wantOf('sg-04')).version, getBy: 'buy' })
      .expect(200);
    const tyres = lineOf(await orders(), 'tyres')!;
    expect(tyres).deep.include({ wantId: 'sg-04-1.tyres.want', jobId: 'sg-04', amount: 1, supplierId: '' });
    const { what, amount, unit, wantId, jobId } = tyres;
    const line = { ...NOBODY, what, amount, unit, wantId, jobId, price: 6 };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(201);
    expect(await wantOf('sg-04')).deep.include({ state: 'ordered', dueOn: '2026-11-30' });
    expect(lineOf(await orders(), 'tyres')).equal(undefined);
    const there = await supply('sg-04', 'tyres');
    expect(there.stand).equal('ordered');
    const twice = await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(422);
    expect((twice.body as ErrorBody).message).equal('“tyres” is on its way already.');
    const before = (await orders()).suppliers.find(({ id }) => id === 'tern-street')!;
    bench.pass(60 * 24 * 12);
    const view = await orders();
    const own = findOrder(view.open, 'tyres');
    expect(own.arrival!.isOverdue).equal(true);
    expect(own.arrival!.likelyOn > there.arrivesOn!).equal(true);
    expect((await supply('sg-04', 'tyres')).arrivesOn).equal(own.arrival!.likelyOn);
    expect(view.suppliers.find(({ id }) => id === 'tern-street')!.delay.share).greaterThan(before.delay.share);
  });

  it('a new promise is the new day; the first one is remembered', async () => {
    const own = findOrder((await orders()).open, 'tyres');
    await bench.http
      .patch(`/api/stock-orders/${own.id}`)
      .send({ version: own.version, promisedOn: '2026-12-12' })
      .expect(200);
    expect((await wantOf('sg-04')).dueOn).equal('2026-12-12');
    expect(findOrder((await orders()).open, 'tyres')).deep.include({
      firstPromisedOn: '2026-11-30',
      promisedOn: '2026-12-12',
    });
    await bench.http
      .patch(`/api/stock-orders/${own.id}`)
      .send({ version: own.version + 1, promisedOn: '2026-11-01' })
      .expect(422);
  });

  it('what comes and is right meets its want, with where it is from; what is wrong is wanted again', async () => {
    const [line] = findOrder((await orders()).open, 'tyres').lines;
    await post(`order-lines/${line!.id}/arrival`, { ...CAME, quality: 'wrong', amount: 1 }).expect(201);
    expect(await wantOf('sg-04')).deep.include({ state: 'open', dueOn: null });
    expect((await post(`order-lines/${line!.id}/arrival`, { ...CAME, amount: 1 }).expect(422)).body).deep.include({
      code: 'already-done',
    });
    const again = { ...NOBODY, what: 'tyres', amount: 1, unit: 'pieces', wantId: 'sg-04-1.tyres.want', jobId: 'sg-04' };
    await post('orders', {
      ...ORDER,
      supplierId: 'fennimar',
      promisedOn: '2026-12-09',
      orderedOn: '2026-12-07',
      lines: [again],
    }).expect(201);
    const [second] = findOrder((await orders()).open, 'tyres').lines;
    await post(`order-lines/${second!.id}/arrival`, { ...CAME, amount: 1, price: 5 }).expect(201);
    const want = await wantOf('sg-04');
    expect(want).deep.include({ state: 'solved', origin: 'bought', solution: 'Fennimar Axle, ordered on 2026-12-07' });
  });

  it('what a job sent for lies in its drawer, put by for it, at its price; what lay in none is given one', async () => {
    const serves = 'fine steel wool';
    const line = { ...NOBODY, what: serves, amount: 20, unit: 'g', serves, jobId: 'sg-05', price: 3 };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(201);
    const [own] = findOrder((await orders()).open, serves).lines;
    const nowhere = await post(`order-lines/${own!.id}/arrival`, { ...CAME, amount: 20 }).expect(422);
    expect((nowhere.body as ErrorBody).fields).have.property('drawer');
    const putInto = { kind: 'powder', name: 'Steel wool 0000', drawer: 'F2' };
    await post(`order-lines/${own!.id}/arrival`, { ...CAME, amount: 20, price: 3, putInto }).expect(201);
    const thing = (await bench.get<StockView>('stock')).things.find(({ name }) => name === 'Steel wool 0000')!;
    expect(thing.onHand).equal(20);
    expect(thing.held).deep.equal([{ jobId: 'sg-05', reserved: 20 }]);
    expect(thing.traits).deep.equal({ serves });
    expect(await supply('sg-05', serves)).deep.include({ stand: 'ready', lacks: 0 });
    expect(await supply('sg-07', serves)).deep.include({ stand: 'missing' });
  });

  it('an order that was not sent after all leaves its wants open; one of which something came stays', async () => {
    const line = {
      ...NOBODY,
      what: 'a crate rack',
      amount: 1,
      unit: 'pieces',
      wantId: 'sg-01-1.want-1',
      jobId: 'sg-01',
    };
    const { id } = (await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(201))
      .body as OrderView;
    expect((await wantOf('sg-01')).state).equal('ordered');
    await bench.http.delete(`/api/stock-orders/${id}`).expect(204);
    expect(await wantOf('sg-01')).deep.include({ state: 'open', dueOn: null });
    const [past] = (await orders()).past;
    await bench.http.delete(`/api/stock-orders/${past!.id}`).expect(422);
    await bench.http.delete('/api/suppliers/tern-street').expect(422);
  });

  it('what comes for a job that is signed off since goes into a drawer', async () => {
    const line = { ...NOBODY, what: 'a roof rack', amount: 1, unit: 'pieces', jobId: 'sg-02', price: 2 };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(201);
    await bench.room.source.manager.update(JobRow, { id: 'sg-02' }, { signedOffAt: '2026-12-01T10:00:00Z' });
    const [own] = findOrder((await orders()).open, 'a roof rack').lines;
    expect(own).deep.include({ wantId: null, jobNumber: null });
    const putInto = { kind: 'small part', name: 'Roof rack', drawer: 'D3' };
    await post(`order-lines/${own!.id}/arrival`, { ...CAME, amount: 1, putInto }).expect(201);
    const thing = (await bench.get<StockView>('stock')).things.find(({ name }) => name === 'Roof rack')!;
    expect([thing.onHand, thing.held]).deep.equal([1, []]);
  });

  it('of paint: the very pot that was ordered is on its way, no other; what comes is in its pot', async () => {
    const lacking = lineOf(await orders(), 'Lanthorn Light grey primer')!;
    expect(lacking).deep.include({ serves: 'primer', pot: 'Lanthorn Light grey primer' });
    const { what, unit, serves, pot } = lacking;
    const others = (await orders()).lacking
      .flatMap(({ lines }) => lines)
      .filter((line) => line.pot && line.pot !== pot);
    const line = { ...NOBODY, what, unit, serves, pot, amount: 50, price: 4 };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line] }).expect(201);
    const after = (await orders()).lacking.flatMap(({ lines }) => lines);
    expect(after.some((one) => one.pot === pot)).equal(false);
    expect(after.filter((one) => one.pot).map((one) => one.pot)).have.members(others.map((one) => one.pot));
    const [own] = findOrder((await orders()).open, what).lines;
    await post(`order-lines/${own!.id}/arrival`, { ...CAME, amount: 50 }).expect(201);
    const stands = (await job('sg-03')).supplies.find((one) => one.pot === pot)!;
    expect(stands).deep.include({ stand: 'ready', lacks: 0 });
    expect((await orders()).lacking.flatMap(({ lines }) => lines).some((one) => one.pot === pot)).equal(false);
    const strange = { ...line, what: 'No such paint', pot: 'No such paint' };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [strange] }).expect(201);
    const [nowhere] = findOrder((await orders()).open, 'No such paint').lines;
    const refusal = await post(`order-lines/${nowhere!.id}/arrival`, { ...CAME, amount: 5 }).expect(422);
    expect((refusal.body as ErrorBody).message).include('put the pot on the shelf first');
  });

  it('of paint: from who sent that pot last, or one of its line; at the shelf’s price per ml', async () => {
    const { products } = await bench.get<ShelfView>('shelf');
    const pots = async () =>
      (await orders()).lacking.flatMap(({ supplierId, lines }) =>
        lines.flatMap((line) => (line.pot === null ? [] : [{ ...line, supplierId, pot: line.pot }])),
      );
    const paintOf = (pot: string) => products.find(({ line, name }) => `${line} ${name}` === pot)!;
    const wanted = (await pots()).find(
      ({ pot, supplierId }) => supplierId === '' && paintOf(pot).line === 'Marlstone',
    )!;
    expect(wanted.price).closeTo(wanted.amount * paintOf(wanted.pot).pricePerMl, 1e-6);
    // Another colour of the same line was sent for.
    const other = products.find((one) => one.line === 'Marlstone' && `Marlstone ${one.name}` !== wanted.pot)!;
    const pot = `Marlstone ${other.name}`;
    const line = { ...NOBODY, what: pot, pot, amount: 20, unit: 'ml', serves: 'body colour' };
    await post('orders', { ...ORDER, supplierId: 'fennimar', lines: [line] }).expect(201);
    expect((await pots()).find((one) => one.pot === wanted.pot)!.supplierId).equal('fennimar');
    // That very pot came from elsewhere since.
    const own = { ...line, what: wanted.pot, pot: wanted.pot, amount: 0.01 };
    await post('orders', { ...ORDER, supplierId: 'tern-street', lines: [own] }).expect(201);
    expect((await pots()).find((one) => one.pot === wanted.pot)!.supplierId).equal('tern-street');
  });

  it('refuse bad input in words', async () => {
    const line = { ...NOBODY, what: 'x', amount: 1, unit: 'pieces' };
    const send = (changes: object) =>
      post('orders', { ...ORDER, supplierId: 'tern-street', lines: [line], ...changes });
    await send({ promisedOn: '2026-11-01' }).expect(400);
    await send({ lines: [] }).expect(400);
    await send({ lines: [{ ...line, amount: 0 }] }).expect(400);
    await send({ lines: [{ ...line, wantId: 'nobody' }] }).expect(404);
    await send({ supplierId: 'nobody' }).expect(404);
    await send({ colour: 'red' }).expect(400);
  });

  it('are written as a file, a line a thing', async () => {
    const { text } = await bench.http.get('/api/orders.csv').expect(200);
    expect(text.split('\r\n')[0]).equal('supplier,what,amount,unit,for,order_by,price');
    expect(text).include('Tern Street Spares,"tyre 12 mm, block tread",14,pieces,,,');
  });
});

function findOrder(orders: readonly OrderView[], what: string): OrderView {
  return orders.find(({ lines }) => lines.some((line) => line.what === what))!;
}
