import type { ErrorBody } from '@sardonyx/contract';
import type { DecalArtwork } from '@sardonyx/core';
import { expect } from 'chai';
import sharp from 'sharp';
import { readBinary } from './support/createTestBench.ts';
import { useDecals } from './support/useDecals.ts';

describe('artwork of decals over HTTP', () => {
  const { on, BAND, bring, bringBand, view } = useDecals();

  it('take an artwork out of SVG at its true size, and give back nothing but its shapes', async () => {
    const artwork = await bringBand();
    expect(artwork).deep.include({ name: 'Waistband', widthMm: 58, heightMm: 6, sizeFrom: 'units of the file' });
    expect(artwork.inks.map(({ hex }) => hex)).deep.equal(['#e8dfc4', '#101010']);
    const out = await on.bench.http
      .get(`/api/artworks/${artwork.id}/file.svg`)
      .buffer(true)
      .parse(readBinary)
      .expect(200);
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
    await on.bench.http.post('/api/artworks').set('content-type', 'image/svg+xml').send(BAND).expect(400);
    expect((await view()).artworks).lengthOf(before);
  });

  it('take an artwork out of PNG of flat colours at the size that is stated, and refuse what is no such picture', async () => {
    const before = (await view()).artworks.length;
    const bringPicture = (bytes: Buffer, query: object) =>
      on.bench.http
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
    const trace = (body: object) =>
      on.bench.http.post('/api/artworks/traced').send({ name: 'Flash', of: null, ...body });
    const { id, version } = (await trace({ drawn: drawn(area) }).expect(201)).body as DecalArtwork;
    const read = async () => (await view()).artworks.find((one) => one.id === id)!;
    expect(await read()).deep.include({ widthMm: 20, heightMm: 6, sizeFrom: 'traced', drawn: drawn(area) });
    const text = { kind: 'text', ink: '#101010', text: 'SALT', x: 3, y: 5, heightMm: 2, widthMm: null, isBold: true };
    await trace({ drawn: drawn(area, text), of: { id, version } }).expect(201);
    expect((await read()).shapes).lengthOf(2);
    await trace({ drawn: drawn(area), of: { id, version } }).expect(409);
    await on.bench.http.post(`/api/artworks/${id}/size`).send({ widthMm: 10 }).expect(200);
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
});
