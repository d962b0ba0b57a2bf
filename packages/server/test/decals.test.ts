import type { ErrorBody, JobView, OrdersView } from '@sardonyx/contract';
import { judgeIssue, type DecalAct } from '@sardonyx/core';
import { expect } from 'chai';
import { unzipSync } from 'fflate';
import { CoatingLayerRow } from '../src/entities/workpiece.ts';
import { forget } from '../src/workroom.ts';
import { readBinary } from './support/createTestBench.ts';
import { useDecals } from './support/useDecals.ts';

const who = 'Osric Bell';

describe('decals over HTTP', () => {
  const { on, bringBand, view, libraryDecal, plan } = useDecals();

  it('are told what each film can do of them on the colour that they will lie on', async () => {
    const artwork = await bringBand();
    expect((await libraryDecal()).judged).equal(null);
    const row = await plan(artwork.id);
    const decal = await libraryDecal();
    expect(decal).deep.include({ jobNumber: 'SG-03', isPlaced: false, sets: 1, toPrint: 1 });
    expect(decal.plan).deep.equal(row);
    expect(decal.body).not.equal(null);
    // Cream on slate blue shows the blue; solid to its edge, white film does it.
    expect(decal.judged!.white).equal('white');
    const answers = Object.fromEntries(decal.judged!.films.map(({ film, answer }) => [film, answer]));
    expect(answers['clear, office printer']).equal('does not');
    expect(answers['white, office printer']).equal('does');
  });

  it('are told whether they fit: by the drawing, then by what was measured, and what was typed wrongly is refused', async () => {
    const artwork = await bringBand();
    const row = await plan(artwork.id);
    const drawn = await libraryDecal();
    // The waistband of the drawing is 69.6 by 2.4 mm: too low for a band of 6.
    expect(drawn.panel).deep.include({ from: 'drawing' });
    expect(drawn.panel!.width.mm).closeTo(69.7, 0.5);
    expect(drawn.fit!.verdict).equal('does not fit');
    const measure = (panel: object | null, version: number) =>
      on.bench.http.patch(`/api/decal-plans/${row.id}`).send({ version, panel });
    await measure({ widthMm: 57.5, heightMm: 9 }, 1).expect(400);
    await measure({ widthMm: 57.5, heightMm: 9, sdMm: 0.1, marginMm: 0.5, colour: 'red' }, 1).expect(400);
    await measure({ widthMm: -3, heightMm: 9, sdMm: 0.1, marginMm: 0.5 }, 1).expect(400);
    await measure({ widthMm: 57.5, heightMm: 9, sdMm: 0.1, marginMm: 0.5 }, 1).expect(200);
    const measured = await libraryDecal();
    expect(measured.panel).deep.equal({
      width: { mm: 57.5, sd: 0.1 },
      height: { mm: 9, sd: 0.1 },
      from: 'measured',
      marginMm: 0.5,
      // It lies where the drawing has it, however large it is.
      middle: drawn.panel!.middle,
    });
    expect(drawn.panel!.middle!.view).equal('side');
    expect(measured.fit!.tooWide).closeTo(1.5, 1e-9);
    const { largestScale } = measured.fit!;
    await on.bench.http
      .post(`/api/artworks/${artwork.id}/size`)
      .send({ widthMm: 58 * largestScale! })
      .expect(200);
    expect((await libraryDecal()).fit!.verdict).equal('fits');
    // In a band that it fills no margin is wanted: the other answer.
    await measure({ widthMm: 60, heightMm: 6, sdMm: 0.1, marginMm: 0.5 }, 2).expect(200);
    expect((await libraryDecal()).fit!.tooHigh).above(0);
    await measure({ widthMm: 60, heightMm: 6, sdMm: 0.1, marginMm: 0 }, 3).expect(200);
    expect((await libraryDecal()).fit!.tooHigh).equal(0);
    await measure(null, 4).expect(200);
    expect((await libraryDecal()).panel!.from).equal('drawing');
  });

  it('lie on the colour that is on, also where another was planned afterwards', async () => {
    const artwork = await bringBand();
    await plan(artwork.id);
    const before = (await libraryDecal()).body!;
    const { specimens } = await on.bench.get<JobView>('jobs/sg-03');
    const [{ layers, areas }] = specimens as [JobView['specimens'][number]];
    // The flap is to have the same colour.
    const ofBody = areas.filter(({ specimenPartId }) => specimenPartId === 'sg-03-1.body').map(({ id }) => id);
    const planned = layers.find(
      ({ name, stage, areaId }) => stage === 'planned' && name === before.name && ofBody.includes(areaId),
    )!;
    // Sprayed in another colour than is planned by now: as a log line, past the gates of the plan.
    const { manager } = on.bench.room.source;
    const coat = await manager.findOneByOrFail(CoatingLayerRow, { id: planned.id });
    await manager.insert(CoatingLayerRow, {
      ...{ ...coat, id: 'sprayed', stage: 'applied', seq: 90, name: 'Marlstone Signal red', colourHex: '#b01020' },
      ...{ productId: null, appliedAt: '2026-11-25T10:00:00Z', appliedBy: 'Nell' },
    });
    forget(on.bench.room, 'all');
    expect((await libraryDecal()).body).deep.equal({ name: 'Marlstone Signal red', hex: '#b01020' });
  });

  it('are no set out of a drawer once their artwork is known', async () => {
    const sets = async () =>
      (await on.bench.get<JobView>('jobs/sg-03')).supplies.filter(({ what }) => what === 'decal set').length;
    expect(await sets()).equal(1);
    const { id, version } = await plan((await bringBand()).id);
    expect(await sets()).equal(0);
    await on.bench.http.patch(`/api/decal-plans/${id}`).send({ version, artworkId: null }).expect(200);
    expect(await sets()).equal(1);
  });

  it('are one plan a decal, of what is planned and there', async () => {
    const artwork = await bringBand();
    const row = await plan(artwork.id);
    const { layerId } = await libraryDecal();
    await on.bench.http
      .post('/api/decal-plans')
      .send({ layerId, artworkId: 'none', copies: 1, panel: null })
      .expect(404);
    await on.bench.http
      .post('/api/decal-plans')
      .send({ layerId: 'none', artworkId: null, copies: 1, panel: null })
      .expect(404);
    await on.bench.http
      .post('/api/decal-plans')
      .send({ layerId, artworkId: null, copies: 1, panel: null, colour: 1 })
      .expect(400);
    await on.bench.http.patch(`/api/decal-plans/${row.id}`).send({ version: row.version, copies: 0 }).expect(400);
    const { body } = await on.bench.http.delete(`/api/artworks/${artwork.id}?version=1`);
    expect((body as ErrorBody).message).match(/planned once/);
    const found = (await on.bench.get<JobView>('jobs/sg-03')).specimens[0]!.layers.find(
      ({ stage }) => stage === 'found',
    )!;
    await on.bench.http
      .post('/api/decal-plans')
      .send({ layerId: found.id, artworkId: null, copies: 1, panel: null })
      .expect(422);
  });

  it('tell their steps, learn from what happened to them, and take the spare when one is lost', async () => {
    const artwork = await bringBand();
    expect((await libraryDecal()).placing).equal(null);
    await plan(artwork.id, 2);
    const { layerId } = await libraryDecal();
    const piece = { layerId, artworkId: artwork.id, x: 0, y: 0, turn: 0 };
    const body = {
      paper: 'A6',
      film: 'white, office printer',
      continuesId: null,
      pieces: [piece, { ...piece, y: 20 }],
      who,
    };
    await on.bench.http.post('/api/decal-sheets').send(body).expect(201);
    const fresh = await libraryDecal();
    expect([fresh.inHand, fresh.toPrint]).deep.equal([2, 0]);
    expect(fresh.placing!.soak).deep.include({ seconds: 30, learnedFrom: 0 });
    expect(fresh.placing!.fold).deep.include({ placed: 0 });
    expect(fresh.turn, 'the flap is open').deep.equal({ nth: 1, because: 'seam is open' });
    on.bench.pass(365 * 24 * 60);
    expect((await libraryDecal()).placing!.soak.seconds).closeTo(38, 0.01);
    const log = (act: object, status = 201) =>
      on.bench.http
        .post(`/api/decals/${layerId}/acts`)
        .send({ act: 'slid', trouble: null, soakS: null, ofId: null, who, note: '', ...act })
        .expect(status);
    const slid = (await log({ soakS: 52 })).body as DecalAct;
    expect(slid).deep.include({ film: 'white, office printer', soakS: 52 });
    expect(slid.ageDays).closeTo(365, 0.01);
    await log({ act: 'trouble', trouble: 'folded' });
    await log({ act: 'lost' });
    const after = await libraryDecal();
    expect([after.inHand, after.toPrint, after.acts.length]).deep.equal([1, 1, 3]);
    expect(after.placing!.soak).deep.include({ learnedFrom: 1 });
    expect(after.placing!.soak.seconds).closeTo(38 + (52 - 38) / 3, 0.01);
    expect(after.placing!.fold.placed).equal(1);
    expect(after.placing!.fold.chance).above(fresh.placing!.fold.chance);
    const lost = after.acts.at(-1)!;
    await log({ act: 'taken back', ofId: 'nothing' }, 422);
    await log({ act: 'slid', ofId: lost.id }, 422);
    await log({ act: 'taken back', ofId: lost.id });
    await log({ act: 'taken back', ofId: lost.id }, 422);
    const back = await libraryDecal();
    expect([back.inHand, back.toPrint, back.acts.length]).deep.equal([2, 0, 2]);
    await log({ act: 'trouble' }, 422);
    await log({ act: 'lost', soakS: 30 }, 422);
    await log({ soakS: 0 }, 400);
    await log({ act: 'melted' }, 400);
    await log({ who: '' }, 400);
    await on.bench.http
      .post('/api/decals/nothing/acts')
      .send({ act: 'lost', trouble: null, soakS: null, ofId: null, who, note: '' })
      .expect(404);
  });

  it('are wanted of a supplier, ordered, come and are rated; what is tied to a want that is there makes no second one', async () => {
    const artwork = await bringBand();
    const { layerId } = await plan(artwork.id, 2);
    const wants = async () => (await on.bench.get<JobView>('jobs/sg-03')).specimens[0]!.wants;
    const before = (await wants()).length;
    const order = (body: object) => on.bench.http.post(`/api/decals/${layerId}/orders`).send(body);
    await on.bench.http.get('/api/decal-orders/order.zip').expect(422);
    await order({ count: 0, wantId: null }).expect(400);
    await order({ count: 2, wantId: 'sg-03-1.step.want' }).expect(404);
    await order({ count: 4, wantId: 'sg-03-1.want-1' }).expect(422);
    const [known] = (await libraryDecal()).freeWants;
    expect(known!.what).equal('a waistband decal, two sets');
    await order({ count: 4, wantId: known!.id }).expect(201);
    expect((await wants()).length).equal(before);
    expect(await libraryDecal()).deep.include({ coming: 4, inHand: 0, toPrint: 0, freeWants: [] });
    await order({ count: 4, wantId: known!.id }).expect(422);

    await order({ count: 1, wantId: null }).expect(201);
    const own = (await wants()).find(({ what }) => what.startsWith('Waistband: 1 pieces'))!;
    expect(own).deep.include({ kind: 'decal', state: 'open', getBy: 'buy' });
    const zip = await on.bench.http.get('/api/decal-orders/order.zip').buffer(true).parse(readBinary).expect(200);
    const files = unzipSync(new Uint8Array(zip.body as Buffer));
    expect(Object.keys(files).sort()).deep.equal(['1 Waistband.svg', '2 Waistband.svg', 'order.txt']);
    expect(new TextDecoder().decode(files['order.txt'])).match(/In all: 5 pieces/);

    const line = { thingId: null, serves: null, pot: null, toolKind: null, price: 6, what: own.what, unit: 'pieces' };
    const sent = await on.bench.http
      .post('/api/orders')
      .send({
        ...{ supplierId: 'tamsel', orderedOn: '2026-11-25', promisedOn: '2026-12-05', note: '' },
        lines: [{ ...line, amount: 1, wantId: own.id, jobId: 'sg-03' }],
      })
      .expect(201);
    const ordered = (await view()).orders.find(({ wantId }) => wantId === own.id)!;
    expect(ordered).deep.include({ state: 'ordered', promisedOn: '2026-12-05' });
    const rate = (version: number) =>
      on.bench.http.patch(`/api/decal-orders/${ordered.id}`).send({
        ...{ version },
        rating: { isSharp: true, isInRegister: false, isWhiteDense: null, releasesWell: null, note: '' },
      });
    expect(((await rate(1).expect(422)).body as ErrorBody).message).match(/not here yet/);
    const { lines } = sent.body as { lines?: { id: string }[] };
    const lineId =
      lines?.[0]?.id ??
      (await on.bench.get<OrdersView>('orders')).open
        .flatMap((one) => one.lines)
        .find(({ wantId }) => wantId === own.id)!.id;
    await on.bench.http
      .post(`/api/order-lines/${lineId}/arrival`)
      .send({ quality: 'as wanted', amount: 1, price: 6, batch: '', who, putInto: null })
      .expect((answer) => expect(answer.status).lessThan(300));
    expect(await libraryDecal()).deep.include({ inHand: 1, coming: 4 });
    await rate(1).expect(200);
    const [tamsel] = (await view()).suppliers;
    expect(tamsel).deep.include({ name: 'Tamsel Transfers' });
    expect(tamsel!.rated.isInRegister).deep.include({ share: 0, lines: 1 });
    // A want that is taken away takes its order along.
    const free = (await wants()).find(({ id }) => id === known!.id)!;
    await on.bench.http.delete(`/api/wants/${free.id}`).query({ version: free.version });
    expect(await libraryDecal()).deep.include({ coming: 0 });
  });

  it('belong to the issue that left the works with them, or to another', async () => {
    const { id, version } = await bringBand();
    const { states } = await view();
    const large = states.find(({ id: state }) => state.endsWith('.decal.large'))!;
    await on.bench.http.patch(`/api/artworks/${id}`).send({ version, featureStateId: 'nothing' }).expect(404);
    await on.bench.http.patch(`/api/artworks/${id}`).send({ version, featureStateId: large.id }).expect(200);
    const decal = await libraryDecal();
    const judged = (stateId: string) =>
      judgeIssue(stateId, decal.left, (one) => states.find((state) => state.id === one)?.featureId ?? null);
    expect(judged(large.id)).deep.include({ answer: 'as it left', label: 'Large lettering' });
    const small = states.find(({ id: state }) => state.endsWith('.decal.small') && state !== large.id)!;
    expect(judged(small.id)).deep.include({ answer: 'another issue', label: 'Large lettering' });
    expect(judgeIssue(null, decal.left, () => null)).equal(null);
  });
});
