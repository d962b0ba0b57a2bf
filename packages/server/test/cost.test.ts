import type { JobView, OrdersView, PotLog, ShelfView, StockView, ThingLog, ErrorBody } from '@sardonyx/contract';
import type { CoatingLayer, JobCost, Mix, Want } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { CAPTURE, MIX, PATCH, WHITE } from './support/colourRequests.ts';

const who = 'Imke Varga';

describe('what a job takes and costs', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const post = async (path: string, body: object, status = 201) =>
    (await bench.http.post(`/api/${path}`).send(body).expect(status)).body as unknown;
  const cost = (jobId: string) => bench.get<JobCost>(`jobs/${jobId}/cost`);
  const potOf = async (productId: string) =>
    (await bench.get<ShelfView>('shelf')).pots.find((pot) => pot.productId === productId)!;

  describe('of paint', () => {
    const BROWN = 'paint-quay-leather-brown';
    const logCoat = async (changes: object = {}, status = 201) => {
      const { areas } = (await bench.get<JobView>('jobs/sg-07')).specimens[1]!;
      const area = areas.find((one) => one.specimenPartId === 'sg-07-2.load' && one.kind === 'outside')!;
      const at = bench.room.now().toISOString();
      const body = { areaId: area.id, productId: BROWN, tempC: 19, who, note: '', appliedAt: at, isMist: true };
      return (await post('coats', { ...body, ...changes }, status)) as CoatingLayer;
    };

    it('a coat takes out of its pot what is reckoned from its area, a mist less than a wet one', async () => {
      const before = await potOf(BROWN);
      const layer = await logCoat({ isMist: true });
      const log = await bench.get<PotLog>(`paint-pots/${before.id}/movements`);
      const line = log.at(-1)!;
      expect(line).deep.include({ move: 'taken', jobId: 'sg-07', actId: layer.id, who });
      expect(line.note).match(/a mist, reckoned ± \d+\.\d ml$/);
      expect(line.amount).greaterThan(0.2).lessThan(4);
      expect((await potOf(BROWN)).leftMl).closeTo(before.leftMl - line.amount, 1e-6);
      bench.pass(60 * 24 * 3);
      await logCoat({ isMist: false });
      const wet = (await bench.get<PotLog>(`paint-pots/${before.id}/movements`)).at(-1)!;
      expect(wet.amount).greaterThan(line.amount);
      const { lines, total } = await cost('sg-07');
      const brown = lines.find(({ what }) => what === 'Quay Leather brown')!;
      const all = (await bench.get<PotLog>(`paint-pots/${before.id}/movements`)).filter(
        ({ jobId }) => jobId === 'sg-07',
      );
      expect(brown).deep.include({ group: 'paint', isUsual: true, isWaste: false, unpriced: 0 });
      expect(brown.amount).closeTo(
        all.reduce((sum, { amount }) => sum + amount, 0),
        1e-6,
      );
      expect(total).greaterThan(0);
    });

    it('or what was poured for it, never more than is there; a rejected one came to nothing', async () => {
      const before = await potOf(BROWN);
      const layer = await logCoat({ ml: 2.5 });
      expect((await potOf(BROWN)).leftMl).closeTo(before.leftMl - 2.5, 1e-6);
      await post(`coats/${layer.id}/reject`, { who, because: 'dust' }, 200);
      const own = (await cost('sg-07')).lines.filter(({ what }) => what === 'Quay Leather brown');
      expect(own.filter(({ isWaste }) => isWaste).map(({ amount }) => amount)).deep.equal([2.5]);
      expect((await potOf(BROWN)).leftMl, 'poured is poured').closeTo(before.leftMl - 2.5, 1e-6);
    });

    it('an empty pot holds no coat up', async () => {
      const pot = await potOf(BROWN);
      const counted = { move: 'counted', amount: 0.3, jobId: null, price: null, batch: '', who, note: '' };
      await post(`paint-pots/${pot.id}/movements`, counted);
      await logCoat({ ml: 2 });
      expect((await potOf(BROWN)).leftMl).equal(0);
      expect((await bench.get<PotLog>(`paint-pots/${pot.id}/movements`)).at(-1)!.amount).equal(0.3);
      await logCoat({ ml: -1 }, 400);
    });

    it('a mix that is kept is worth what went into it; one that is given up is lost', async () => {
      const pot = await potOf(WHITE);
      await post(`paint-pots/${pot.id}/movements`, {
        ...{ move: 'counted', amount: 0, jobId: null, price: null, batch: '', who, note: '' },
      });
      await post(`paint-pots/${pot.id}/movements`, {
        ...{ move: 'bought', amount: 20, jobId: null, price: 10, batch: 'B7', who, note: '' },
      });
      await post('captures', CAPTURE);
      const begin = async () => ((await post('mixes', MIX)) as Mix).id;
      const pour = (mix: string, ml: number) =>
        post(`mixes/${mix}/pours`, { productId: WHITE, ml, source: 'scales', who });
      const kept = await begin();
      await pour(kept, 2);
      await post(`mixes/${kept}/patches`, PATCH);
      expect((await cost('sg-03')).total).closeTo(1, 1e-6);
      await post(`mixes/${kept}/keep`, { name: 'Own white', place: 'Jar', areaId: null, who }, 200);
      expect((await cost('sg-03')).total, 'it stands on the shelf').closeTo(0, 1e-6);
      const { products, pots } = await bench.get<ShelfView>('shelf');
      const own = pots.find((one) => one.productId === products.find(({ name }) => name === 'Own white')!.id)!;
      expect((await bench.get<PotLog>(`paint-pots/${own.id}/movements`))[0]).deep.include({
        ...{ move: 'made', amount: 2, price: 1, jobId: 'sg-03', actId: kept },
      });
      const lost = await begin();
      await pour(lost, 3);
      await bench.http.post(`/api/mixes/${lost}/give-up`).expect(200);
      expect(await cost('sg-03')).deep.include({ total: 1.5, waste: 1.5 });
    });
  });

  describe('of wants and their small bits', () => {
    const wantOf = async (id: string): Promise<Want> =>
      (await bench.get<JobView>('jobs/sg-04')).specimens[0]!.wants.find((want) => want.id === id)!;
    const TYRES = 'sg-04-1.tyres.want';
    const change = async (changes: object, status = 200) =>
      (
        await bench.http
          .patch(`/api/wants/${TYRES}`)
          .send({ version: (await wantOf(TYRES)).version, ...changes })
          .expect(status)
      ).body as Want & ErrorBody;
    const bit = { id: 'b1', what: 'washers', amount: 2, by: 'drawer', thingId: null, isHere: false, price: null };
    const here = (bitId: string, isHere: boolean, status = 200, price: number | null = null) =>
      post(`wants/${TYRES}/bits/${bitId}/here`, { isHere, price, who }, status);
    const line = async (what: string) =>
      (await bench.get<JobView>('jobs/sg-04')).supplies.find((one) => one.what === what)!;
    const findWasher = async () =>
      (await bench.get<StockView>('stock')).things.find(({ kind, free }) => kind === 'washer' && free >= 4)!;

    it('a bit out of a drawer is taken with its tick, and lies there again when somebody thinks better of it', async () => {
      const washer = await findWasher();
      await change({ bits: [bit] });
      expect(await line('washers')).deep.include({ stand: 'missing', lacks: 2 });
      await change({ bits: [{ ...bit, thingId: washer.id }] });
      expect((await line('washers')).places[0]).deep.include({ thingId: washer.id, amount: washer.free });
      await here('b1', true);
      expect(await line('washers'), 'no longer wanted').equal(undefined);
      expect((await findWasher()).onHand).equal(washer.onHand - 2);
      const log = await bench.get<ThingLog>(`stock-things/${washer.id}/movements`);
      expect(log.at(-1)).deep.include({ move: 'taken', amount: 2, jobId: 'sg-04', who });
      await here('b1', true, 422);
      // What was taken is not typed away.
      const refused = await change({ bits: [] }, 422);
      expect(refused.message).include('say first that it is not here');
      await change({ bits: [{ ...bit, thingId: washer.id, amount: 3, isHere: true }] }, 422);
      await here('b1', false);
      expect((await findWasher()).onHand).equal(washer.onHand);
      await change({ bits: [] });
      await here('b1', true, 404);
      expect((await cost('sg-04')).lines.filter(({ group }) => group === 'drawers')).deep.equal([]);
    });

    it('a bit that is bought is ordered by itself, and comes with its price; the want stays open', async () => {
      await change({ bits: [{ ...bit, by: 'buy' }] });
      const { suppliers, lacking } = await bench.get<OrdersView>('orders');
      const wanted = lacking.flatMap(({ lines }) => lines).find(({ bitId }) => bitId === 'b1')!;
      expect(wanted).deep.include({ what: 'washers', amount: 2, wantId: TYRES, jobNumbers: ['SG-04'] });
      const { what, amount, unit, thingId, wantId, bitId, serves, pot, toolKind, jobId, price } = wanted;
      const lines = [{ what, amount, unit, thingId, wantId, bitId, serves, pot, toolKind, jobId, price }];
      const today = bench.room.now().toISOString().slice(0, 10);
      const order = { supplierId: suppliers[0]!.id, orderedOn: today, promisedOn: today, note: '', lines };
      await post('orders', order);
      expect((await wantOf(TYRES)).state, 'only the bit is on its way').equal('open');
      expect((await line('washers')).stand).equal('ordered');
      await post('orders', order, 422);
      const { open } = await bench.get<OrdersView>('orders');
      const sent = open.flatMap((one) => one.lines).find((one) => one.bitId === 'b1')!;
      const came = { amount: 2, quality: 'as wanted', price: 1.4, batch: '', who, putInto: null };
      await post(`order-lines/${sent.id}/arrival`, came);
      const { state, bits } = await wantOf(TYRES);
      expect([state, bits[0]!.isHere, bits[0]!.price]).deep.equal(['open', true, 1.4]);
      expect((await cost('sg-04')).lines.find((one) => one.what === 'washers')).deep.include({
        cost: 1.4,
        group: 'parts',
      });
    });

    it('what was made here and what was sent wrong are in the cost, with their prices', async () => {
      const solved = { state: 'solved', origin: 'made', solution: 'turned from brass', price: 0.8 };
      await change(solved);
      expect((await cost('sg-04')).lines.at(-1)).deep.include({ group: 'parts', cost: 0.8, isWaste: false });
      await change({ price: null });
      expect(await cost('sg-04')).deep.include({ withoutPrice: 1 });
      await bench.http.get('/api/jobs/nobody/cost').expect(404);
      const { text } = await bench.http.get('/api/jobs/sg-04/cost.csv').expect(200);
      expect(text.split('\r\n')[0]).equal('from,what,amount,unit,cost,without_price,usual_price,wasted');
    });
  });
});
