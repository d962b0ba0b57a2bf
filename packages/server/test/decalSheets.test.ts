import type { ErrorBody } from '@sardonyx/contract';
import type { DecalArtwork, DecalSheet } from '@sardonyx/core';
import { expect } from 'chai';
import sharp from 'sharp';
import { readBinary } from './support/createTestBench.ts';
import { readPdfShapes } from './support/readPdfShapes.ts';
import { useDecals } from './support/useDecals.ts';

const who = 'Osric Bell';

describe('sheets of decals over HTTP', () => {
  const { on, bringBand, view, libraryDecal, plan } = useDecals();

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
    await on.bench.http.post('/api/decal-sheets').send(body).expect(201);
    expect((await libraryDecal()).toPrint).equal(0);
    const sized = await on.bench.http.post(`/api/artworks/${artwork.id}/size`).send({ widthMm: 56.4 }).expect(200);
    expect(sized.body).deep.include({ widthMm: 56.4, sizeFrom: 'typed', version: 2 });
    expect((sized.body as DecalArtwork).heightMm).closeTo((6 * 56.4) / 58, 1e-9);
    expect((await libraryDecal()).toPrint).equal(1);
    expect((await view()).sheets[0]!.artworks[0]!.widthMm, 'the sheet is as it was').equal(58);
    await on.bench.http.post(`/api/artworks/${artwork.id}/size`).send({ widthMm: 0.1 }).expect(400);
  });

  it('are not printed on each other, nor off the sheet', async () => {
    const artwork = await bringBand();
    const { layerId } = await libraryDecal();
    const piece = { layerId, artworkId: artwork.id, x: 0, y: 0, turn: 0 };
    const print = (pieces: object[]) =>
      on.bench.http
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
        await on.bench.http
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
      on.bench.http.post(`/api/decal-sheets/${third.id}/spoiled`).send({ isSpoiled }).expect(status);
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
        await on.bench.http
          .post('/api/decal-sheets')
          .send({ paper: 'A5', film: 'white, office printer', continuesId: null, pieces, who })
      ).body as DecalSheet;
    const read = async ({ id }: DecalSheet) =>
      readPdfShapes(
        (await on.bench.http.get(`/api/decal-sheets/${id}/sheet.pdf`).buffer(true).parse(readBinary).expect(200))
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
    const png = await on.bench.http
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
    await on.bench.http.post(`/api/decal-sheets/${sheet.id}/rules`).send({ alongMm: 150, downMm: 130 }).expect(400);
    await on.bench.http
      .post(`/api/decal-sheets/${sheet.id}/rules`)
      .send({ alongMm: 191.9, downMm: 129.35 })
      .expect(200);
    expect((await view()).printer.along).closeTo(191.9 / 190, 1e-9);
    const next = await read(await print());
    const box = next.fills[0]!.box as [number, number, number, number];
    near([(box[2] - box[0]) * (191.9 / 190), (box[3] - box[1]) * (129.35 / 130)], [58, 6]);
    near(await read(sheet).then(({ fills }) => fills[0]!.box), pdf.fills[0]!.box);
  });
});
