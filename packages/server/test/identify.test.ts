import type { CastingView, ErrorBody, HouseView, JobView, SpecimenView } from '@sardonyx/contract';
import {
  createReport,
  createIdentifier,
  syncAnswersInPlace,
  selectAnswers,
  writeAt,
  writeSheet,
  type TaskLog,
} from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const WHO = { who: 'Osric Bell', note: '' };

describe('stop before you strip', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  /** The first task of SG-02 that cannot be undone, with everything before it done. */
  async function reachIrreversible() {
    for (;;) {
      const { tasks } = await bench.get<JobView>('jobs/sg-02');
      const open = tasks.filter(
        (task) => task.state === 'to do' && task.after.every((link) => isDone(tasks, link.key)),
      );
      const grave = open.find((task) => task.irreversible);
      if (grave) return grave;
      await bench.http
        .post(`/api/tasks/${open[0]!.id}/acts`)
        .send({ act: 'done otherwise', ...WHO, note: 'at another bench' })
        .expect(200);
    }
  }
  const isDone = (tasks: JobView['tasks'], key: string) =>
    tasks.every((task) => task.key !== key || task.state === 'done' || task.state === 'not needed');

  it('holds back the first irreversible step of the rare tool, says why, and goes on with a reason that is logged', async () => {
    const task = await reachIrreversible();
    const { body } = await bench.http
      .post(`/api/tasks/${task.id}/acts`)
      .send({ act: 'start', ...WHO })
      .expect(422);
    const { code, message } = body as ErrorBody;
    expect(code).equal('stop-before-strip');
    expect(message).match(/expected loss \d\.\d of 10, the house allows 1; Short hose, works ochre/);
    await bench.http
      .post(`/api/tasks/${task.id}/acts`)
      .send({ act: 'start', ...WHO, goAheadBecause: 'The museum has two others.' })
      .expect(200);
    const { log } = await bench.get<JobView>('jobs/sg-02');
    const entry = log.find((one: TaskLog) => one.act === 'went ahead')!;
    expect(entry).include({ taskId: task.id, who: 'Osric Bell' });
    expect(entry.note).match(/^The museum has two others\. \(expected loss/);
    const record = await bench.get<{ work: { act: string; note: string }[] }>('jobs/sg-02/record.json');
    expect(record.work.some((one) => one.act === 'went ahead' && one.note.includes('museum'))).equal(true);
  });

  it('lets it go when the house allows more', async () => {
    const task = await reachIrreversible();
    const { house } = await bench.get<HouseView>('house');
    await bench.http.patch('/api/house-style/house').send({ version: house.version, lossThreshold: 10 }).expect(200);
    await bench.http
      .post(`/api/tasks/${task.id}/acts`)
      .send({ act: 'start', ...WHO })
      .expect(200);
    await bench.http.patch('/api/house-style/house').send({ version: 2, lossThreshold: 11 }).expect(400);
  });

  it('lets it go when the paint turns out not to be its own', async () => {
    const { specimens } = await bench.get<JobView>('jobs/sg-02');
    const paint = specimens[0]!.observations.find((one) => one.featureId === 'hand-span.body-colour')!;
    await bench.http
      .patch(`/api/observations/${paint.id}`)
      .send({ version: paint.version, certainty: 'replaced' })
      .expect(200);
    const task = await reachIrreversible();
    await bench.http
      .post(`/api/tasks/${task.id}/acts`)
      .send({ act: 'start', ...WHO })
      .expect(200);
  });
});

describe('what identification rests on', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  it('keeps sizes and statements of a specimen, and weighs them', async () => {
    const { specimens } = await bench.get<JobView>('jobs/sg-01');
    const { id } = specimens[0]!.specimen;
    const size = { specimenId: id, what: 'wheelbase', valueMm: 36.1, spreadMm: 0.1 };
    const { body } = await bench.http.post('/api/measurements').send(size).expect(201);
    await bench.http.post('/api/measurements').send(size).expect(422);
    const { id: sizeId, version } = body as { id: string; version: number };
    await bench.http.patch(`/api/measurements/${sizeId}`).send({ version, valueMm: 0 }).expect(400);
    const said = { castingId: null, variantId: null, specimenId: id, statement: 'Bought new', origin: 'The owner' };
    await bench.http
      .post('/api/sources')
      .send({ ...said, fromYear: 1963, toYear: 1960, certainty: 'likely' })
      .expect(422);
    await bench.http
      .post('/api/sources')
      .send({ ...said, fromYear: 1960, toYear: 1961, certainty: 'likely' })
      .expect(201);
    await bench.http
      .post('/api/sources')
      .send({ ...said, specimenId: null, fromYear: 1960, toYear: null, certainty: 'likely' })
      .expect(422);
    const after = await bench.get<SpecimenView>(`specimens/${id}`);
    expect(after.measurements[0]).include({ what: 'wheelbase', valueMm: 36.1 });
    expect(after.sources.map((source) => source.statement)).deep.equal(['Bought new']);
  });

  it('knows the casting of an unnumbered model by sizes and features alone', async () => {
    const created = await bench.http
      .post('/api/jobs')
      .send({ castingId: null, title: 'No number', scope: 'full', target: 'as issued', why: '', dueOn: null })
      .expect(201);
    const view = await bench.get<JobView>(`jobs/${(created.body as { id: string }).id}`);
    const { catalogue } = view.specimens[0]!;
    expect(catalogue.measures.map((measure) => measure.id)).deep.equal(['length', 'wheelbase']);
    const seen = {
      featureId: 'hand-span.body-colour',
      stateId: 'hand-span.body-colour.ochre',
      certainty: 'sure' as const,
    };
    const { casting } = await bench.get<CastingView>('castings/road-sweeper');
    const answers = selectAnswers(catalogue, {
      observations: [{ ...seen, specimenId: view.specimens[0]!.specimen.id, captureIds: [], size: null }],
      measurements: [
        { what: 'length', valueMm: casting.lengthMm + 0.2, spreadMm: 0.1 },
        { what: 'wheelbase', valueMm: casting.wheelbaseMm - 0.1, spreadMm: 0.1 },
      ],
    });
    const identifier = createIdentifier(catalogue);
    syncAnswersInPlace(identifier, [], answers, []);
    const { identification } = createReport(identifier, 1);
    const ofSweeper = identification.ranked
      .filter((variant) => variant.castingId === 'road-sweeper')
      .reduce((sum, variant) => sum + variant.probability, 0);
    expect(ofSweeper).greaterThan(0.6);
  });

  it('edits features, states, issues and what they are known by, and refuses what would lose looks', async () => {
    const feature = {
      ...{ rangeId: 'hand-span', key: 'steps', label: 'Step plates', howToLook: 'Under the doors.', partRole: 'body' },
      ...{ effort: 2, destroys: '', group: 'body casting' },
    };
    const made = (await bench.http.post('/api/features').send(feature).expect(201)).body as { id: string };
    const state = {
      featureId: made.id,
      key: 'ribbed',
      label: 'Ribbed',
      colourHex: null,
      fromYear: 1960,
      toYear: null,
      lookAlikes: [],
    };
    const ribbed = (await bench.http.post('/api/feature-states').send(state).expect(201)).body as { id: string };
    await bench.http
      .post('/api/feature-states')
      .send({ ...state, key: 'plain', toYear: 1950 })
      .expect(422);
    const sheet = writeSheet(await bench.get<CastingView>('castings/milk-float'));
    const row = sheet.rows.findIndex(({ featureId }) => featureId === made.id);
    const issues = sheet.issues.map((issue, i) => (i === 0 ? writeAt(issue, row, 'ribbed') : issue));
    await bench.http
      .put('/api/castings/milk-float/issues')
      .send({ ...sheet, issues })
      .expect(200);
    const { variantStates } = await bench.get<CastingView>('castings/milk-float');
    expect(variantStates.filter((row) => row.featureId === made.id).map((row) => row.stateId)).deep.equal([ribbed.id]);
    await bench.http.delete('/api/features/hand-span.body-colour').expect(422);
    await bench.http.delete('/api/castings/milk-float').expect(422);
    await bench.http.patch('/api/variants/milk-float.v01').send({ version: 2, endLatest: 1950 }).expect(422);
    await bench.http.patch('/api/variants/milk-float.v01').send({ version: 2, rarity: 3 }).expect(200);
  });
});

describe('what settled models teach', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const settle = (fields: object) => async () => {
    const { specimen } = await bench.get<SpecimenView>('specimens/sg-05-1');
    return bench.http.patch('/api/specimens/sg-05-1').send({ version: specimen.version, ...fields });
  };
  const ratesOf = async (specimenId: string) =>
    (await bench.get<SpecimenView>(`specimens/${specimenId}`)).catalogue.rates ?? null;

  it('is nothing before one is settled, as one of the issues of its casting and with how that is known', async () => {
    expect((await bench.get<HouseView>('house')).learned).deep.equal({ alteration: 1, misreading: 1, caseCount: 0 });
    expect(await ratesOf('sg-05-1')).equal(null);
    for (const [fields, field] of [
      [{ settledBy: 'opened and seen' }, 'settledVariantId'],
      [{ settledBy: 'opened and seen', settledVariantId: 'milk-float.v01' }, 'settledVariantId'],
      [{ settledBy: 'a feeling', settledVariantId: 'breakdown.v01' }, 'settledBy'],
    ] as const) {
      const { status, body } = await settle(fields)();
      expect(status, field).within(400, 422);
      expect(Object.keys((body as ErrorBody).fields ?? {})).include(field);
    }
  });

  it('is believed for every model of the bench, until the house sets it back', async () => {
    const { catalogue } = await bench.get<SpecimenView>('specimens/sg-05-1');
    const settledVariantId = catalogue.variants[0]!.id;
    expect((await settle({ settledBy: 'opened and seen', settledVariantId })()).status).equal(200);
    const { learned, house } = await bench.get<HouseView>('house');
    expect(learned.caseCount).equal(1);
    expect(learned.misreading).not.equal(1);
    const { alteration, misreading } = learned;
    for (const id of ['sg-05-1', 'sg-02-1']) expect(await ratesOf(id)).deep.equal({ alteration, misreading });
    await bench.http.patch('/api/house-style/house').send({ version: house.version, learnsRates: false }).expect(200);
    expect(await ratesOf('sg-02-1')).equal(null);
    // What was learned still stands there to be believed again.
    expect((await bench.get<HouseView>('house')).learned).deep.equal(learned);
    expect((await settle({ settledBy: null, settledVariantId: null })()).status).equal(200);
    expect((await bench.get<HouseView>('house')).learned.caseCount).equal(0);
  });
});
