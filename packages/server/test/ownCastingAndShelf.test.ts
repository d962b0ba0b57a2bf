import type { BenchView, CastingView, ColourReading, JobView, ShelfView } from '@sardonyx/contract';
import { convertHexToLab, computeDe00, type Casting } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, OWN_POT, ownJob } from './support/ownLorry.ts';

const who = 'Nell';
describe('a casting and a shelf of one’s own, on an empty bench', () => {
  let bench: TestBench;
  let casting: CastingView;
  before(async () => {
    bench = await createTestBench({ isDemo: false });
    const { body } = await bench.http.post('/api/castings').send(OWN_LORRY).expect(201);
    casting = await bench.get<CastingView>(`castings/${(body as Casting).id}`);
  });
  after(() => bench.clear());
  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);

  it('is reached inside only when body and base are apart; what sits outside is reached at once', () => {
    const behind = Object.fromEntries(
      casting.joints.map(({ label, ways }) => [label, ways.map((way) => way.behindJoints)]),
    );
    expect(behind).deep.equal({
      'front post': [[]],
      'rear post': [[]],
      window: [['joint-1', 'joint-2']],
      seat: [['joint-1', 'joint-2']],
      hook: [[]],
      'axle ends': [[]],
    });
  });

  it('begins everything with version 1, and counts up by one', async () => {
    const { parts, joints, range, maker } = casting;
    for (const row of [casting.casting, range, maker, ...parts, ...joints]) expect(row.version, row.id).equal(1);
    const { body: job } = await post('jobs', ownJob(casting.casting.id)).expect(201);
    const { id } = job as { id: string };
    const view = () => bench.get<JobView>(`jobs/${id}`);
    const task = (await view()).tasks[0]!;
    for (const act of ['start', 'done', 'take back'])
      await post(`tasks/${task.id}/acts`, { act, who, note: 'so' }).expect(200);
    const versions = (await view()).tasks.map(({ version }) => version);
    expect(versions[0]).equal(4);
    expect(new Set(versions.slice(1))).deep.equal(new Set([1]));
  });

  it('shows each lane its own parts, whose first outside is its band', async () => {
    await post('jobs', ownJob(casting.casting.id, 'Another')).expect(201);
    const { lanes, castings } = await bench.get<BenchView>('bench');
    expect(castings.map(({ name }) => name)).deep.equal(['7/1 Attic Lorry']);
    for (const lane of lanes) {
      expect(lane.parts.map(({ key }) => key)).deep.equal(OWN_LORRY.parts.map(({ key }) => key));
      expect(lane.castingId).equal(casting.casting.id);
    }
  });

  it('has on its shelf what the binder usually does, until the sheet was read', async () => {
    await post('shelf/pots', { ...OWN_POT, name: 'Green' }).expect(201);
    await post('shelf/pots', { ...OWN_POT, name: 'Lake', binder: 'lacquer' }).expect(201);
    const { products } = await bench.get<ShelfView>('shelf');
    expect(products.map(({ name, dryFilmUm, recoatMin, dropMl }) => [name, dryFilmUm, recoatMin, dropMl])).deep.equal([
      ['Green', 16, 60, 0.05],
      ['Lake', 12, 60, 0.025],
    ]);
  });

  it('writes spectra only of paints that the mixing model knows', async () => {
    await post('shelf/pots', { ...OWN_POT, name: 'Silver', gloss: 'metallic' }).expect(201);
    const { text } = await bench.http.get('/api/shelf.txt').expect(200);
    expect(text).not.include('Silver').and.not.include('Green');
  });
});

describe('a spectrophotometer at a part', () => {
  it('reads the outside of that part: factory paint where it is sheltered, the last coat where it is exposed', async () => {
    const bench = await createTestBench();
    await bench.http.post('/api/instruments/spectro/calibrate').send({}).expect(200);
    const read = async (place: string) =>
      (
        await bench.http
          .post('/api/instruments/spectro/measure')
          .send({ what: 'part', id: 'sg-01-1.body', place })
          .expect(200)
      ).body as ColourReading;
    const [specimen] = (await bench.get<JobView>('jobs/sg-01')).specimens;
    const outside = specimen!.areas.find((area) => area.specimenPartId === 'sg-01-1.body' && area.kind === 'outside')!;
    const own = specimen!.layers.filter((layer) => layer.areaId === outside.id && layer.kind === 'colour');
    const factory = convertHexToLab(own.find((layer) => layer.whose === 'factory')!.colourHex);
    const last = convertHexToLab(own.at(-1)!.colourHex);
    expect(computeDe00(factory, last), 'overpainted').greaterThan(5);
    expect(computeDe00((await read('sheltered')).lab, factory)).lessThan(2);
    expect(computeDe00((await read('exposed')).lab, last)).lessThan(8);
    await bench.clear();
  });
});
