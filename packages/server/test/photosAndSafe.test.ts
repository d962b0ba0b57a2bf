import { existsSync } from 'node:fs';
import { readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ErrorBody, JobView, PrintsView, StockView } from '@sardonyx/contract';
import type { JobRecord, Photo, StockThing } from '@sardonyx/core';
import { expect } from 'chai';
import { unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { sweepFolder } from '../src/disk/sweepFolder.ts';
import { restoreEverything } from '../src/modules/keepsake/restoreEverything.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { restoreDamaged } from './support/restoreDamaged.ts';

const makePicture = (width = 64, height = 40) =>
  sharp({ create: { width, height, channels: 3, background: '#884422' } });

describe('photographs', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const send = (picture: Buffer, name = 'left.jpg', fields: Record<string, string> = {}) => {
    const request = bench.http.post('/api/photos/upload').attach('picture', picture, name);
    for (const [field, value] of Object.entries({
      jobId: 'sg-04',
      stage: 'before',
      side: 'left',
      caption: '',
      ...fields,
    }))
      void request.field(field, value);
    return request;
  };

  it('are kept under the hash of what is stored, with a thumbnail', async () => {
    const { body } = await send(await makePicture(1200, 800).png().toBuffer()).expect(201);
    const photo = body as Photo;
    expect(photo).deep.include({
      jobId: 'sg-04',
      side: 'left',
      widthPx: 1200,
      heightPx: 800,
      takenAt: '2026-11-25T18:30:00.000Z',
    });
    expect(existsSync(join(bench.room.folder, 'photos', `${photo.hash}.jpg`))).equal(true);
    const small = await bench.http.get(`/api/photos/${photo.hash}/small`).buffer(true).parse(readBinary).expect(200);
    expect((await sharp(small.body as Buffer).metadata()).width).equal(360);
    const full = await bench.http.get(`/api/photos/${photo.hash}/full`).buffer(true).parse(readBinary).expect(200);
    expect((await sharp(full.body as Buffer).metadata()).width).equal(1200);
    expect((await bench.get<JobView>('jobs/sg-04')).photos.map((one) => one.hash)).deep.equal([photo.hash]);
  });

  it('lose the place, the camera and the turn they were taken with', async () => {
    const withPlace = await makePicture(64, 40)
      .withExif({
        IFD0: { Make: 'Camera', Orientation: '6' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 30/1 0/1' },
      })
      .jpeg()
      .toBuffer();
    expect((await sharp(withPlace).metadata()).exif).instanceOf(Buffer);
    const { body } = await send(withPlace).expect(201);
    const photo = body as Photo;
    const stored = await readFile(join(bench.room.folder, 'photos', `${photo.hash}.jpg`));
    const { exif, orientation } = await sharp(stored).metadata();
    expect(exif).equal(undefined);
    expect(orientation ?? 1).equal(1);
    expect(stored.includes('GPS')).equal(false);
  });

  it('are refused when they are no pictures or too large; nothing is stored', async () => {
    const before = await readdir(join(bench.room.folder, 'photos'));
    for (const [bytes, status, code] of [
      [Buffer.from('this is a letter'), 400, 'not-a-picture'],
      [Buffer.alloc(0), 400, 'not-a-picture'],
      [Buffer.alloc(26 * 1024 * 1024), 413, 'too-big'],
    ] as const) {
      const { body } = await send(bytes, 'left.jpg').expect(status);
      expect((body as ErrorBody).code).equal(code);
      expect((body as ErrorBody).message).match(/Nothing was saved/);
    }
    const cut = (await makePicture(400, 300).jpeg().toBuffer()).subarray(0, 900);
    await send(cut).expect(400);
    expect(await readdir(join(bench.room.folder, 'photos'))).deep.equal(before);
  });

  it('are refused without a job, side or stage that exist', async () => {
    const picture = await makePicture().jpeg().toBuffer();
    await send(picture, 'a.jpg', { jobId: 'nobody' }).expect(404);
    await send(picture, 'a.jpg', { side: 'inside out' }).expect(400);
    await send(picture, 'a.jpg', { jobId: 'sg-00' }).expect(422);
    await bench.http.post('/api/photos/upload').field('jobId', 'sg-04').expect(400);
  });

  it('answer only to hashes', async () => {
    for (const hash of ['..%2f..%2fsardonyx.db', 'f'.repeat(64), 'x'])
      await bench.http.get(`/api/photos/${hash}/full`).expect(404);
  });
});

describe('save everything and restore', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const save = async () =>
    (await bench.http.get('/api/everything.zip').buffer(true).parse(readBinary).expect(200)).body as Buffer;
  const restore = (zip: Uint8Array) =>
    bench.http
      .post('/api/everything.zip')
      .set('Content-Type', 'application/zip')
      .send(Buffer.from(zip) as never);
  const whyOf = async () => (await bench.get<JobView>('jobs/sg-04')).job.why;

  it('leaves everything as it is when whoever asked has left before the swap', async () => {
    const zip = await save();
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'changed after' }).expect(200);
    const file = join(bench.room.folder, 'brought.zip');
    await writeFile(file, zip);
    const ended = await restoreEverything(bench.room, file, () => true).catch((error: unknown) => error);
    expect(ended).instanceOf(Error);
    expect((ended as Error).message).equal('Nothing was replaced: it was ended.');
    expect(await whyOf()).equal('changed after');
    expect((await readdir(bench.room.folder)).filter((name) => /restor/.test(name))).deep.equal([]);
  });

  it('brings back what was saved and keeps what stood there', async () => {
    const was = await whyOf();
    const zip = await save();
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'changed after' }).expect(200);
    const { body } = await restore(zip).expect(200);
    expect(await whyOf()).equal(was);
    expect(await readdir(join(bench.room.folder, (body as { keptIn: string }).keptIn))).include.members([
      'sardonyx.db',
      'photos',
    ]);
    const { photos } = await bench.get<JobView>('jobs/sg-03');
    await bench.http.get(`/api/photos/${photos[0]!.hash}/small`).expect(200);
    expect((await readdir(bench.room.folder)).filter((name) => name.startsWith('restoring'))).deep.equal([]);
  });

  it('brings back a thing’s picture and a mesh; neither is swept away as a leftover', async () => {
    const { things } = await bench.get<StockView>('stock');
    const { id } = things[0]!;
    const picture = await makePicture(300, 200).png().toBuffer();
    const sent = await bench.http
      .post(`/api/stock-things/${id}/picture`)
      .attach('picture', picture, 'a.png')
      .expect(201);
    const { pictureHash: hash } = sent.body as StockThing;
    await bench.http.get(`/api/photos/${hash}/small`).expect(200);
    expect(await sweepFolder(bench.room.folder, new Date())).equal(0);
    const zip = await save();
    expect(Object.keys(unzipSync(zip))).include(`photos/${hash}.jpg`);
    await bench.http.delete(`/api/stock-things/${id}/picture`).expect(200);
    expect(await sweepFolder(bench.room.folder, new Date()), 'named by nobody any more').equal(1);
    await restore(zip).expect(200);
    await bench.http.get(`/api/photos/${hash}/full`).expect(200);
    const after = (await bench.get<StockView>('stock')).things.find((thing) => thing.id === id)!;
    expect(after.pictureHash).equal(hash);
    const [print] = (await bench.get<PrintsView>('prints')).prints;
    await bench.http.get(`/api/prints/${print!.id}/mesh`).expect(200);
    await bench.http.post(`/api/stock-things/${id}/picture`).attach('picture', Buffer.from('no'), 'a.png').expect(400);
    await bench.http.post(`/api/stock-things/${id}/picture`).expect(400);
    await bench.http.post('/api/stock-things/nothing/picture').attach('picture', picture, 'a.png').expect(404);
  });

  it('holds a manifest with a checksum for every file', async () => {
    const files = unzipSync(await save());
    const manifest = JSON.parse(new TextDecoder().decode(files['manifest.json'])) as { files: Record<string, string> };
    expect(Object.keys(manifest.files).sort()).deep.equal(
      Object.keys(files)
        .filter((name) => name !== 'manifest.json')
        .sort(),
    );
    expect(Object.keys(manifest.files).filter((name) => name.startsWith('photos/')).length).greaterThan(10);
  });

  it('refuses what is damaged, foreign or incomplete, and replaces nothing', async () => {
    const files = unzipSync(await save());
    const photo = Object.keys(files).find((name) => name.startsWith('photos/'))!;
    await bench.http.patch('/api/jobs/sg-04').send({ version: 1, why: 'must stay' }).expect(200);
    const reasons: readonly (readonly [Uint8Array, RegExp])[] = [
      [Buffer.from('hello'), /not a readable ZIP/],
      [zipSync({ 'letter.txt': new Uint8Array([1]) }), /not saved by this program/],
      [zipSync({ ...files, [photo]: new Uint8Array([1, 2, 3]) }), /damaged or changed/],
      [zipSync(Object.fromEntries(Object.entries(files).filter(([name]) => name !== photo))), /listed but missing/],
    ];
    for (const [zip, reason] of reasons) {
      const { body } = await restore(zip).expect(400);
      expect((body as ErrorBody).message)
        .match(/^Nothing was replaced/)
        .match(reason);
    }
    expect(await whyOf()).equal('must stay');
    await bench.http.post('/api/everything.zip').set('Content-Type', 'text/plain').send('x').expect(400);
  });

  it('says which photographs were gone, and restores the rest', async () => {
    const { photos } = await bench.get<JobView>('jobs/sg-03');
    await rm(join(bench.room.folder, 'photos', `${photos[0]!.hash}.jpg`));
    const zip = await save();
    const { missing } = JSON.parse(new TextDecoder().decode(unzipSync(zip)['manifest.json'])) as { missing: string[] };
    expect(missing).deep.equal([photos[0]!.hash]);
    await restore(zip).expect(200);
    await bench.http.get(`/api/photos/${photos[0]!.hash}/full`).expect(404);
    await bench.http.get(`/api/photos/${photos[1]!.hash}/full`).expect(200);
  });
});

describe('damaged saves', () => {
  it('of every kind replace nothing, say why, and leave nothing behind', async () => {
    const { tried, isWholeTaken } = await restoreDamaged();
    expect(tried.length).greaterThan(40);
    for (const { kind, status, message, left } of tried) {
      expect(status, kind).equal(400);
      expect(message, kind).match(/^Nothing was replaced: /);
      expect(left, kind).deep.equal([]);
    }
    expect(isWholeTaken).equal(true);
  });
});

describe('the record', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('as JSON tells what was found, done, put on, and that it is restored', async () => {
    const response = await bench.http.get('/api/jobs/sg-00/record.json').expect(200);
    expect(response.headers['content-disposition']).include('SG-00-record.json');
    const record = response.body as JobRecord;
    expect(record).deep.include({ format: 'sardonyx-record', formatVersion: 6 });
    expect(record.disclosure).include('has been restored').include('wheels (donor)');
    expect(record.work.length).greaterThan(20);
    expect(record.models[0]!.verdict).match(/^Deep green/);
    const coats = record.models[0]!.parts[0]!.coatsApplied;
    expect(coats.map(({ name, isMist }) => `${name}${isMist ? ', mist' : ''}`)).deep.equal([
      'Lanthorn Light grey primer',
      'Marlstone Deep green, mist',
      ...Array<string>(3).fill('Marlstone Deep green'),
    ]);
  });
});
