import { mkdtemp, rm } from 'node:fs/promises';
import { homedir, tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BenchView, CastingView, CatalogueView, ErrorBody, FoundPlace } from '@sardonyx/contract';
import type { Casting } from '@sardonyx/core';
import { expect } from 'chai';
import { chooseClock } from '../src/clock.ts';
import { readConfig } from '../src/config.ts';
import { createTestBench, openRoom, type TestBench } from './support/createTestBench.ts';

const part = (key: string, changes: object = {}) => ({
  key,
  name: key,
  role: 'body',
  material: 'zinc alloy',
  count: 1,
  ...changes,
});
const casting = (changes: object = {}) => ({
  rangeId: 'hand-span',
  number: '99/1',
  name: 'Test Van',
  bodyType: 'van',
  lengthMm: 60,
  wheelbaseMm: 34,
  construction: 'Two posts.',
  parts: [part('body'), part('base', { role: 'base' })],
  joints: [{ label: 'front post', kind: 'rivet post', partKeys: ['body', 'base'] }],
  ...changes,
});

describe('catalogue', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  it('shows a casting with everything it is known by', async () => {
    const view = await bench.get<CastingView>('castings/milk-float');
    expect(view.variants.map((variant) => variant.startEarliest)).deep.equal(
      [...view.variants.map((variant) => variant.startEarliest)].sort(),
    );
    expect(view.parts[0]!.key).equal('body');
    expect(view.sources.map((source) => source.certainty)).include.members(['certain', 'doubtful']);
    for (const one of view.variantStates) expect(view.states.some((state) => state.id === one.stateId)).equal(true);
    await bench.http.get('/api/castings/nobody').expect(404);
  });

  it('takes a casting of one’s own with a drawing, parts and usual ways to open it', async () => {
    const { body } = await bench.http.post('/api/castings').send(casting()).expect(201);
    const view = await bench.get<CastingView>(`castings/${(body as Casting).id}`);
    expect(view.casting.drawing.views).length(3);
    expect(view.joints[0]!.ways[0]).deep.include({ tool: 'drill', destroys: 'the rivet head' });
    await bench.http.post('/api/castings').send(casting()).expect(400);
  });

  it('begins a range of its own on an empty bench', async () => {
    const empty = await createTestBench({ isDemo: false });
    expect(await empty.get<BenchView>('bench')).deep.include({ lanes: [], restorers: [] });
    await empty.http
      .post('/api/castings')
      .send(casting({ rangeId: 'own' }))
      .expect(201);
    await empty.http
      .post('/api/castings')
      .send(casting({ rangeId: 'own', number: '2' }))
      .expect(201);
    expect((await empty.get<CatalogueView>('castings')).castings).length(2);
    await empty.clear();
  });

  it('says which part, joint or size is wrong', async () => {
    const fieldsOf = async (changes: object) =>
      Object.keys(
        ((await bench.http.post('/api/castings').send(casting(changes)).expect(400)).body as ErrorBody).fields ?? {},
      );
    expect(await fieldsOf({ parts: [part('body'), part('body')], joints: [] })).deep.equal(['parts.1.name']);
    expect(await fieldsOf({ joints: [{ label: 'x', kind: 'screw', partKeys: ['body', 'roof'] }] })).deep.equal([
      'joints.0.partKeys',
    ]);
    expect(await fieldsOf({ parts: [part('Body!')] })).deep.equal(['parts.0.key']);
    expect(await fieldsOf({ rangeId: 'nowhere' })).deep.equal(['rangeId']);
    expect(await fieldsOf({ lengthMm: 'long' })).include('lengthMm');
    const { body } = await bench.http
      .post('/api/castings')
      .send(casting({ wheelbaseMm: 70 }))
      .expect(400);
    expect((body as ErrorBody).path).equal('wheelbaseMm');
  });

  it('finds models, castings, parts and paints by any of their words', async () => {
    const find = (q: string) => bench.get<FoundPlace[]>(`find?q=${encodeURIComponent(q)}`);
    expect((await find('dumper'))[0]).deep.include({ kind: 'model', path: '/jobs/sg-04/identify' });
    expect((await find('deep green')).map((place) => place.kind)).include('paint');
    expect((await find('skip sg-04')).map((place) => place.kind)).deep.equal(['part']);
    expect(await find('xyzzy')).deep.equal([]);
    expect(await find('  ')).deep.equal([]);
  });
});

describe('the house', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: false })));
  after(() => bench.clear());

  it('listens to its own page only', async () => {
    await bench.http.get('/api/health').set('Host', 'evil.example').expect(403);
    await bench.http.post('/api/jobs').set('Origin', 'http://evil.example').send({}).expect(403);
    await bench.http
      .post('/api/jobs')
      .set('Host', 'localhost:4180')
      .set('Origin', 'http://localhost:4180')
      .send({})
      .expect(400);
  });

  it('allows scripts, workers and pictures of its own only', async () => {
    const { headers } = await bench.http.get('/api/health');
    expect(headers['content-security-policy'])
      .include("default-src 'self'")
      .include("worker-src 'self'")
      .not.include('unsafe-eval');
  });

  it('keeps the demo away from a restorer’s folder', () => {
    const env = { SARDONYX_DATA: '/mine' };
    expect(readConfig(env, []).folder).equal('/mine');
    expect(readConfig(env, ['--demo']).folder).match(/\.data\/demo$/);
    expect(readConfig({}, []).folder).equal(join(homedir(), 'Sardonyx'));
    expect(readConfig({}, []).host).equal('127.0.0.1');
    expect(() => readConfig({ SARDONYX_PORT: 'http' }, [])).throw('must be a port number');
  });

  it('can start its clock at a given time and runs on from it', () => {
    const clock = chooseClock({ SARDONYX_NOW: '2026-11-25T18:30:00Z' });
    expect(clock().getTime() - Date.parse('2026-11-25T18:30:00Z')).within(0, 1000);
    expect(() => chooseClock({ SARDONYX_NOW: 'teatime' })).throw('must be an ISO time');
    expect(Math.abs(chooseClock({})().getTime() - Date.now())).lessThan(1000);
  });

  it('keeps what was written when it is opened again', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-again-'));
    const first = await openRoom(folder, false);
    await first.source.query(
      "INSERT INTO maker (id, version, name, fromYear, toYear, about) VALUES ('m', 1, 'Maker', NULL, NULL, '')",
    );
    await first.source.destroy();
    const second = await openRoom(folder, false);
    expect(await second.source.query('SELECT name FROM maker')).deep.equal([{ name: 'Maker' }]);
    await second.source.destroy();
    await rm(folder, { recursive: true, force: true });
  });
});
