import type { ErrorBody, JobView, SizeElsewhere, SpecimenView } from '@sardonyx/contract';
import {
  convertProductToLayer,
  type Area,
  type CoatingLayer,
  type CoatTouch,
  type ColourNeed,
  type RoomLogEntry,
} from '@sardonyx/core';
import { expect } from 'chai';
import { PaintProductRow } from '../src/entities/paint.ts';
import { CoatingLayerRow } from '../src/entities/workpiece.ts';
import { BLANK_LAYER } from '../src/modules/coats/blankRows.ts';
import { forget } from '../src/workroom.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const who = 'Imke Varga';

describe('coats that dry', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const post = (path: string, body: object = {}) => bench.http.post(`/api/${path}`).send(body);
  const trolley = async (): Promise<SpecimenView> => (await bench.get<JobView>('jobs/sg-07')).specimens[1]!;
  const areaOf = async (part: string): Promise<Area> =>
    (await trolley()).areas.find((one) => one.specimenPartId === `sg-07-2.${part}` && one.kind === 'outside')!;
  const onArea = async (part: string): Promise<CoatingLayer[]> => {
    const { id } = await areaOf(part);
    return (await trolley()).layers.filter((layer) => layer.areaId === id && layer.stage === 'applied');
  };
  const logCoat = async (part: string, productId: string, changes: object = {}) =>
    post('coats', {
      ...{ areaId: (await areaOf(part)).id, productId, tempC: 19, who, note: '' },
      appliedAt: bench.room.now().toISOString(),
      ...changes,
    });
  const opens = async (layerId: string): Promise<number> =>
    (await trolley()).film.find((coat) => coat.layerId === layerId)!.spans.recoat.at(-1)!.from;

  it('take the next one in their windows only: refused in the gap with the time from which it may', async () => {
    const white = 'paint-marlstone-bright-white';
    const gap = (await (await logCoat('base', white)).body) as ErrorBody & { from: string };
    expect(gap.code).equal('in-gap');
    expect(gap.fields!.appliedAt).include('lifts under another coat now');
    const wait = (Date.parse(gap.from) - bench.room.now().getTime()) / 60_000;
    expect(wait).greaterThan(60 * 20);
    bench.pass(wait - 5);
    expect(((await logCoat('base', white)).body as ErrorBody).code).equal('in-gap');
    bench.pass(6);
    const { status, body } = await logCoat('base', white);
    expect([status, (body as CoatingLayer).seq]).deep.equal([201, 3]);
    const { tasks } = await bench.get<JobView>('jobs/sg-07');
    expect(tasks.find(({ id }) => id === 'sg-07-2.colour:base:outside:2')!.state).equal('done');
  });

  it('end a step each: the mist its own, the wet coats one by one', async () => {
    const brown = 'paint-quay-leather-brown';
    const stateOf = async (nth: string) =>
      (await bench.get<JobView>('jobs/sg-07')).tasks.find(({ id }) => id === `sg-07-2.colour:load:outside${nth}`)!
        .state;
    expect((await logCoat('load', brown)).status).equal(201);
    expect([await stateOf(''), await stateOf(':2')]).deep.equal(['done', 'to do']);
    // One mist more is no wet coat.
    bench.pass(120);
    expect((await logCoat('load', brown, { isMist: true })).status).equal(201);
    expect(await stateOf(':2')).equal('to do');
    const mist = (await onArea('load')).at(-1)!;
    expect(mist).deep.include({ isMist: true, thicknessOrigin: 'planning estimate' });
    expect(mist.thicknessUm).lessThan(8);
  });

  it('are touched: still soft waits longer, of all coats of that paint; nonsense is refused', async () => {
    const [, , wet] = await onArea('base');
    const before = await opens(wet!.id);
    const touch = (body: object) =>
      post('coat-touches', { layerId: wet!.id, test: 'recoat', isReady: false, who, ...body });
    const now = bench.room.now().toISOString();
    await touch({ at: '2026-11-25T10:00:00Z' }).expect(400);
    await touch({ at: '2027-01-01T10:00:00Z' }).expect(400);
    await touch({ at: now, test: 'lick' }).expect(400);
    await touch({ at: now, who: '' }).expect(400);
    bench.pass(60 * 30);
    const { body } = await touch({ at: bench.room.now().toISOString() }).expect(201);
    expect((body as CoatTouch).isReady).equal(false);
    expect(await opens(wet!.id)).greaterThan(before + 3_600_000);
    expect((await trolley()).touches.map(({ id }) => id)).deep.equal([(body as CoatTouch).id]);
    // Pressed by mistake, it is taken back, and what it moved with it.
    await bench.http.delete(`/api/coat-touches/${(body as CoatTouch).id}?version=1`).expect(204);
    expect(await opens(wet!.id)).equal(before);
    const { id } = (await bench.get<JobView>('jobs/sg-00')).specimens[0]!.layers.find(
      ({ stage }) => stage === 'applied',
    )!;
    await touch({ layerId: id, at: now }).expect(422);
    await touch({ layerId: 'nobody', at: now }).expect(404);
  });

  it('teach what they teach in other jobs as well, also in one that was looked at before', async () => {
    const other = async () => (await bench.get<JobView>('jobs/sg-09')).specimens[0]!;
    const paint = 'paint-marlstone-bright-white';
    const area = (await other()).areas.find((one) => one.specimenPartId === 'sg-09-1.body' && one.kind === 'outside')!;
    const white = await bench.room.source.manager.findOneByOrFail(PaintProductRow, { id: paint });
    await bench.room.source.manager.insert(CoatingLayerRow, {
      ...{ ...BLANK_LAYER, ...convertProductToLayer(white), id: 'elsewhere', version: 1, areaId: area.id },
      ...{ stage: 'applied', seq: 9, whose: 'restorer', tempC: 19, appliedBy: who },
      appliedAt: new Date(bench.room.now().getTime() - 3_600_000).toISOString(),
    });
    forget(bench.room, 'all');
    const opensThere = async () =>
      (await other()).film.find(({ layerId }) => layerId === 'elsewhere')!.spans.recoat.at(-1)!;
    const before = await opensThere();
    bench.pass(60 * 30);
    const top = (await onArea('base')).at(-1)!;
    const touch = { layerId: top.id, test: 'recoat', isReady: false, at: bench.room.now().toISOString(), who };
    await post('coat-touches', touch).expect(201);
    expect((await opensThere()).from).greaterThan(before.from);
  });

  it('are keyed only when their window has shut, and then take the next one', async () => {
    const primer = 'paint-lanthorn-white-primer';
    const { body: shelf } = await bench.http.get('/api/shelf').expect(200);
    const { version } = (shelf as { products: { id: string; version: number }[] }).products.find(
      ({ id }) => id === primer,
    )!;
    const from = (fromMin: number) => [{ fromMin, toMin: null }];
    const spans = {
      ...{ touch: from(15), handle: from(60), mask: from(240), unmask: from(10), decal: from(600) },
      ...{ bake: from(60), wear: from(1440), recoat: [{ fromMin: 30, toMin: 1440 }] },
    };
    const sheet = (changes: object) =>
      bench.http
        .patch(`/api/paint-products/${primer}`)
        .send({ version, drying: { refC: 20, spans: { ...spans, ...changes } } });
    // A window that shuts before it opens, and one that is missing, are none.
    await sheet({ recoat: [{ fromMin: 60, toMin: 30 }] }).expect(400);
    await sheet({ recoat: [] }).expect(400);
    await sheet({}).expect(200);
    const [layer] = await onArea('wheels');
    expect(((await post(`coats/${layer!.id}/key`, { who, isKeyed: true }).expect(422)).body as ErrorBody).code).equal(
      'still-drying',
    );
    bench.pass(120);
    expect(((await post(`coats/${layer!.id}/key`, { who, isKeyed: true }).expect(422)).body as ErrorBody).code).equal(
      'needs-no-key',
    );
    bench.pass(60 * 40);
    await post('tasks/sg-07-2.judge:wheels/acts', { act: 'not needed', who, note: 'seen' }).expect(200);
    await post('tasks/sg-07-2.mix:Quay Tyre black/acts', { act: 'not needed', who, note: 'ready' }).expect(200);
    const black = 'paint-quay-tyre-black';
    expect(((await logCoat('wheels', black, { isMist: true })).body as ErrorBody).code).equal('window-shut');
    const { body: keyed } = await post(`coats/${layer!.id}/key`, { who, isKeyed: true }).expect(200);
    expect((keyed as CoatingLayer).keyedAt).equal(bench.room.now().toISOString());
    await post(`coats/${layer!.id}/key`, { who, isKeyed: false }).expect(200);
    expect(((await logCoat('wheels', black, { isMist: true })).body as ErrorBody).code).equal('window-shut');
    await post(`coats/${layer!.id}/key`, { who, isKeyed: true }).expect(200);
    expect((await logCoat('wheels', black, { isMist: true })).status).equal(201);
    expect(((await post(`coats/${layer!.id}/key`, { who, isKeyed: false }).expect(422)).body as ErrorBody).code).equal(
      'not-outermost',
    );
    const { log } = await bench.get<JobView>('jobs/sg-07');
    expect(log.some(({ note }) => note === 'Keyed, Lanthorn White primer')).equal(true);
  });

  it('dry as the room is: typed, or read off the thermometer', async () => {
    const [, , wet] = await onArea('base');
    const before = await opens(wet!.id);
    await post('room', { tempC: 900, humidity: null }).expect(400);
    await post('room', { tempC: 14, humidity: 101 }).expect(400);
    const { body } = await post('room', { tempC: 12, humidity: null }).expect(201);
    expect(body as RoomLogEntry).deep.include({ tempC: 12, origin: 'typed', at: bench.room.now().toISOString() });
    expect(await opens(wet!.id)).greaterThan(before + 3_600_000);
    bench.pass(1);
    const { body: read } = await post('room/read').expect(201);
    expect((read as RoomLogEntry).origin).equal('simulated');
    expect((await bench.get<JobView>('jobs/sg-07')).room).deep.equal(read);
    await bench.room.source.query("DELETE FROM instrument WHERE kind = 'room thermometer'");
    expect(((await post('room/read').expect(422)).body as ErrorBody).code).equal('no-thermometer');
  });

  it('fail, and are remembered by what lay under them, in every job', async () => {
    const [, , wet] = await onArea('base');
    const reject = (body: object) => post(`coats/${wet!.id}/reject`, { who, because: 'skin like a prune', ...body });
    await reject({ failure: 'exploded' }).expect(400);
    const { photos } = await bench.get<JobView>('jobs/sg-07');
    const photoHash = photos[0]!.hash;
    const unknown = await reject({ failure: 'wrinkled', photoHash: 'a'.repeat(64) }).expect(400);
    expect((unknown.body as ErrorBody).fields).deep.equal({ photoHash: 'Choose a picture of this bench.' });
    await reject({ failure: 'wrinkled', photoHash: '../../secret' }).expect(400);
    await reject({ failure: 'wrinkled', helped: 'a day more', photoHash }).expect(200);
    const { failures } = await bench.get<JobView>('jobs/sg-03');
    expect(failures).length(1);
    expect(failures[0]).deep.include({
      ...{ kind: 'wrinkled', helped: 'a day more', because: 'skin like a prune', jobNumber: 'SG-07' },
      ...{ productName: 'Marlstone Bright white', overName: 'Marlstone Bright white', tempC: 19, photoHash },
    });
  });

  it('lie on areas that people draw, name and take away again', async () => {
    const area = {
      ...{
        specimenPartId: 'sg-07-2.body',
        kind: 'mask',
        name: 'flash',
        crossesSeam: false,
        reliefUm: null,
        size: null,
      },
      outline: {
        view: 'side',
        points: [
          { x: 1, y: 2 },
          { x: 9, y: 2 },
          { x: 9, y: 8 },
        ],
      },
    };
    const { body } = await post('areas', area).expect(201);
    await post('areas', area).expect(422);
    await post('areas', { ...area, name: 'other', outline: { ...area.outline, points: [{ x: 1, y: 2 }] } }).expect(400);
    await post('areas', { ...area, name: 'other', colour: 'red' }).expect(400);
    const { id, version } = body as Area;
    await bench.http.patch(`/api/areas/${id}`).send({ version, reliefUm: 90, crossesSeam: true }).expect(200);
    await bench.http.delete(`/api/areas/${id}?version=2`).expect(204);
    expect(
      ((await bench.http.delete(`/api/areas/${(await areaOf('body')).id}`).expect(422)).body as ErrorBody).code,
    ).equal('own-face');
  });

  it('have faces as areas, each once; what the casting does not have by itself can go again', async () => {
    const face = {
      ...{ specimenPartId: 'sg-07-2.body', kind: 'underside', name: 'underside', crossesSeam: false },
      ...{ reliefUm: null, size: null, outline: null },
    };
    const { id } = (await post('areas', face).expect(201)).body as Area;
    const twin = (await post('areas', { ...face, name: 'below' }).expect(422)).body as ErrorBody;
    expect(twin.code).equal('same-face');
    await bench.http.delete(`/api/areas/${id}?version=1`).expect(204);
  });

  it('are as large as on another model of the casting, where somebody measured that', async () => {
    const own = (await trolley()).areas.find((one) => one.specimenPartId === 'sg-07-2.body' && one.kind === 'outside')!;
    const elsewhere = (id: string) => bench.get<SizeElsewhere[]>(`areas/${id}/elsewhere`);
    expect(await elsewhere(own.id)).deep.equal([]);
    const third = (await bench.get<JobView>('jobs/sg-07')).specimens[2]!;
    const partId = third.parts.find(({ key }) => key === 'body')!.id;
    const twin = third.areas.find((one) => one.specimenPartId === partId && one.kind === 'outside')!;
    const size = { value: 21.5, relativeSd: 0.1, way: 'weighed' };
    await bench.http.patch(`/api/areas/${twin.id}`).send({ version: twin.version, size }).expect(200);
    expect(await elsewhere(own.id)).deep.equal([{ model: 'SG-07', size }]);
    // What was taken over is no measurement: it is not handed on.
    await bench.http
      .patch(`/api/areas/${own.id}`)
      .send({ version: own.version, size: { ...size, way: 'same casting' } })
      .expect(200);
    expect(await elsewhere(twin.id)).deep.equal([]);
    await bench.http.get('/api/areas/nowhere/elsewhere').expect(404);
  });

  it('are logged with batch, thinner and gun, or with nothing; a wrong number is named', async () => {
    const how = { batch: 'M-4', thinnerParts: 1.5, pressureBar: 1.2, nozzleMm: 0.3, humidity: 45 };
    bench.pass(60 * 40);
    const wrong = await logCoat('base', 'paint-marlstone-bright-white', { how: { ...how, nozzleMm: 'fine' } });
    expect((wrong.body as ErrorBody).fields).deep.equal({ 'how.nozzleMm': 'Give the nozzle in mm.' });
    await logCoat('base', 'paint-marlstone-bright-white', { how: { ...how, brush: 4 } }).then(({ status }) =>
      expect(status).equal(400),
    );
    const logged = await logCoat('base', 'paint-marlstone-bright-white', { how });
    expect((logged.body as CoatingLayer).how).deep.equal(how);
    expect((await onArea('base')).at(-1)!.how).deep.equal(how);
    const blank = { batch: '', thinnerParts: null, pressureBar: null, nozzleMm: null, humidity: null };
    bench.pass(60 * 60);
    const more = await logCoat('base', 'paint-marlstone-bright-white', { how: blank, overBecause: 'a deep scratch' });
    expect(more.status, more.text).equal(201);
    expect((more.body as CoatingLayer).how).equal(null);
  });

  it('say for all open jobs which areas still get a colour, and how large those are', async () => {
    const { name } = (await trolley()).specimen;
    const needs = async () =>
      (await bench.get<ColourNeed[]>('colour-needs')).filter(
        ({ jobId, specimenName, partName }) => jobId === 'sg-07' && partName === 'Base' && specimenName === name,
      );
    const all = await bench.get<ColourNeed[]>('colour-needs');
    const roof = all.find(({ jobId, areaName }) => jobId === 'sg-09' && areaName === 'roof')!;
    expect(roof).deep.include({ jobNumber: 'SG-09', partName: 'Body', way: 'airbrush' });
    expect(roof.size!.value).within(1, 40);
    expect(all.every(({ jobNumber }) => jobNumber !== 'SG-10')).equal(true);
    const names = new Set(all.filter(({ jobId }) => jobId === 'sg-07').map((one) => one.specimenName));
    expect(names.size, [...names].join(', ')).greaterThan(1);
    const [base] = await needs();
    expect(base!.coatsLeft).greaterThan(0);
    bench.pass(60 * 40);
    await logCoat('base', 'paint-marlstone-bright-white').then(({ status }) => expect(status).equal(201));
    expect((await needs())[0]!.coatsLeft).equal(base!.coatsLeft - 1);
  });

  it('wait, on the outside, until a field that went on before bears tape', async () => {
    const { specimens } = await bench.get<JobView>('jobs/sg-09');
    const own = specimens[0]!.areas.filter(({ specimenPartId }) => specimenPartId === 'sg-09-1.body');
    const idOf = (kind: Area['kind']) => own.find((area) => area.kind === kind)!.id;
    const on = (areaId: string, productId: string, hoursAgo: number) => {
      const product = bench.room.source.manager.findOneByOrFail(PaintProductRow, { id: productId });
      return product.then((paint) =>
        bench.room.source.manager.insert(CoatingLayerRow, {
          ...{ ...BLANK_LAYER, ...convertProductToLayer(paint), id: `on-${areaId}`, version: 1, areaId },
          ...{ stage: 'applied', seq: 0, whose: 'restorer', tempC: 20, appliedBy: who },
          appliedAt: new Date(bench.room.now().getTime() - hoursAgo * 3_600_000).toISOString(),
        }),
      );
    };
    await bench.http.post('/api/tasks/sg-09-1.strip:body/acts').send({ act: 'not needed', who, note: 'bare' });
    await on(idOf('outside'), 'paint-lanthorn-white-primer', 9);
    await on(idOf('mask'), 'paint-quay-ivory', 0.2);
    const attempt = async () =>
      (
        await post('coats', {
          ...{ areaId: idOf('outside'), productId: 'paint-quay-ice-blue', tempC: 20, who, note: '', isMist: true },
          appliedAt: bench.room.now().toISOString(),
        })
      ).body as ErrorBody & { from: string };
    const early = await attempt();
    expect(early.message).match(/Quay Ivory does not bear tape yet/);
    bench.pass((Date.parse(early.from) - bench.room.now().getTime()) / 60_000 + 1);
    // The steps before it are not done; the coats have nothing to say against it any more.
    expect((await attempt()).message).not.match(/tape/);
  });
});
