import type { DecalsView, ErrorBody, JobView, OrdersView } from '@sardonyx/contract';
import { judgeIssue, type DecalAct, type DecalArtwork, type DecalPlan, type DecalSheet } from '@sardonyx/core';
import { expect } from 'chai';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { CoatingLayerRow } from '../src/entities/workpiece.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { readPdfShapes } from './support/readPdfShapes.ts';

const who = 'Osric Bell';
const BAND = `<svg xmlns="http://www.w3.org/2000/svg" width="58mm" height="6mm" viewBox="0 0 58 6">
  <rect width="58" height="6" fill="#e8dfc4"/><rect x="2" y="1" width="10" height="4" fill="#101010"/></svg>`;

describe('decals over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const bring = (text: string, name = 'Waistband.svg') =>
    bench.http.post('/api/artworks').query({ name }).set('content-type', 'image/svg+xml').send(text);
  const bringBand = async () => (await bring(BAND).expect(201)).body as DecalArtwork;
  const view = () => bench.get<DecalsView>('decals');
  const libraryDecal = async () => (await view()).decals.find(({ jobId }) => jobId === 'sg-03')!;
  const plan = async (artworkId: string | null, copies = 1): Promise<DecalPlan> => {
    const { layerId } = await libraryDecal();
    const body = { layerId, artworkId, copies, panel: null };
    return (await bench.http.post('/api/decal-plans').send(body).expect(201)).body as DecalPlan;
  };

  // The demo knows which artwork it is: here nobody said so yet.
  beforeEach(async () => {
    const { id, version } = (await libraryDecal()).plan!;
    await bench.http.delete(`/api/decal-plans/${id}`).query({ version });
  });

  it('take an artwork out of SVG at its true size, and give back nothing but its shapes', async () => {
    const artwork = await bringBand();
    expect(artwork).deep.include({ name: 'Waistband', widthMm: 58, heightMm: 6, sizeFrom: 'units of the file' });
    expect(artwork.inks.map(({ hex }) => hex)).deep.equal(['#e8dfc4', '#101010']);
    const out = await bench.http.get(`/api/artworks/${artwork.id}/file.svg`).buffer(true).parse(readBinary).expect(200);
    expect(out.headers['content-security-policy']).match(/default-src 'none'/);
    expect((out.body as Buffer).toString()).match(/width="58mm" height="6mm"/);
  });

  it('refuse what is hostile, empty or no SVG, with the reason, and keep nothing of it', async () => {
    const before = (await view()).artworks.length;
    const cases: [text: string, words: RegExp][] = [
      ['<svg width="3mm"><script>x</script><rect width="3" height="3"/></svg>', /runs or moves/],
      ['<svg width="3mm"><rect width="3" height="3" onload="x"/></svg>', /answers to an event/],
      ['<!DOCTYPE svg [<!ENTITY a "b">]><svg><rect width="3" height="3"/></svg>', /entities/],
      ['<svg width="3mm"><text>SALTGATE</text></svg>', /Convert the text to paths/],
      ['hello', /no SVG file/],
    ];
    for (const [text, words] of cases) {
      const { body } = await bring(text).expect(400);
      expect((body as ErrorBody).message).match(words);
    }
    await bring('', 'x.svg').expect(400);
    await bench.http.post('/api/artworks').set('content-type', 'image/svg+xml').send(BAND).expect(400);
    expect((await view()).artworks).lengthOf(before);
  });

  it('take an artwork out of PNG of flat colours at the size that is stated, and refuse what is no such picture', async () => {
    const before = (await view()).artworks.length;
    const bringPicture = (bytes: Buffer, query: object) =>
      bench.http
        .post('/api/artworks/pictures')
        .query({ name: 'Sign.png', ...query })
        .set('content-type', 'image/png')
        .send(bytes);
    // Drawn by another program than reads it: 20 by 8 mm at 20 pixels a mm, in the middle of white paper.
    const drawn = (inner: string) =>
      sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="480" height="240">${inner}</svg>`))
        .png()
        .toBuffer();
    const sign = await drawn(
      '<rect width="480" height="240" fill="#fff"/><rect x="40" y="40" width="400" height="160" fill="#e8dfc4"/><circle cx="240" cy="120" r="50" fill="#9c1f22"/>',
    );
    const { body } = await bringPicture(sign, { widthMm: 20, paper: 'white' }).expect(201);
    const artwork = body as DecalArtwork;
    expect(artwork).deep.include({ name: 'Sign', widthMm: 20, sizeFrom: 'typed', drawn: null });
    expect(artwork.heightMm).closeTo(8, 0.03);
    expect(artwork.inks.map(({ hex }) => hex)).deep.equal(['#e8dfc4', '#9c1f22']);
    expect(artwork.inks[1]!.share).closeTo((Math.PI * 2.5 ** 2) / 160, 0.004);
    const refusals: [bytes: Buffer, query: object, words: RegExp][] = [
      [sign, { paper: 'white' }, /How wide/],
      [sign, { widthMm: 'wide', paper: 'white' }, /How wide/],
      [sign, { widthMm: 90, paper: 'white' }, /its steps are seen/],
      [await sharp(sign).jpeg().toBuffer(), { widthMm: 20 }, /no PNG file/],
      [sign.subarray(0, 900), { widthMm: 20 }, /no PNG file/],
      [await drawn(''), { widthMm: 20 }, /Nothing of this picture/],
    ];
    for (const [bytes, query, words] of refusals) {
      const refused = await bringPicture(bytes, query).expect(400);
      expect(JSON.stringify(refused.body)).match(words);
    }
    expect((await view()).artworks).lengthOf(before + 1);
  });

  it('are traced, changed, and never by who read an older one; what no decal has is refused', async () => {
    const corner = (x: number, y: number) => ({ x, y, isBend: false });
    const area = { kind: 'area', ink: '#e8dfc4', strokeMm: 0, points: [corner(1, 1), corner(21, 1), corner(21, 7)] };
    const drawn = (...elements: object[]) => ({ widthMm: 40, heightMm: 20, elements });
    const trace = (body: object) => bench.http.post('/api/artworks/traced').send({ name: 'Flash', of: null, ...body });
    const { id, version } = (await trace({ drawn: drawn(area) }).expect(201)).body as DecalArtwork;
    const read = async () => (await view()).artworks.find((one) => one.id === id)!;
    expect(await read()).deep.include({ widthMm: 20, heightMm: 6, sizeFrom: 'traced', drawn: drawn(area) });
    const text = { kind: 'text', ink: '#101010', text: 'SALT', x: 3, y: 5, heightMm: 2, widthMm: null, isBold: true };
    await trace({ drawn: drawn(area, text), of: { id, version } }).expect(201);
    expect((await read()).shapes).lengthOf(2);
    await trace({ drawn: drawn(area), of: { id, version } }).expect(409);
    await bench.http.post(`/api/artworks/${id}/size`).send({ widthMm: 10 }).expect(200);
    expect((await read()).drawn!.elements[1]).deep.include({ x: 1.5, heightMm: 1 });
    const refusals: [body: object, words: RegExp][] = [
      [{ drawn: drawn() }, /Nothing is traced/],
      [{ drawn: drawn({ ...area, points: [corner(1, 1)] }) }, /at least three points/],
      [{ drawn: drawn({ ...text, text: 'Ω' }) }, /The font has no/],
      [{ drawn: drawn({ ...area, ink: 'cream' }) }, /#rrggbb/],
      [{ drawn: drawn({ ...area, points: [corner(1, 9999)] }) }, /A length or a place/],
      [{ drawn: drawn({ ...text, heightMm: undefined }) }, /A length or a place/],
      [{ drawn: drawn({ kind: 'picture', ink: '#101010' }) }, /kind/],
      [{ name: '', drawn: drawn(area) }, /name/i],
    ];
    for (const [body, words] of refusals) {
      const refused = await trace(body).expect(400);
      expect(JSON.stringify(refused.body)).match(words);
    }
  });

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
      bench.http.patch(`/api/decal-plans/${row.id}`).send({ version, panel });
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
    await bench.http
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
    const { specimens } = await bench.get<JobView>('jobs/sg-03');
    const [{ layers, areas }] = specimens as [JobView['specimens'][number]];
    // The flap is to have the same colour.
    const ofBody = areas.filter(({ specimenPartId }) => specimenPartId === 'sg-03-1.body').map(({ id }) => id);
    const planned = layers.find(
      ({ name, stage, areaId }) => stage === 'planned' && name === before.name && ofBody.includes(areaId),
    )!;
    // Sprayed in another colour than is planned by now: as a log line, past the gates of the plan.
    const { manager } = bench.room.source;
    const coat = await manager.findOneByOrFail(CoatingLayerRow, { id: planned.id });
    await manager.insert(CoatingLayerRow, {
      ...{ ...coat, id: 'sprayed', stage: 'applied', seq: 90, name: 'Marlstone Signal red', colourHex: '#b01020' },
      ...{ productId: null, appliedAt: '2026-11-25T10:00:00Z', appliedBy: 'Nell' },
    });
    expect((await libraryDecal()).body).deep.equal({ name: 'Marlstone Signal red', hex: '#b01020' });
  });

  it('are no set out of a drawer once their artwork is known', async () => {
    const sets = async () =>
      (await bench.get<JobView>('jobs/sg-03')).supplies.filter(({ what }) => what === 'decal set').length;
    expect(await sets()).equal(1);
    const { id, version } = await plan((await bringBand()).id);
    expect(await sets()).equal(0);
    await bench.http.patch(`/api/decal-plans/${id}`).send({ version, artworkId: null }).expect(200);
    expect(await sets()).equal(1);
  });

  it('are one plan a decal, of what is planned and there', async () => {
    const artwork = await bringBand();
    const row = await plan(artwork.id);
    const { layerId } = await libraryDecal();
    await bench.http.post('/api/decal-plans').send({ layerId, artworkId: 'none', copies: 1, panel: null }).expect(404);
    await bench.http
      .post('/api/decal-plans')
      .send({ layerId: 'none', artworkId: null, copies: 1, panel: null })
      .expect(404);
    await bench.http
      .post('/api/decal-plans')
      .send({ layerId, artworkId: null, copies: 1, panel: null, colour: 1 })
      .expect(400);
    await bench.http.patch(`/api/decal-plans/${row.id}`).send({ version: row.version, copies: 0 }).expect(400);
    const { body } = await bench.http.delete(`/api/artworks/${artwork.id}?version=1`);
    expect((body as ErrorBody).message).match(/planned once/);
    const found = (await bench.get<JobView>('jobs/sg-03')).specimens[0]!.layers.find(({ stage }) => stage === 'found')!;
    await bench.http
      .post('/api/decal-plans')
      .send({ layerId: found.id, artworkId: null, copies: 1, panel: null })
      .expect(422);
  });

  it('get another size, and what was printed at the old one does not count', async () => {
    const artwork = await bringBand();
    await plan(artwork.id);
    const { layerId } = await libraryDecal();
    const piece = { layerId, artworkId: artwork.id, x: 0, y: 0, turn: 0 };
    const body = {
      paper: 'A6',
      film: 'white, office printer',
      continuesId: null,
      pieces: [piece, { ...piece, y: 20 }],
      who,
    };
    await bench.http.post('/api/decal-sheets').send(body).expect(201);
    expect((await libraryDecal()).toPrint).equal(0);
    const sized = await bench.http.post(`/api/artworks/${artwork.id}/size`).send({ widthMm: 56.4 }).expect(200);
    expect(sized.body).deep.include({ widthMm: 56.4, sizeFrom: 'typed', version: 2 });
    expect((sized.body as DecalArtwork).heightMm).closeTo((6 * 56.4) / 58, 1e-9);
    expect((await libraryDecal()).toPrint).equal(1);
    expect((await view()).sheets[0]!.artworks[0]!.widthMm, 'the sheet is as it was').equal(58);
    await bench.http.post(`/api/artworks/${artwork.id}/size`).send({ widthMm: 0.1 }).expect(400);
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
    await bench.http.post('/api/decal-sheets').send(body).expect(201);
    const fresh = await libraryDecal();
    expect([fresh.inHand, fresh.toPrint]).deep.equal([2, 0]);
    expect(fresh.placing!.soak).deep.include({ seconds: 30, learnedFrom: 0 });
    expect(fresh.placing!.fold).deep.include({ placed: 0 });
    expect(fresh.turn, 'the flap is open').deep.equal({ nth: 1, because: 'seam is open' });
    bench.pass(365 * 24 * 60);
    expect((await libraryDecal()).placing!.soak.seconds).closeTo(38, 0.01);
    const log = (act: object, status = 201) =>
      bench.http
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
    await bench.http
      .post('/api/decals/nothing/acts')
      .send({ act: 'lost', trouble: null, soakS: null, ofId: null, who, note: '' })
      .expect(404);
  });

  it('are not printed on each other, nor off the sheet', async () => {
    const artwork = await bringBand();
    const { layerId } = await libraryDecal();
    const piece = { layerId, artworkId: artwork.id, x: 0, y: 0, turn: 0 };
    const print = (pieces: object[]) =>
      bench.http
        .post('/api/decal-sheets')
        .send({ paper: 'A6', film: 'white, office printer', continuesId: null, pieces, who });
    expect(((await print([piece, { ...piece, x: 30 }]).expect(422)).body as ErrorBody).message).match(
      /Piece 2 lies on/,
    );
    await print([{ ...piece, x: 120 }]).expect(422);
    await print([]).expect(400);
    await print([{ ...piece, turn: 45 }]).expect(400);
    await print([{ ...piece, layerId: 'nothing' }]).expect(404);
  });

  it('go on a sheet that was begun where nothing is gone yet, of the same film and paper, once', async () => {
    const artwork = await bringBand();
    const { layerId } = await libraryDecal();
    const piece = { layerId, artworkId: artwork.id, x: 0, y: 0, turn: 0 };
    const print = async (changes: object, status = 201) =>
      (
        await bench.http
          .post('/api/decal-sheets')
          .send({ paper: 'A6', film: 'white, office printer', continuesId: null, pieces: [piece], who, ...changes })
          .expect(status)
      ).body as DecalSheet;
    const first = await print({});
    await print({ continuesId: first.id }, 422);
    await print({ continuesId: first.id, paper: 'A5', pieces: [{ ...piece, y: 20 }] }, 422);
    await print({ continuesId: 'none', pieces: [{ ...piece, y: 20 }] }, 404);
    const second = await print({ continuesId: first.id, pieces: [{ ...piece, y: 20 }] });
    await print({ continuesId: first.id, pieces: [{ ...piece, y: 40 }] }, 422);
    await print({ continuesId: second.id }, 422);
    const third = await print({ continuesId: second.id, pieces: [{ ...piece, y: 40 }] });
    // What did not come out is to be printed again, and its film is gone all the same.
    await plan(artwork.id, 3);
    expect((await libraryDecal()).inHand).equal(3);
    const spoil = (isSpoiled: unknown, status = 200) =>
      bench.http.post(`/api/decal-sheets/${third.id}/spoiled`).send({ isSpoiled }).expect(status);
    await spoil('yes', 400);
    await spoil(true);
    expect([(await libraryDecal()).inHand, (await libraryDecal()).toPrint]).deep.equal([2, 1]);
    await print({ continuesId: third.id, pieces: [{ ...piece, y: 40 }] }, 422);
    await spoil(false);
    expect((await libraryDecal()).toPrint).equal(0);
  });

  it('come out of PDF where they lie, within 0.05 mm, and the next sheet is corrected by its rules', async () => {
    const artwork = await bringBand();
    const { layerId } = await libraryDecal();
    const pieces = [
      { layerId, artworkId: artwork.id, x: 3, y: 2, turn: 0 },
      { layerId, artworkId: artwork.id, x: 70, y: 10, turn: 90 },
    ];
    const print = async () =>
      (
        await bench.http
          .post('/api/decal-sheets')
          .send({ paper: 'A5', film: 'white, office printer', continuesId: null, pieces, who })
      ).body as DecalSheet;
    const read = async ({ id }: DecalSheet) =>
      readPdfShapes(
        (await bench.http.get(`/api/decal-sheets/${id}/sheet.pdf`).buffer(true).parse(readBinary).expect(200))
          .body as Buffer,
      );
    const sheet = await print();
    const pdf = await read(sheet);
    expect(pdf.widthMm).closeTo(210, 0.05);
    expect(pdf.heightMm).closeTo(148, 0.05);
    const near = (got: readonly number[], wanted: readonly number[]) =>
      wanted.forEach((mm, i) => expect(got[i], `${got.join(' ')} for ${wanted.join(' ')}`).closeTo(mm, 0.05));
    // The room begins at 12 and 5 mm; out of white film it is cut on the edge of its ink.
    const rim = -Math.min(...artwork.inkLine.map(({ x }) => x));
    const rimY = -Math.min(...artwork.inkLine.map(({ y }) => y));
    near(pdf.fills[0]!.box, [12 + 3 + rim, 5 + 2 + rimY, 12 + 3 + rim + 58, 5 + 2 + rimY + 6]);
    const [left, top, right, bottom] = pdf.fills[2]!.box as [number, number, number, number];
    near([right - left, bottom - top], [6, 58]);
    near(pdf.fills[1]!.rgb, [16 / 255, 16 / 255, 16 / 255]);
    const along = pdf.lines.find(([x1, y1, x2, y2]) => Math.abs(y1 - y2) < 0.01 && Math.abs(x2 - x1 - 190) < 0.05);
    expect(along, 'the rule of 190 mm').not.equal(undefined);

    // The picture to look at shows the same: cream where the band lies, paper beside it.
    const png = await bench.http
      .get(`/api/decal-sheets/${sheet.id}/sheet.png`)
      .buffer(true)
      .parse(readBinary)
      .expect(200);
    const { data, info } = await sharp(png.body as Buffer)
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(info.width).closeTo((210 / 25.4) * 150, 2);
    const at = (x: number, y: number) => {
      const pixel =
        info.channels * (Math.round((y * info.width) / 210) * info.width + Math.round((x * info.width) / 210));
      return [...data.subarray(pixel, pixel + 3)];
    };
    expect(at(12 + 3 + rim + 30, 5 + 2 + rimY + 3)).deep.equal([0xe8, 0xdf, 0xc4]);
    expect(at(12 + 3 + rim + 30, 5 + 2 + rimY + 12)).deep.equal([255, 255, 255]);
    await bench.http.post(`/api/decal-sheets/${sheet.id}/rules`).send({ alongMm: 150, downMm: 130 }).expect(400);
    await bench.http.post(`/api/decal-sheets/${sheet.id}/rules`).send({ alongMm: 191.9, downMm: 129.35 }).expect(200);
    expect((await view()).printer.along).closeTo(191.9 / 190, 1e-9);
    const next = await read(await print());
    const box = next.fills[0]!.box as [number, number, number, number];
    near([(box[2] - box[0]) * (191.9 / 190), (box[3] - box[1]) * (129.35 / 130)], [58, 6]);
    near(await read(sheet).then(({ fills }) => fills[0]!.box), pdf.fills[0]!.box);
  });

  it('are wanted of a supplier, ordered, come and are rated; what is tied to a want that is there makes no second one', async () => {
    const artwork = await bringBand();
    const { layerId } = await plan(artwork.id, 2);
    const wants = async () => (await bench.get<JobView>('jobs/sg-03')).specimens[0]!.wants;
    const before = (await wants()).length;
    const order = (body: object) => bench.http.post(`/api/decals/${layerId}/orders`).send(body);
    await bench.http.get('/api/decal-orders/order.zip').expect(422);
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
    const zip = await bench.http.get('/api/decal-orders/order.zip').buffer(true).parse(readBinary).expect(200);
    const files = unzipSync(new Uint8Array(zip.body as Buffer));
    expect(Object.keys(files).sort()).deep.equal(['1 Waistband.svg', '2 Waistband.svg', 'order.txt']);
    expect(new TextDecoder().decode(files['order.txt'])).match(/In all: 5 pieces/);

    const line = { thingId: null, serves: null, pot: null, toolKind: null, price: 6, what: own.what, unit: 'pieces' };
    const sent = await bench.http
      .post('/api/orders')
      .send({
        ...{ supplierId: 'tamsel', orderedOn: '2026-11-25', promisedOn: '2026-12-05', note: '' },
        lines: [{ ...line, amount: 1, wantId: own.id, jobId: 'sg-03' }],
      })
      .expect(201);
    const ordered = (await view()).orders.find(({ wantId }) => wantId === own.id)!;
    expect(ordered).deep.include({ state: 'ordered', promisedOn: '2026-12-05' });
    const rate = (version: number) =>
      bench.http.patch(`/api/decal-orders/${ordered.id}`).send({
        ...{ version },
        rating: { isSharp: true, isInRegister: false, isWhiteDense: null, releasesWell: null, note: '' },
      });
    expect(((await rate(1).expect(422)).body as ErrorBody).message).match(/not here yet/);
    const { lines } = sent.body as { lines?: { id: string }[] };
    const lineId =
      lines?.[0]?.id ??
      (await bench.get<OrdersView>('orders')).open.flatMap((one) => one.lines).find(({ wantId }) => wantId === own.id)!
        .id;
    await bench.http
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
    await bench.http.delete(`/api/wants/${free.id}`).query({ version: free.version });
    expect(await libraryDecal()).deep.include({ coming: 0 });
  });

  it('belong to the issue that left the works with them, or to another', async () => {
    const { id, version } = await bringBand();
    const { states } = await view();
    const large = states.find(({ id: state }) => state.endsWith('.decal.large'))!;
    await bench.http.patch(`/api/artworks/${id}`).send({ version, featureStateId: 'nothing' }).expect(404);
    await bench.http.patch(`/api/artworks/${id}`).send({ version, featureStateId: large.id }).expect(200);
    const decal = await libraryDecal();
    const judged = (stateId: string) =>
      judgeIssue(stateId, decal.left, (one) => states.find((state) => state.id === one)?.featureId ?? null);
    expect(judged(large.id)).deep.include({ answer: 'as it left', label: 'Large lettering' });
    const small = states.find(({ id: state }) => state.endsWith('.decal.small') && state !== large.id)!;
    expect(judged(small.id)).deep.include({ answer: 'another issue', label: 'Large lettering' });
    expect(judgeIssue(null, decal.left, () => null)).equal(null);
  });
});
