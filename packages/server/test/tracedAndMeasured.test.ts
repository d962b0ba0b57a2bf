import type { CastingView, HouseView, JobView } from '@sardonyx/contract';
import type { Casting, ColourCapture, Observation } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';

const node = (x: number, y: number) => ({ x, y, bend: 'corner' });
const line = (partKey: string, changes: object = {}) => ({
  ...{ partKey, surface: 'coat', line: 'outline', area: '', isMirrored: false },
  nodes: [node(1, 2), node(60, 2), node(60, 20)],
  ...changes,
});
const trace = (changes: object = {}) => ({
  ...{ widthMm: 90, heightMm: 30, underAt: { x: 0, y: 0 }, photo: null, artwork: [] },
  ...{ shapes: [line('body')], anchors: [{ featureKey: 'body-colour', x: 20, y: 9 }], joints: [] },
  ...changes,
});

describe('a casting of one’s own, traced and measured', () => {
  let bench: TestBench;
  let castingId: string;
  let jobId: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    castingId = ((await bench.http.post('/api/castings').send(OWN_LORRY).expect(201)).body as Casting).id;
    jobId = ((await bench.http.post('/api/jobs').send(ownJob(castingId)).expect(201)).body as { id: string }).id;
  });
  afterEach(() => bench.clear());

  const view = () => bench.get<CastingView>(`castings/${castingId}`);
  const model = async () => (await bench.get<JobView>(`jobs/${jobId}`)).specimens[0]!;
  const write = async (body: object | null, changes: object = {}) => {
    const { version } = (await view()).casting;
    return bench.http.put(`/api/castings/${castingId}/traces/side`).send({ version, trace: body, ...changes });
  };

  it('is drawn by its trace, and as before without it', async () => {
    const before = (await view()).casting.drawing;
    expect((await write(trace())).status).equal(200);
    const { casting } = await view();
    expect(casting.drawing.views[0]!.shapes.filter(({ partKey }) => partKey === 'body')).length(1);
    expect(casting.drawing.views[0]!.anchors).length(1);
    expect(casting.traces.side!.under).deep.equal(before.views[0]);
    // Traced anew it keeps what was there first, not what was traced before.
    expect((await write(trace({ shapes: [] }))).status).equal(200);
    expect((await view()).casting.drawing.views[0]!.shapes).deep.equal(before.views[0]!.shapes);
    expect((await write(null)).status).equal(200);
    expect((await view()).casting.drawing).deep.equal(before);
    expect((await view()).casting.traces).deep.equal({});
  });

  it('is refused with what does not fit, and nothing is changed', async () => {
    const before = (await view()).casting;
    for (const [body, where] of [
      [trace({ shapes: [line('moon')] }), 'shapes'],
      [trace({ shapes: [line('body', { bend: 'x' })] }), 'trace.shapes.0.bend'],
      [trace({ shapes: [line('body', { surface: 'shade' })] }), 'trace.shapes.0.surface'],
      [trace({ shapes: [line('body', { nodes: [node(1, 9999)] })] }), 'trace.shapes.0.nodes.0.y'],
      [trace({ artwork: [{ partKey: 'body', surface: 'coat', d: '<script>', box: [0, 0, 1, 1] }] }), 'trace.artwork'],
      [trace({ widthMm: 0 }), 'trace.widthMm'],
    ] as const) {
      const answer = await write(body);
      expect(answer.status, where).equal(400);
      expect(Object.keys((answer.body as { fields: object }).fields), where).include(where);
    }
    expect((await write(trace(), { version: 99 })).status).equal(409);
    const { version } = before;
    await bench.http.put(`/api/castings/${castingId}/traces/roof`).send({ version, trace: null }).expect(404);
    expect((await view()).casting).deep.equal(before);
  });

  it('loses a photograph that is gone, and keeps the lines', async () => {
    const photo = { photoId: 'gone', a: 1, b: 0, dx: 0, dy: 0, isMirrored: false };
    expect((await write(trace({ photo }))).status).equal(200);
    const { side } = (await view()).casting.traces;
    expect([side!.photo, side!.shapes.length]).deep.equal([null, 1]);
  });

  it('gives its models the areas that it bounds, once, and keeps what it was traced from to itself', async () => {
    const shapes = [line('body'), line('body', { area: 'grille' }), line('base', { area: 'underside' })];
    await write(trace({ shapes }));
    await write(trace({ shapes }));
    const areas = (await model()).areas.map(({ kind, name }) => `${kind} ${name}`);
    expect(areas.filter((one) => one === 'mask grille')).length(1);
    expect(areas).include('underside underside');
    const file = await bench.get<{ castings: object[] }>('catalogue.json');
    expect(file.castings[0]).not.have.property('traces');
    const second = await bench.http.post('/api/jobs').send(ownJob(castingId, 'Another')).expect(201);
    const { specimens } = await bench.get<JobView>(`jobs/${(second.body as { id: string }).id}`);
    expect(specimens[0]!.areas.map(({ name }) => name)).include('grille');
  });

  it('shows the photographs of its own models only', async () => {
    expect(await bench.get(`castings/${castingId}/photos`)).deep.equal([]);
  });

  describe('with colours', () => {
    const capture = async (changes: object = {}) => {
      const { parts } = await model();
      const body = {
        ...{ specimenPartId: parts.find(({ key }) => key === 'body')!.id, place: 'sheltered', note: 'inside' },
        ...{ lab: [42, -20, 12], sd: [0.4, 0.4, 0.4], spectrum: null, geometry: 'gloss left out', method: 'typed' },
        ...{ photoId: null, point: null, who: 'Nell' },
        ...changes,
      };
      return bench.http.post('/api/captures').send(body);
    };
    const addFeature = async () => {
      const { range } = await view();
      const body = {
        ...{ rangeId: range.id, key: 'colour', label: 'Body colour', howToLook: '', partRole: 'body' },
        ...{ effort: 1, destroys: '', group: 'outer coat' },
      };
      const feature = (await bench.http.post('/api/features').send(body).expect(201)).body as { id: string };
      const state = await bench.http
        .post('/api/feature-states')
        .send({
          ...{ featureId: feature.id, key: 'dark', label: 'Dark green', colourHex: null },
          ...{ fromYear: null, toYear: null, lookAlikes: [] },
        })
        .expect(201);
      return { featureId: feature.id, state: state.body as { id: string; version: number } };
    };

    it('answers a look as it is kept, beside what the eye said, and again with a second place', async () => {
      const { featureId, state } = await addFeature();
      const first = (await capture({ answersId: featureId })).body as ColourCapture;
      expect((await model()).observations.map(({ stateId, captureIds }) => [stateId, captureIds])).deep.equal([
        [null, [first.id]],
      ]);
      const [seen] = (await model()).observations as [Observation];
      await bench.http
        .patch(`/api/observations/${seen.id}`)
        .send({ version: seen.version, stateId: state.id, certainty: 'likely' })
        .expect(200);
      const second = (await capture({ answersId: featureId, place: 'exposed' })).body as ColourCapture;
      const [now] = (await model()).observations as [Observation];
      expect(now).deep.include({ stateId: state.id, certainty: 'likely', captureIds: [first.id, second.id] });
      expect((await model()).captures.map(({ id }) => id)).have.members([first.id, second.id]);
    });

    it('counts only what was captured on that very model', async () => {
      const { featureId } = await addFeature();
      const { id } = (await capture()).body as ColourCapture;
      const other = await bench.http.post('/api/jobs').send(ownJob(castingId, 'Another')).expect(201);
      const { specimens } = await bench.get<JobView>(`jobs/${(other.body as { id: string }).id}`);
      const look = { featureId, stateId: null, certainty: 'cannot see', captureIds: [id] };
      const body = { ...look, specimenId: specimens[0]!.specimen.id };
      const refused = await bench.http.post('/api/observations').send(body).expect(422);
      expect((refused.body as { message: string }).message).match(/captured on this model/);
      const own = { ...look, specimenId: (await model()).specimen.id };
      await bench.http
        .post('/api/observations')
        .send({ ...own, captureIds: ['none'] })
        .expect(422);
      await bench.http.post('/api/observations').send(own).expect(201);
      expect((await capture({ answersId: 'none' })).status).equal(404);
    });

    it('keeps a state’s measured colour, takes it out again, and refuses what is none', async () => {
      const { state } = await addFeature();
      const colour = {
        ...{ lab: [42, -20, 12], sd: [0.4, 0.4, 0.4], geometry: 'gloss left out', place: 'sheltered' },
        specimenId: (await model()).specimen.id,
      };
      const patch = (body: object) => bench.http.patch(`/api/feature-states/${state.id}`).send(body);
      await patch({ version: 1, colour: { ...colour, lab: [900, 0, 0] } }).expect(400);
      await patch({ version: 1, colour: { ...colour, extra: 1 } }).expect(400);
      await patch({ version: 1, colour: { ...colour, specimenId: 'none' } }).expect(404);
      await patch({ version: 1, colour }).expect(200);
      expect((await view()).states[0]!.colour).deep.equal(colour);
      await patch({ version: 2, colour: null }).expect(200);
      expect((await view()).states[0]!.colour).equal(null);
    });
  });

  describe('with sizes', () => {
    const addWheels = async () => {
      const { range } = await view();
      const feature = {
        ...{ rangeId: range.id, key: 'wheels', label: 'Wheels', howToLook: '', partRole: 'wheel' },
        ...{ effort: 2, destroys: '', group: 'wheels' },
      };
      const { body } = await bench.http.post('/api/features').send(feature).expect(201);
      const featureId = (body as { id: string }).id;
      const state = {
        ...{ featureId, key: 'small', label: 'Small', colourHex: null },
        ...{ fromYear: null, toYear: null, lookAlikes: [] },
      };
      const made = await bench.http.post('/api/feature-states').send(state).expect(201);
      return { featureId, state: made.body as { id: string; version: number } };
    };
    const SIZE = { value: 9.5, unit: 'mm', sd: 0.1 };

    it('keeps a state’s size and a model’s, takes them out again, and refuses what is none', async () => {
      const { featureId, state } = await addWheels();
      const patch = (size: object | null, version = 1) =>
        bench.http.patch(`/api/feature-states/${state.id}`).send({ version, size });
      await patch({ ...SIZE, value: -1 }).expect(400);
      await patch({ ...SIZE, unit: 'inch' }).expect(400);
      await patch({ ...SIZE, extra: 1 }).expect(400);
      await patch(SIZE).expect(200);
      expect((await view()).states[0]!.size).deep.equal(SIZE);
      const { specimen } = await model();
      const look = { specimenId: specimen.id, featureId, stateId: null, certainty: 'cannot see' };
      await bench.http
        .post('/api/observations')
        .send({ ...look, size: { ...SIZE, sd: 0 } })
        .expect(400);
      await bench.http
        .post('/api/observations')
        .send({ ...look, size: SIZE })
        .expect(201);
      const [seen] = (await model()).observations;
      expect(seen!.size).deep.equal(SIZE);
      await bench.http.patch(`/api/observations/${seen!.id}`).send({ version: 1, size: null }).expect(200);
      expect((await model()).observations[0]!.size).equal(null);
      await patch(null, 2).expect(200);
      expect((await view()).states[0]!.size).equal(null);
    });

    it('reckons with what the house says of how far colours spread', async () => {
      const { version } = (await bench.get<HouseView>('house')).house;
      const patch = (body: object) => bench.http.patch('/api/house-style/house').send({ version, ...body });
      await patch({ colourBatchSd: 0 }).expect(400);
      await patch({ colourBatchSd: 1.5, colourFadingSd: 5 }).expect(200);
      expect((await model()).catalogue.colourSpread).deep.equal({ batchSd: 1.5, fadingSd: 5 });
    });
  });
});
