import type { CastingView, JobView } from '@sardonyx/contract';
import { identifySpecimen, pasteTable, selectAnswers, selectGiven, writeSheet, type Casting } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';

const LISTS = {
  Attic: 'Issue\tEarly\tLate\nYears\t1958-60\t1961-64\nWheels\tcast\tplastic\n',
  Cellar: 'Issue\tFirst\tSecond\nYears\t1955-57\t1958-62\nwheels\tplastic\tribbed\n',
};

describe('a look that two ranges know', () => {
  let bench: TestBench;
  let castings: Record<keyof typeof LISTS, string>;
  let jobId: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    const ids: string[] = [];
    for (const [range, list] of Object.entries(LISTS)) {
      const casting = { ...OWN_LORRY, rangeId: null, rangeName: range, makerName: null };
      const { body } = await bench.http.post('/api/castings').send(casting).expect(201);
      const { id } = body as Casting;
      const sheet = pasteTable(writeSheet(await view(id)), list, { issue: 0, at: 'name' });
      await bench.http.put(`/api/castings/${id}/issues`).send(sheet).expect(200);
      ids.push(id);
    }
    castings = { Attic: ids[0]!, Cellar: ids[1]! };
    const { body } = await bench.http
      .post('/api/jobs')
      .send({ ...ownJob('', 'No number'), castingId: null })
      .expect(201);
    jobId = (body as { id: string }).id;
  });
  afterEach(() => bench.clear());

  const view = (id: string) => bench.get<CastingView>(`castings/${id}`);
  const model = async () => (await bench.get<JobView>(`jobs/${jobId}`)).specimens[0]!;
  const stateOf = async (range: keyof typeof LISTS, label: string) =>
    (await view(castings[range])).states.find((state) => state.label === label)!.id;
  const settle = async (range: keyof typeof LISTS) => {
    const { specimen } = await model();
    const body = { version: specimen.version, castingId: castings[range] };
    await bench.http.patch(`/api/specimens/${specimen.id}`).send(body).expect(200);
  };
  const read = async () => {
    const { observations, catalogue } = await model();
    const { states, id } = catalogue.features[0]!;
    const given = observations.find(({ featureId }) => featureId === id);
    return states.find((state) => state.id === given?.stateId)?.label;
  };

  it('is asked once while nobody knows the casting, and counts for whichever it is, there and back', async () => {
    const { catalogue, specimen } = await model();
    expect(catalogue.features.map(({ label }) => label)).deep.equal(['Wheels']);
    const [wheels] = catalogue.features;
    const plastic = wheels!.states.filter(({ label }) => label === 'plastic');
    expect(plastic).length(1);
    const look = { specimenId: specimen.id, featureId: wheels!.id, stateId: plastic[0]!.id, certainty: 'sure' };
    await bench.http.post('/api/observations').send(look).expect(201);
    const given = selectGiven(await model());
    const chances = identifySpecimen(catalogue, selectAnswers(catalogue, given)).ranked;
    const likely = chances.slice(0, 2).map(({ name }) => name.split(', ')[1]);
    expect(likely).have.members(['Late', 'First']);
    for (const range of ['Cellar', 'Attic', 'Cellar'] as const) {
      await settle(range);
      expect(await read(), range).equal('plastic');
      expect((await model()).observations[0]!.stateId).equal(await stateOf(range, 'plastic'));
    }
  });

  it('takes what only the other range knows, and keeps it where it is not known', async () => {
    const { catalogue, specimen } = await model();
    const [wheels] = catalogue.features;
    const ribbed = wheels!.states.find(({ label }) => label === 'ribbed')!;
    const look = { specimenId: specimen.id, featureId: wheels!.id, stateId: ribbed.id, certainty: 'sure' };
    await bench.http.post('/api/observations').send(look).expect(201);
    await settle('Cellar');
    expect(await read()).equal('ribbed');
    // Seen again there, with the row that was made before.
    const [seen] = (await model()).observations;
    const change = { version: seen!.version, stateId: await stateOf('Cellar', 'plastic'), certainty: 'likely' };
    await bench.http.patch(`/api/observations/${seen!.id}`).send(change).expect(200);
    expect(await read()).equal('plastic');
    await settle('Attic');
    expect(await read()).equal('plastic');
  });

  it('is no such look where the states are of something else', async () => {
    const { catalogue, specimen } = await model();
    const feature = {
      ...{ rangeId: (await view(castings.Attic)).range.id, key: 'lamps', label: 'Lamps', howToLook: '' },
      ...{ partRole: 'trim', effort: 1, destroys: '', group: 'fitted part' },
    };
    const { body } = await bench.http.post('/api/features').send(feature).expect(201);
    const look = {
      ...{ specimenId: specimen.id, featureId: (body as { id: string }).id, certainty: 'sure' },
      stateId: catalogue.features[0]!.states[0]!.id,
    };
    await bench.http.post('/api/observations').send(look).expect(422);
  });
});
