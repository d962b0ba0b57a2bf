import { createServer, type RequestListener, type Server } from 'node:http';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { expect } from 'chai';
import { createApp } from '../src/app.ts';
import { fetchReading } from '../src/modules/instruments/fetchReading.ts';
import { createTestBench } from './support/createTestBench.ts';

const listen = async (answer: RequestListener): Promise<{ server: Server; url: string }> => {
  const server = createServer(answer).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return { server, url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/now` };
};

describe('an instrument that misbehaves', () => {
  const why = async (answer: RequestListener): Promise<string> => {
    const { server, url } = await listen(answer);
    try {
      return await fetchReading(url).then(JSON.stringify, (error: Error) => error.message);
    } finally {
      server.close();
      server.closeAllConnections();
    }
  };

  it('is left after seconds where it does not answer or does not stop, and leads nowhere else', async () => {
    expect(await why((_, response) => response.end('{"grams":1}'))).equal('{"grams":1}');
    expect(await why((_, response) => response.end('<html>'))).equal('what it sent is no JSON');
    expect(await why((_, response) => response.writeHead(503).end())).equal('it answered 503');
    expect(await why((_, response) => response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end())).equal(
      'fetch failed',
    );
    expect(await why(() => undefined)).match(/timeout/);
    const flood: RequestListener = (_, response) => {
      const pour = () => {
        if (!response.destroyed) response.write(' '.repeat(10_000), () => setImmediate(pour));
      };
      pour();
    };
    expect(await why(flood)).equal('it does not stop sending');
  });

  it('is asked on this machine only, whichever way its address came in', async () => {
    const bench = await createTestBench();
    const app = createApp({ room: bench.room, webRoot: null }).listen(0, '127.0.0.1');
    try {
      const foreign = 'http://192.0.2.7/now';
      await bench.http
        .post('/api/instruments')
        .send({ name: 'Probe', kind: 'oven probe', source: 'endpoint', url: foreign })
        .expect(400);
      await bench.room.source.query("UPDATE instrument SET url = ?, source = 'endpoint' WHERE id = 'scales'", [
        foreign,
      ]);
      const address = `http://127.0.0.1:${(app.address() as AddressInfo).port}/api/instruments/scales/stream`;
      const stop = new AbortController();
      const reader = (await fetch(address, { signal: stop.signal })).body!.getReader();
      const text = new TextDecoder().decode((await reader.read()).value);
      stop.abort();
      expect(text).include('its address is not on this machine');
    } finally {
      app.close();
      app.closeAllConnections();
      await bench.clear();
    }
  });

  it('is asked no more once nobody reads along, and once at a time', async () => {
    let [asked, atOnce, most] = [0, 0, 0];
    const { server, url } = await listen((_, response) => {
      asked++;
      most = Math.max(most, ++atOnce);
      setTimeout(() => {
        atOnce--;
        response.end('{"grams":1}');
      }, 500);
    });
    const bench = await createTestBench();
    const app = createApp({ room: bench.room, webRoot: null }).listen(0, '127.0.0.1');
    try {
      await bench.http.patch('/api/instruments/scales').send({ version: 1, url, source: 'endpoint' }).expect(200);
      const stop = new AbortController();
      const address = `http://127.0.0.1:${(app.address() as AddressInfo).port}/api/instruments/scales/stream`;
      const reader = (await fetch(address, { signal: stop.signal })).body!.getReader();
      for (let i = 0; i < 3; i++) await reader.read();
      stop.abort();
      await new Promise((done) => setTimeout(done, 800));
      const sofar = asked;
      await new Promise((done) => setTimeout(done, 900));
      expect(asked).equal(sofar);
      expect(most).equal(1);
    } finally {
      for (const one of [app, server]) {
        one.close();
        one.closeAllConnections();
      }
      await bench.clear();
    }
  });
});
