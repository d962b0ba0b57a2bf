import type { ErrorBody, JobView, OrdersView } from '@sardonyx/contract';
import type { Want } from '@sardonyx/core';
import { expect } from 'chai';
import { CastingPartRow } from '../src/entities/catalogue.ts';
import { FindingRow, SpecimenPartRow } from '../src/entities/workpiece.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('donors', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const donors = async () => (await bench.get<OrdersView>('orders')).donors;
  const job = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const take = (wantId: string, partId: string) =>
    bench.http.post(`/api/wants/${wantId}/donor`).send({ partId, who: 'Imke Varga' });
  const lose = async (partId: string) => {
    const part = await bench.room.source.manager.findOneByOrFail(SpecimenPartRow, { id: partId });
    await bench.http
      .patch(`/api/specimen-parts/${partId}`)
      .send({ version: part.version, state: 'missing' })
      .expect(200);
    return `${partId}.want`;
  };

  it('tell what is wanted of them that none has', async () => {
    const { offers, unmet } = await donors();
    expect(offers).deep.equal([]);
    expect(unmet.map(({ jobNumber, what }) => `${jobNumber} ${what}`)).deep.equal([
      ...['SG-01 a crate rack', 'SG-04 tyres', 'SG-05 a base with the framed name'],
    ]);
  });

  it('give the same part of the same casting, with its history; the want stays with the model and says where from', async () => {
    const { manager } = bench.room.source;
    await manager.insert(FindingRow, {
      ...{ id: 'worn-rim', version: 1, specimenPartId: 'donor-trolley.wheels', kind: 'chips', severity: 1 },
      ...{ note: 'One rim.', feature: '', carriesLoad: null, mend: null, pinnedTo: null, pinX: null, pinY: null },
      ...{ measuredValue: null, measuredUnit: null },
    });
    const wantId = await lose('sg-07-2.wheels');
    const { offers } = await donors();
    expect(offers).length(1);
    expect(offers[0]).deep.include({ wantId, why: 'same part', jobNumber: 'SG-07' });
    expect(offers[0]!.part).deep.include({ id: 'donor-trolley.wheels', donor: 'Scrap trolley' });
    const wrong = await take(wantId, 'donor-trolley.axles').expect(422);
    expect((wrong.body as ErrorBody).code).equal('no-match');
    expect((await take(wantId, 'donor-trolley.wheels').expect(201)).body as Want).deep.include({
      ...{ state: 'solved', origin: 'donor', solution: 'from Scrap trolley' },
    });
    const view = await job('sg-07');
    const model = view.specimens.find(({ specimen }) => specimen.id === 'sg-07-2')!;
    const wheels = model.parts.find(({ key }) => key === 'wheels')!;
    expect(wheels).deep.include({ id: 'donor-trolley.wheels', origin: 'donor', originNote: 'from Scrap trolley' });
    expect(model.findings.some(({ id }) => id === 'worn-rim')).equal(true);
    expect(model.wants.map(({ id }) => id)).include(wantId);
    expect((await take(wantId, 'donor-trolley.wheels').expect(422)).body).deep.include({ code: 'no-match' });
    expect((await donors()).offers).deep.equal([]);
  });

  it('give what measures the same to another casting: it takes the place of the missing one and is gone from the donor', async () => {
    const { manager } = bench.room.source;
    const sizes = { diameter: 12, bore: 8.6 };
    for (const castingId of ['clay-dumper', 'baggage-trolley'])
      await manager.update(CastingPartRow, { castingId, role: 'tyre' }, { sizes });
    const wantId = 'sg-04-1.tyres.want';
    const [offer] = (await donors()).offers;
    if (!offer) {
      // The trolley runs on bare wheels: its donor is given tyres of a size.
      await manager.insert(CastingPartRow, {
        ...(await manager.findOneByOrFail(CastingPartRow, { castingId: 'clay-dumper', key: 'tyres' })),
        ...{ id: 'trolley-tyres', castingId: 'baggage-trolley', sizes },
      });
      const like = await manager.findOneByOrFail(SpecimenPartRow, { id: 'donor-trolley.axles' });
      await manager.insert(SpecimenPartRow, {
        ...{ ...like, id: 'donor-trolley.tyres', key: 'tyres', name: 'Tyres', role: 'tyre', state: 'worn' },
      });
    }
    const [found] = (await donors()).offers;
    expect(found).deep.include({ wantId, why: 'same size' });
    expect((await take(wantId, found!.part.id).expect(201)).body as Want).deep.include({ state: 'solved' });
    const [model] = (await job('sg-04')).specimens;
    expect(model!.parts.find(({ key }) => key === 'tyres')).deep.include({
      ...{ state: 'worn', origin: 'donor', originNote: 'from Scrap trolley' },
    });
    expect((await manager.findOneByOrFail(SpecimenPartRow, { id: found!.part.id })).state).equal('missing');
    expect((await donors()).unmet.some((want) => want.wantId === wantId)).equal(false);
  });

  it('refuse what nobody knows, and a job that is signed off', async () => {
    await take('nobody', 'donor-trolley.axles').expect(404);
    await take('sg-01-1.want-1', 'nobody').expect(404);
    await bench.http.post('/api/wants/sg-01-1.want-1/donor').send({ partId: 'x' }).expect(400);
  });
});
