import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { expect } from 'chai';
import supertest from 'supertest';
import type { ErrorBody } from '@sardonyx/contract';
import { createApp } from '../src/app.ts';
import { openLog } from '../src/http/log.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

interface LogLine {
  readonly level: number;
  readonly msg: string;
  readonly faultId?: string;
  readonly req?: { readonly method: string; readonly url: string };
  readonly res?: { readonly status: number };
  readonly err?: { readonly message: string };
}

describe('the server’s log', () => {
  let bench: TestBench;
  let http: ReturnType<typeof supertest>;
  let isBroken: boolean;
  beforeEach(async () => {
    bench = await createTestBench();
    isBroken = false;
    const now = () => {
      if (isBroken) throw new Error('the SQLite driver lost a table of typeorm');
      return bench.room.now();
    };
    http = supertest(createApp({ room: { ...bench.room, now, log: openLog(bench.room.folder) }, webRoot: null }));
  });
  afterEach(() => bench.clear());

  const read = async (): Promise<LogLine[]> => {
    // The log is written beside the answer.
    await new Promise((done) => setTimeout(done, 100));
    const text = await readFile(join(bench.room.folder, 'server.log'), 'utf8');
    return text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as LogLine);
  };

  it('tells of a fault under the number that the page was given, and the page nothing of the database', async () => {
    isBroken = true;
    const { body } = (await http.get('/api/bench').expect(500)) as { body: ErrorBody };
    expect(body.faultId).match(/^[0-9a-f]{8}$/);
    expect(JSON.stringify(body)).not.match(/sql|typeorm|driver/i);
    const fault = (await read()).find((line) => line.faultId === body.faultId)!;
    expect(fault.level).equal(50);
    expect(fault.err?.message).match(/lost a table/);
  });

  it('gives every fault a number of its own, and a refusal none', async () => {
    const refused = await http.post('/api/jobs').send({}).expect(400);
    expect(refused.body).not.have.property('faultId');
    isBroken = true;
    const ids = [];
    for (let i = 0; i < 5; i++) ids.push(((await http.get('/api/bench')).body as ErrorBody).faultId);
    expect(new Set(ids).size).equal(5);
  });

  it('tells who changed what address, and never what was sent; reading is not told', async () => {
    await http.get('/api/bench').expect(200);
    const sent = { name: 'Secret jar', material: 'glass', lengthMm: 90, widthMm: 90, depthMm: 90, isRound: true };
    await http.post('/api/vessels').send(sent).expect(201);
    const lines = await read();
    expect(lines.map(({ req, res }) => [req?.method, req?.url, res?.status])).eql([['POST', '/api/vessels', 201]]);
    expect(JSON.stringify(lines)).not.include('Secret jar');
  });

  it('sets a long log aside at the next start, and one only', async () => {
    const file = join(bench.room.folder, 'server.log');
    await writeFile(file, 'x'.repeat(5_000_001));
    openLog(bench.room.folder).info('begun');
    await new Promise((done) => setTimeout(done, 100));
    expect((await readFile(file, 'utf8')).length).below(1000);
    expect((await readFile(join(bench.room.folder, 'server.before.log'), 'utf8')).length).equal(5_000_001);
  });
});
