import { expect } from 'chai';
import sharp from 'sharp';
import type { ErrorBody } from '@sardonyx/contract';
import type { Photo } from '@sardonyx/core';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const raw = { create: { width: 40, height: 30, channels: 3 as const, background: '#884422' } };
const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>';

describe('what is taken for a picture', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());
  const send = (picture: Buffer, name: string) =>
    bench.http
      .post('/api/photos/upload')
      .field({ jobId: 'sg-03', stage: 'before', side: 'left', caption: 'x' })
      .attach('picture', picture, { filename: name, contentType: 'image/jpeg' });

  it('JPEG, PNG and WebP, by what they are, not by what they are called', async () => {
    for (const [name, picture] of [
      ['a.svg', await sharp(raw).jpeg().toBuffer()],
      ['b.jpg', await sharp(raw).png().toBuffer()],
      ['c', await sharp(raw).webp().toBuffer()],
    ] as const) {
      const { body } = await send(picture, name).expect(201);
      expect(body as Photo, name).include({ widthPx: 40, heightPx: 30 });
    }
  });

  it('nothing else: vector pictures, documents, other pictures, and pictures built to fill the memory', async () => {
    const huge = await sharp({ create: { ...raw.create, width: 9000, height: 9000 } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    for (const [name, picture] of [
      ['vector.jpg', Buffer.from(svg)],
      ['vector in another.jpg', Buffer.concat([Buffer.from('RIFF0000WEBP'), Buffer.from(svg)])],
      ['moving.jpg', await sharp(raw).gif().toBuffer()],
      ['scan.jpg', await sharp(raw).tiff().toBuffer()],
      ['document.jpg', Buffer.from('%PDF-1.4\n')],
      ['cut off.jpg', (await sharp(raw).jpeg().toBuffer()).subarray(0, 150)],
      ['huge.png', huge],
      ['empty.jpg', Buffer.alloc(0)],
    ] as const) {
      const { status, body } = await send(picture, name);
      expect(status, name).equal(400);
      expect((body as ErrorBody).message, name).equal(
        'This is not a picture that can be read (JPEG, PNG or WebP, up to 60 megapixels). Nothing was saved.',
      );
    }
  });

  it('nothing of a form that is broken: no boundary, no end, no picture in it, two of them', async () => {
    const post = (type: string, body: string) =>
      bench.http.post('/api/photos/upload').set('Content-Type', type).send(body);
    const edge = 'multipart/form-data; boundary=edge';
    const part = (name: string) => `--edge\r\nContent-Disposition: form-data; ${name}\r\n\r\nx\r\n`;
    for (const [type, body] of [
      ['multipart/form-data', 'no boundary'],
      [edge, part('name="a[b][c]"')],
      [edge, part('name="picture"; filename="a.jpg"')],
      [edge, `${part('name="jobId"')}--edge--\r\n`],
      [edge, `${part('name="picture"; filename="a"')}${part('name="picture"; filename="b"')}--edge--\r\n`],
    ] as const) {
      const { status, body: answer } = await post(type, body);
      expect(status, body).equal(400);
      expect((answer as ErrorBody).message, body).match(/Nothing was saved\.$/);
    }
  });

  it('a HEIC file is said to be one, with the way out of it', async () => {
    const { body } = await send(Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'), 'IMG.jpg').expect(400);
    expect((body as ErrorBody).message).match(
      /^This picture is a HEIC file, .* save it as JPEG\. Nothing was saved\.$/,
    );
  });
});
