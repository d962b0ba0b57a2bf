import type { CastingView, ErrorBody, HouseView, SpecimenView } from '@sardonyx/contract';
import type { Casting, Feature, FeatureState, Job } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';

const who = 'Nell';

describe('a model that is of no listed issue', () => {
  let bench: TestBench;
  let castingId: string;
  let specimenId: string;
  let states: Record<string, string>;
  let features: Record<string, string>;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    castingId = (await post<Casting>('castings', OWN_LORRY)).id;
    const job = await post<Job>('jobs', ownJob(castingId));
    specimenId = (await bench.get<{ specimens: { specimen: { id: string } }[] }>(`jobs/${job.id}`)).specimens[0]!
      .specimen.id;
    [states, features] = [{}, {}];
    for (const key of ['colour', 'grille', 'wheels'])
      for (const state of ['a', 'b', 'c']) {
        features[key] ??= (await post<Feature>('features', featureOf(key))).id;
        states[`${key} ${state}`] = (await post<FeatureState>('feature-states', stateOf(features[key], state))).id;
      }
    const keys = Object.keys(features);
    const first = { ...{ id: null, version: null, name: 'First', years: '1960-61' }, rarity: '1', evidence: '' };
    await bench.http
      .put(`/api/castings/${castingId}/issues`)
      .send({
        rows: keys.map((key) => ({ featureId: features[key], label: `The ${key}` })),
        issues: [{ ...first, cells: keys.map(() => 'a') }],
      })
      .expect(200);
  });
  afterEach(() => bench.clear());

  const featureOf = (key: string) => ({
    ...{ rangeId: 'own', key, label: `The ${key}`, howToLook: '', partRole: 'body', effort: 1, destroys: '' },
    group: 'body casting',
  });
  const stateOf = (featureId: string, key: string) => ({
    ...{ featureId, key, label: key, colourHex: null, fromYear: null, toYear: null, lookAlikes: [] },
  });
  const post = async <T>(path: string, body: object) => {
    const sent = await bench.http.post(`/api/${path}`).send(body);
    expect(sent.status, `${path}: ${JSON.stringify(sent.body)}`).equal(201);
    return sent.body as T;
  };
  const see = (key: string, state: string, certainty = 'sure') =>
    post('observations', { specimenId, featureId: features[key], stateId: states[`${key} ${state}`], certainty });
  const write = (body: object) => bench.http.post(`/api/specimens/${specimenId}/issue`).send({ who, ...body });
  const view = () => bench.get<CastingView>(`castings/${castingId}`);
  const model = () => bench.get<SpecimenView>(`specimens/${specimenId}`);

  it('becomes an issue with what was read on it, its years and itself as the source, and is settled as the first of it', async () => {
    await see('colour', 'a');
    await see('grille', 'b');
    await see('wheels', 'c', 'unsure');
    const { body } = await write({ name: 'Barred grille', variantId: null }).expect(201);
    const { variants, variantStates, sources } = await view();
    const found = variants.find((one) => one.name === 'Barred grille')!;
    expect(found).deep.equal(body);
    expect(found).include({ foundOnId: specimenId, key: 'barred-grille' });
    expect(found.startEarliest).within(1956, 1961);
    expect(found.endLatest).within(1961, 1967);
    const own = variantStates.filter((one) => one.variantId === found.id).map((one) => one.stateId);
    expect(own).have.members([states['colour a'], states['grille b']]);
    expect(sources.map(({ variantId, origin }) => [variantId, origin])).deep.equal([
      [found.id, `${(await model()).specimen.name}, looked at by Nell`],
    ]);
    expect((await model()).specimen).include({ settledVariantId: found.id, settledBy: 'found on this model' });
    // It agrees with itself in all that was read: nothing about misreading is learned from it.
    const { learned } = await bench.get<HouseView>('house');
    expect(learned.caseCount).equal(0);
  });

  it('raises the chance that the next model is of an unlisted issue, too', async () => {
    const before = (await view()).unlistedChance!;
    await see('grille', 'b');
    await write({ name: 'Barred grille', variantId: null }).expect(201);
    const after = (await view()).unlistedChance!;
    expect(after).greaterThan(before);
    const { casting } = await view();
    await bench.http.patch(`/api/castings/${castingId}`).send({ version: casting.version, listed: 'all' }).expect(200);
    expect((await view()).unlistedChance).lessThan(after);
    expect((await model()).catalogue.unlisted).deep.equal({ [castingId]: (await view()).unlistedChance });
  });

  it('can be added to a listed issue that exists so, too; nothing is settled by that', async () => {
    await see('colour', 'a');
    await see('grille', 'b');
    const first = (await view()).variants[0]!;
    await write({ name: null, variantId: first.id }).expect(201);
    const { variantStates, sources, variants } = await view();
    expect(variants.length).equal(1);
    const shares = variantStates
      .filter((one) => one.featureId === features.grille)
      .map(({ stateId, share }) => [stateId, share]);
    expect(shares).have.deep.members([
      [states['grille a'], 0.5],
      [states['grille b'], 0.5],
    ]);
    expect(sources[0]).include({ variantId: first.id });
    expect((await model()).specimen.settledVariantId).equal(null);
    const again = await write({ name: null, variantId: first.id }).expect(422);
    expect((again.body as ErrorBody).code).equal('nothing-new');
  });

  it('is refused where nothing was read, a name is taken, or neither or both are said, and nothing is written', async () => {
    expect(((await write({ name: 'X', variantId: null }).expect(422)).body as ErrorBody).code).equal('nothing-read');
    await see('grille', 'b');
    const first = (await view()).variants[0]!;
    for (const body of [
      { name: 'First', variantId: null },
      { name: null, variantId: null },
      { name: 'X', variantId: first.id },
      { name: 'X', variantId: null, more: 1 },
      { name: '', variantId: null },
    ])
      await write(body).expect(400);
    await write({ name: null, variantId: 'gone' }).expect(404);
    const { variants, sources } = await view();
    expect([variants.length, sources.length]).deep.equal([1, 0]);
    expect((await model()).specimen.settledVariantId).equal(null);
  });
});
