import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ColourView, JobView, PotLog, ShelfView } from '@sardonyx/contract';
import {
  computeDe00,
  fitCamera,
  findCard,
  mayBeMixed,
  replayMix,
  sampleColour,
  type ColourCapture,
  type JobRecord,
  type Mix,
  type MixStep,
} from '@sardonyx/core';
import sharp from 'sharp';
import type { ColourTruth } from '../src/demo/colourPhoto.ts';
import { TRUTH_FOLDER } from '../src/demo/truth.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { BLUE, CAPTURE, MIX, PATCH, WHITE, WHO } from './support/colourRequests.ts';

describe('colours over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());
  const post = (path: string, body: object, status = 201) => bench.http.post(`/api/${path}`).send(body).expect(status);
  const colours = (job = 'sg-03') => bench.get<ColourView>(`jobs/${job}/colour`);
  const leftOf = async (id: string) =>
    (await bench.get<ShelfView>('shelf')).pots
      .filter((pot) => pot.productId === id)
      .reduce((sum, pot) => sum + pot.leftMl, 0);
  const begin = async () => ((await post('mixes', MIX)).body as Mix).id;
  const pour = (mix: string, productId: string, ml: number, status = 201) =>
    post(`mixes/${mix}/pours`, { productId, ml, source: 'scales', who: WHO }, status);

  it('keep a capture with its part for good', async () => {
    const made = (await post('captures', CAPTURE)).body as ColourCapture;
    expect((await colours()).captures).deep.equal([made]);
    expect(made.takenAt).equal('2026-11-25T18:30:00.000Z');
    await bench.http.delete(`/api/captures/${made.id}`).expect(404);
    const gone = bench.room.source.query("DELETE FROM specimen_part WHERE id = 'sg-03-1.body'");
    expect(await gone.then(() => 'gone', String)).include('FOREIGN KEY');
    await bench.http.patch(`/api/captures/${made.id}`).send({ version: 1, note: 'x' }).expect(404);
  });

  it('refuse captures that cannot be, and say where', async () => {
    for (const [wrong, field] of [
      [{ ...CAPTURE, lab: [41, -3] }, 'lab'],
      [{ ...CAPTURE, spectrum: [0.5] }, 'spectrum'],
      [{ ...CAPTURE, place: 'somewhere' }, 'place'],
      [{ ...CAPTURE, who: '' }, 'who'],
      [{ ...CAPTURE, mood: 'good' }, 'mood'],
    ] as const) {
      const { body } = await post('captures', wrong, 400);
      expect(JSON.stringify(body)).include(field);
    }
    await post('captures', { ...CAPTURE, specimenPartId: 'nobody' }, 404);
    await post('captures', { ...CAPTURE, photoId: 'none' }, 404);
    await post('captures', { ...CAPTURE, specimenPartId: 'donor-trolley.body' }, 422);
    await post('captures', { ...CAPTURE, specimenPartId: 'sg-00-1.body' }, 422);
    expect((await colours()).captures).deep.equal([]);
  });

  it('take from the pot what is poured, and put it back when the pour was mislogged', async () => {
    const before = await leftOf(WHITE);
    const mix = await begin();
    const step = (await pour(mix, WHITE, 1.25)).body as MixStep;
    expect(await leftOf(WHITE)).closeTo(before - 1.25, 1e-9);
    await post(`mixes/${mix}/undo`, { stepId: step.id, who: WHO });
    expect(await leftOf(WHITE)).closeTo(before, 1e-9);
    const [view] = (await colours()).mixes;
    expect(view!.steps).lengthOf(2);
    expect(replayMix(view!.steps).totalMl).equal(0);
    await post(`mixes/${mix}/undo`, { stepId: step.id, who: WHO }, 422);
    await post(`mixes/${mix}/undo`, { stepId: view!.steps[1]!.id, who: WHO }, 422);
  });

  it('refuse what cannot have been poured: more than there is, another binder, metal flakes', async () => {
    const mix = await begin();
    const { body } = await pour(mix, WHITE, 150, 422);
    expect((body as { message: string }).message).match(/ml left by the record/);
    await pour(mix, WHITE, 1);
    expect(((await pour(mix, 'paint-quay-ivory', 0.1, 422)).body as { code: string }).code).equal('binder');
    expect(((await pour(mix, 'paint-pike-sable-gunmetal', 0.1, 422)).body as { code: string }).code).equal('outside');
    await post(`mixes/${mix}/pours`, { productId: WHITE, ml: -1, source: 'scales', who: WHO }, 400);
    expect((await colours()).mixes[0]!.steps).lengthOf(1);
  });

  it('take what one pot has not from the next one: what is open first; put back, each has its own again', async () => {
    const mix = await begin();
    const pot = (await bench.get<ShelfView>('shelf')).pots.find((one) => one.productId === BLUE)!;
    const line = { jobId: null, price: null, batch: '', who: WHO, note: '' };
    await post(`paint-pots/${pot.id}/movements`, { ...line, move: 'counted', amount: 0.5 });
    await bench.room.source.query(
      "INSERT INTO paint_pot (id, version, productId, leftMl, openedOn, place) VALUES ('second', 1, ?, 0, NULL, '')",
      [BLUE],
    );
    await post('paint-pots/second/movements', { ...line, move: 'bought', amount: 10, price: 2 });
    const step = (await pour(mix, BLUE, 0.6)).body as MixStep;
    const left = async () => {
      const pots = (await bench.get<ShelfView>('shelf')).pots.filter((one) => one.productId === BLUE);
      return Object.fromEntries(pots.map(({ id, leftMl }) => [id, Number(leftMl.toFixed(6))]));
    };
    expect(await left()).deep.equal({ [pot.id]: 0, second: 9.9 });
    const { pots } = await bench.get<ShelfView>('shelf');
    expect(pots.find(({ id }) => id === 'second')!.openedOn, 'opened by what was taken').match(/^\d{4}-/);
    await post(`mixes/${mix}/undo`, { stepId: step.id, who: WHO });
    expect(await left()).deep.equal({ [pot.id]: 0.5, second: 10 });
    const log = await bench.get<PotLog>('paint-pots/second/movements');
    expect(log.map(({ move, amount, jobId, actId }) => [move, Number(amount.toFixed(6)), jobId, actId])).deep.equal([
      ['bought', 10, null, null],
      ['taken', 0.1, 'sg-03', step.id],
      ['put back', 0.1, 'sg-03', step.id],
    ]);
  });

  it('hold so many pots and no more; what is in already may be poured again', async () => {
    const { products, pots } = await bench.get<ShelfView>('shelf');
    const has = (id: string) => pots.some((pot) => pot.productId === id && pot.leftMl > 0.2);
    const own = products.filter((one) => mayBeMixed(one) && one.line === 'Marlstone' && has(one.id));
    const mix = await begin();
    let refusedAt = 0;
    for (const [i, { id }] of own.entries()) {
      const { status, body } = await bench.http
        .post(`/api/mixes/${mix}/pours`)
        .send({ productId: id, ml: 0.1, source: 'scales', who: WHO });
      if (status === 422 && (body as { code: string }).code === 'too-many') {
        refusedAt = i;
        break;
      }
      expect(status, JSON.stringify(body)).equal(201);
    }
    expect(refusedAt).equal(8);
    await pour(mix, own[0]!.id, 0.1);
  });

  it('have no patch of an empty cup, and no pot of what has not dried', async () => {
    const mix = await begin();
    await post(`mixes/${mix}/patches`, PATCH, 422);
    await pour(mix, WHITE, 1);
    const keep = { name: 'Slate', place: 'Jar', areaId: null, who: WHO };
    expect(((await post(`mixes/${mix}/keep`, keep, 422)).body as { code: string }).code).equal('no-patch');
    await post(`mixes/${mix}/patches`, PATCH);
    await pour(mix, BLUE, 0.1);
    await post(`mixes/${mix}/keep`, keep, 422);
  });

  it('make a pot with its recipe of a finished mix, and plan it on the part', async () => {
    const mix = await begin();
    await pour(mix, WHITE, 1.5);
    await pour(mix, BLUE, 0.5);
    await post(`mixes/${mix}/wet`, {
      ...{ lab: [62, -5, -25], sd: [0.3, 0.3, 0.3], how: 'spectrophotometer', words: null, who: WHO },
    });
    await post(`mixes/${mix}/patches`, PATCH);
    const view = await bench.get<JobView>('jobs/sg-03');
    const { areas, parts } = view.specimens[0]!;
    const body = parts.find((part) => part.key === 'body')!;
    const area = areas.find((one) => one.specimenPartId === body.id && one.kind === 'outside')!;
    await post(`mixes/${mix}/keep`, { name: 'Library slate', place: 'Jar 4', areaId: area.id, who: WHO }, 200);
    const shelf = await bench.get<ShelfView>('shelf');
    const product = shelf.products.find((one) => one.name === 'Library slate')!;
    expect(product).deep.include({ line: 'Mixed here', binder: 'enamel', gloss: 'gloss' });
    expect(product.recipe!.map((one) => [one.productId, one.ml])).deep.equal([
      [WHITE, 1.5],
      [BLUE, 0.5],
    ]);
    expect(product.optics!.basis).equal('mixed here');
    expect(shelf.pots.find((pot) => pot.productId === product.id)).deep.include({ leftMl: 2, place: 'Jar 4' });
    expect(shelf.dried).deep.include({ line: 'Marlstone', wet: [62, -5, -25], dry: [60, -5, -25] });
    const after = await bench.get<JobView>('jobs/sg-03');
    const planned = after.specimens[0]!.layers.filter((layer) => layer.areaId === area.id && layer.stage === 'planned');
    expect(planned.map((layer) => layer.kind)).deep.equal(['primer', 'colour']);
    expect(planned[1]!.productId).equal(product.id);
    await pour(mix, WHITE, 0.1, 422);
    await post(`mixes/${mix}/give-up`, {}, 422);
  });

  it('stand at the gate of stripping: a colour is kept, or it is said why not', async () => {
    const { tasks } = await bench.get<JobView>('jobs/sg-04');
    const act = (id: string, body: object, status: number) =>
      bench.http
        .post(`/api/tasks/${encodeURIComponent(id)}/acts`)
        .send({ act: 'done', who: WHO, note: '', ...body })
        .expect(status);
    const task = tasks.find((one) => one.tags.includes('capture colour'))!;
    const before = task.after.map((link) => tasks.find((one) => one.key === link.key)!);
    for (const one of before) await act(one.id, {}, 200);
    const { body } = await act(task.id, {}, 422);
    expect(body).deep.include({ code: 'no-colour' });
    await act(task.id, { goAheadBecause: 'Flakes kept in a bag.' }, 200);
    const { log } = await bench.get<JobView>('jobs/sg-04');
    expect(log.map((entry) => entry.note)).include('no colour kept: Flakes kept in a bag.');
    const again = await bench.get<JobView>('jobs/sg-03');
    const other = again.tasks.find((one) => one.tags.includes('capture colour'))!;
    if (other.state === 'to do') {
      await post('captures', CAPTURE);
      for (const link of other.after) {
        const first = again.tasks.find((one) => one.key === link.key && one.specimenId === other.specimenId)!;
        if (first.state === 'to do') await act(first.id, {}, 200);
      }
      await act(other.id, {}, 200);
    }
  });

  it('go into the record of the job', async () => {
    await post('captures', CAPTURE);
    const { colours, mixes } = await bench.get<JobRecord>('jobs/sg-03/record.json');
    expect(colours).deep.equal([
      {
        ...{ part: 'Body', place: 'sheltered', note: 'behind the flap', lab: [41, -3, -14], sd: [0.5, 0.6, 0.6] },
        ...{ geometry: 'gloss left out', method: 'typed', takenAt: '2026-11-25T18:30:00.000Z', who: WHO },
        ...{ spectrum: null, point: null, photo: null },
      },
    ]);
    expect(mixes).deep.equal([]);
    const trolley = await bench.get<JobRecord>('jobs/sg-07/record.json');
    expect(trolley.mixes[0]).deep.include({ name: 'Trolley slate, first try', patches: 2 });
    expect(trolley.mixes[0]!.keptAs).include('Trolley slate, first try');
    expect(trolley.mixes[0]!.lastDe00).lessThan(0.01);
  });

  it('teach how an eye differs from the instrument, and stand in the record as far off as the page says', async () => {
    const mix = await begin();
    await pour(mix, WHITE, 1.5);
    await pour(mix, BLUE, 0.5);
    const same = { step: 'none', way: 1 } as const;
    const words = [{ step: 'slight', way: 1 }, same, same];
    const [l, a, b] = MIX.target;
    const judged = { ...PATCH, lab: [l! + 1.2, a, b], sd: [0.8, 0.55, 0.55], how: 'by eye', words };
    await post(`mixes/${mix}/patches`, judged);
    expect((await bench.get<ShelfView>('shelf')).eyes).deep.equal({});
    await post(`mixes/${mix}/patches`, { ...PATCH, lab: [l, a, b], sd: [0.2, 0.2, 0.2] });
    const { eyes } = await bench.get<ShelfView>('shelf');
    expect(Object.keys(eyes)).deep.equal([WHO]);
    expect(eyes[WHO]!.pairs).equal(1);
    // It looked lighter to this eye than it was.
    expect(eyes[WHO]!.bias[0]).greaterThan(0);
    // Two patches of one mix: the finer one counts more, and both count.
    const { mixes } = await bench.get<JobRecord>('jobs/sg-03/record.json');
    const seen = 1.2 / 0.8 ** 2 / (1 / 0.8 ** 2 + 1 / 0.2 ** 2);
    expect(mixes.at(-1)!.lastDe00).within(0.5 * seen, 1.2 * seen);
  });

  it('have a name of their own on the shelf', async () => {
    const keep = { name: 'Trolley slate, first try', place: '', areaId: null, who: WHO };
    const mix = await begin();
    await pour(mix, WHITE, 1);
    await post(`mixes/${mix}/patches`, PATCH);
    expect(((await post(`mixes/${mix}/keep`, keep, 422)).body as { code: string }).code).equal('double');
    await post(`mixes/${mix}/keep`, { ...keep, name: 'Trolley slate, second try' }, 200);
  });

  it('let a mix be given up; its log and what it took stay', async () => {
    const before = await leftOf(WHITE);
    const mix = await begin();
    await pour(mix, WHITE, 1);
    await post(`mixes/${mix}/give-up`, {}, 200);
    const [view] = (await colours()).mixes;
    expect(view).deep.include({ productId: null, endedAt: '2026-11-25T18:30:00.000Z' });
    expect(await leftOf(WHITE)).closeTo(before - 1, 1e-9);
  });

  it('refuse a recipe of six paints, and a need of nothing', async () => {
    const line = MIX.recipe[0]!;
    await post('mixes', { ...MIX, recipe: Array.from({ length: 6 }, () => line) }, 400);
    await post('mixes', { ...MIX, needMl: 0 }, 400);
    await post('mixes', { ...MIX, jobId: 'sg-00' }, 422);
  });
});

describe('the photograph with the colour card', () => {
  it('gives both places within 1.5, from the stored JPEG', async function () {
    this.timeout(60_000);
    const bench = await createTestBench();
    for (const job of ['sg-03', 'sg-09']) {
      const { photos } = await bench.get<JobView>(`jobs/${job}`);
      const photo = photos.find((one) => one.id === `${job}.colour`)!;
      const truth = JSON.parse(
        await readFile(join(bench.room.folder, TRUTH_FOLDER, `${job}.colour.json`), 'utf8'),
      ) as ColourTruth;
      const file = (await bench.http.get(`/api/photos/${photo.hash}/full`).expect(200)).body as Buffer;
      const { data, info } = await sharp(file).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
      const picture = { width: info.width, height: info.height, data };
      const fit = fitCamera(picture, findCard(picture));
      for (const { at, lab } of [truth.sheltered, truth.exposed]) {
        const sample = sampleColour(picture, fit, at, 14);
        expect(computeDe00(lab, sample.lab)).lessThan(1.5);
      }
    }
    await bench.clear();
  });
});

describe('two restorers at one pot', () => {
  it('cannot take more out of it than it holds, however close together they pour', async () => {
    const bench = await createTestBench();
    const pot = 'paint-marlstone-sand';
    const { pots } = await bench.get<ShelfView>('shelf');
    const held = pots.find((one) => one.productId === pot)!.leftMl;
    const line = { productId: pot, name: 'Marlstone Sand', ml: 2 };
    const mixes = await Promise.all(
      [1, 2, 3].map(
        async () => ((await bench.http.post('/api/mixes').send({ ...MIX, recipe: [line] })).body as Mix).id,
      ),
    );
    const answers = await Promise.all(
      mixes.map((id) =>
        bench.http.post(`/api/mixes/${id}/pours`).send({ productId: pot, ml: 0.6 * held, source: 'typed', who: WHO }),
      ),
    );
    expect(answers.map((one) => one.status).sort()).deep.equal([201, 422, 422]);
    const after = await bench.get<ShelfView>('shelf');
    expect(after.pots.find((one) => one.productId === pot)!.leftMl).closeTo(0.4 * held, 1e-9);
    await bench.clear();
  });
});
