import { expect } from 'chai';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { ColourReading, MixView } from '@sardonyx/contract';
import { computeDe00 } from '@sardonyx/core';
import { createApp } from '../src/app.ts';
import { readFirstEvent } from './support/readFirstEvent.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { BLUE, MIX, WHITE, WHO } from './support/colourRequests.ts';

describe('colour instruments over HTTP', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());
  const post = (path: string, body: object, status = 200) =>
    bench.http.post(`/api/instruments/${path}`).send(body).expect(status);
  const body = { what: 'part', id: 'sg-03-1.body', place: 'sheltered' };

  it('want their white tile first, hold for half an hour, and read what is there', async () => {
    const first = (await post('spectro/measure', body, 422)).body as { code: string; message: string };
    expect(first).deep.include({ code: 'calibrate' });
    await post('spectro/calibrate', {});
    const sheltered = (await post('spectro/measure', body)).body as ColourReading;
    const exposed = (await post('spectro/measure', { ...body, place: 'exposed' })).body as ColourReading;
    expect(sheltered).deep.include({ isSimulated: true, geometry: 'gloss left out' });
    expect(exposed.lab[0]).greaterThan(sheltered.lab[0] + 3);
    expect(computeDe00(sheltered.lab, exposed.lab)).greaterThan(3);
    bench.pass(31);
    expect(((await post('spectro/measure', body, 422)).body as { message: string }).message).match(/31 minutes old/);
  });

  it('read a patch as it truly is: pots are not quite what their label says', async () => {
    await post('spectro/calibrate', {});
    const mix = ((await bench.http.post('/api/mixes').send(MIX).expect(201)).body as MixView).id;
    await post('spectro/measure', { ...body, what: 'patch', id: mix }, 422);
    for (const [productId, ml] of [
      [WHITE, 1],
      [BLUE, 0.4],
    ] as const)
      await bench.http.post(`/api/mixes/${mix}/pours`).send({ productId, ml, source: 'scales', who: WHO }).expect(201);
    const dry = (await post('spectro/measure', { ...body, what: 'patch', id: mix })).body as ColourReading;
    const wet = (await post('spectro/measure', { ...body, what: 'wet patch', id: mix })).body as ColourReading;
    expect(wet.lab[0]).greaterThan(dry.lab[0] + 0.5);
    expect(
      (
        (await post('spectro/measure', { ...body, what: 'pot', id: 'paint-quay-pearl-white' }, 422)).body as {
          code: string;
        }
      ).code,
    ).equal('outside');
  });

  it('pour on the simulated scales only, and only with those', async () => {
    await post('scales/tare', {}, 204);
    await post('scales/pour', { grams: 1.2 }, 204);
    await post('scales/pour', { grams: -1 }, 400);
    await post('spectro/pour', { grams: 1 }, 422);
    await post('scales/calibrate', {}, 422);
    await bench.http
      .patch('/api/instruments/scales')
      .send({ version: 1, source: 'endpoint', url: 'http://127.0.0.1:9/g' })
      .expect(200);
    await post('scales/pour', { grams: 1 }, 422);
  });
});

describe('real instruments of colour (a stand-in that answers over HTTP)', () => {
  let bench: TestBench;
  let answer: unknown = {};
  const device = createServer((_, response) => {
    response.setHeader('content-type', 'application/json');
    response.end(JSON.stringify(answer));
  });
  before(async () => {
    bench = await createTestBench();
    await new Promise<void>((done) => device.listen(0, '127.0.0.1', done));
    const url = `http://127.0.0.1:${(device.address() as AddressInfo).port}/now`;
    for (const id of ['spectro', 'scales'])
      await bench.http.patch(`/api/instruments/${id}`).send({ version: 1, url, source: 'endpoint' }).expect(200);
  });
  after(async () => {
    device.close();
    await bench.clear();
  });
  const body = { what: 'part', id: 'sg-03-1.body', place: 'sheltered' };
  const measure = (status: number) => bench.http.post('/api/instruments/spectro/measure').send(body).expect(status);

  it('take over a spectrum with its geometry, and say that it is real', async () => {
    answer = { spectrum: Array.from({ length: 31 }, () => 0.2), geometry: 'gloss included' };
    const reading = (await measure(200)).body as ColourReading;
    expect(reading).deep.include({ isSimulated: false, geometry: 'gloss included', sinceCalibrationMin: null });
    expect(reading.lab[0]).closeTo(51.8, 0.1);
    expect(Math.hypot(reading.lab[1], reading.lab[2])).lessThan(1e-6);
    await bench.http.post('/api/instruments/spectro/calibrate').send({}).expect(422);
  });

  it('are refused with what is wrong when they send something else', async () => {
    for (const wrong of [
      {},
      { spectrum: [0.1], geometry: 'gloss included' },
      { spectrum: Array.from({ length: 31 }, () => 'x'), geometry: 'gloss included' },
      { spectrum: Array.from({ length: 31 }, () => 5), geometry: 'gloss included' },
      { spectrum: Array.from({ length: 31 }, () => 0.2), geometry: 'sideways' },
    ]) {
      answer = wrong;
      expect(((await measure(422)).body as { message: string }).message).match(
        /sent no 31 reflectances.*Nothing was saved/,
      );
    }
  });

  it('stream what lies on the scales, and name what is wrong when they do not', async () => {
    const server = createServer(createApp({ room: bench.room, webRoot: null })).listen(0);
    const { port } = server.address() as AddressInfo;
    const first = () => readFirstEvent(`http://127.0.0.1:${port}/api/instruments/scales/stream`);
    try {
      answer = { grams: 1.24 };
      expect((await first()).data).deep.include({ grams: 1.24 });
      answer = { celsius: 20 };
      const fault = await first();
      expect(fault.event).equal('fault');
      expect(JSON.stringify(fault.data)).include('it sent no number called grams');
      const simulated = { version: 2, source: 'simulated' };
      await bench.http.patch('/api/instruments/scales').send(simulated).expect(200);
      const atScales = async (act: string, sent: object) => {
        const address = `http://127.0.0.1:${port}/api/instruments/scales/${act}`;
        const headers = { 'content-type': 'application/json' };
        expect((await fetch(address, { method: 'POST', headers, body: JSON.stringify(sent) })).status).equal(204);
      };
      await atScales('tare', {});
      expect((await first()).data).deep.include({ grams: 0 });
      await atScales('pour', { grams: 0.6 });
      bench.pass(1);
      const poured = (await first()).data as unknown as { grams: number };
      expect(poured.grams).within(0.58, 0.62);
    } finally {
      server.closeAllConnections();
      server.close();
    }
  });
});
