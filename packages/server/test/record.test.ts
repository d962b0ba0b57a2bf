import { readFile, rm } from 'node:fs/promises';
import type { JobView } from '@sardonyx/contract';
import type { Casting, Job, JobRecord, Photo } from '@sardonyx/core';
import { Ajv } from 'ajv';
import { expect } from 'chai';
import sharp from 'sharp';
import { createRecordSchema, SCHEMA } from '../../../scripts/writeRecordSchema.mjs';
import { photoPath } from '../src/modules/photos/photoStore.ts';
import { LEFT_OUT } from '../src/modules/record/leftOut.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { findLostFields } from './support/findLostFields.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';
import { readPdf, type ReadPdf } from './support/readPdf.ts';
import { listTablesOfJobs } from './support/strangeJob.ts';

describe('the record of a job', function () {
  this.timeout(120_000);
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());
  const record = (id: string) => bench.get<JobRecord>(`jobs/${id}/record.json`);

  it('fits the layout that is published, which is made from its types', async () => {
    const schema = await readFile(SCHEMA, 'utf8');
    expect(schema, 'npm run schema').equal(createRecordSchema());
    const validate = new Ajv({ allErrors: true, strict: false }).compile(JSON.parse(schema) as object);
    for (const id of ['sg-00', 'sg-03', 'sg-07', 'sg-10'])
      expect(validate(await record(id)), `${id}: ${JSON.stringify(validate.errors)}`).equal(true);
    expect(validate({ ...(await record('sg-00')), more: 1 })).equal(false);
    expect(validate({ format: 'sardonyx-record' })).equal(false);
  });

  it('says what was planned and not done, and nothing of it as done', async () => {
    const { notDone, work, models } = await record('sg-06');
    expect(notDone.length).greaterThan(10);
    const done = new Set(work.filter(({ act }) => act === 'done').map(({ task }) => task));
    expect(notDone.filter(({ task, state }) => state !== 'doing' && done.has(task))).deep.equal([]);
    const body = models[0]!.parts.find(({ name }) => name === 'Body')!;
    expect(body.coatsApplied).deep.equal([]);
    expect(body.coatsNotOn.length).greaterThan(0);
  });

  it('names decisions that have work on the model, with whose they are', async () => {
    const { decisions } = await record('sg-00');
    expect(decisions.find(({ school }) => school === 'S4')).deep.include({ option: 'grind one head', whose: 'house' });
    // It has neither plastics nor decals.
    expect(decisions.map(({ school }) => school)).not.include.members(['S18', 'S20']);
  });

  it('is there as plain text, in the order of its sections', async () => {
    const { text, headers } = await bench.http.get('/api/jobs/sg-00/record.txt').expect(200);
    expect(headers['content-disposition']).include('SG-00-record.txt');
    const at = ['WHAT IT IS', 'PARTS', 'COATS', 'WHAT WAS DONE', 'HOURS', 'PHOTOGRAPHS'].map((word) =>
      text.indexOf(word),
    );
    expect(at).deep.equal([...at].sort((a, b) => a - b));
    expect(at.every((place) => place > 0)).equal(true);
  });
});

describe('fields of a job', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('are all told in its record, or left out with a reason', async () => {
    const names = new Set(
      listTablesOfJobs(bench.room.source).flatMap(({ tableName, columns }) => [
        tableName,
        ...columns.map(({ propertyName }) => `${tableName}.${propertyName}`),
      ]),
    );
    for (const [name, reason] of Object.entries(LEFT_OUT)) {
      const [table, column] = name.split('.');
      const isHouse = table === 'print' || table === 'mesh';
      expect(isHouse || names.has(column ? `${table}.${column}` : table!), `${name} is no field`).equal(true);
      expect(reason.length).greaterThan(10);
    }
    expect(await findLostFields(bench.room.source)).deep.equal({ fromData: [], fromWords: [] });
  });
});

describe('papers of a job', function () {
  this.timeout(120_000);
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());
  const paper = async (id: string, name: string): Promise<ReadPdf> => {
    const { body, headers } = await bench.http
      .get(`/api/jobs/${id}/papers/${name}.pdf`)
      .buffer(true)
      .parse(readBinary)
      .expect(200);
    expect(headers['content-disposition']).include(`${id.toUpperCase()}-${name}.pdf`);
    return readPdf(body as Buffer);
  };

  it('are as the record reads: contents, text in order, pictures, and one font that goes along', async () => {
    const { pages, title, fonts, pictures, sizeMm } = await paper('sg-00', 'record');
    expect(title).equal('SG-00 Coal Cart: full record');
    expect(pages.length).within(5, 9);
    expect(pictures).equal(8);
    expect(sizeMm[0]).closeTo(210, 0.1);
    expect(fonts.length).greaterThan(0);
    for (const font of fonts) expect(font).include({ isEmbedded: true, isSubset: true });
    const [first] = pages;
    // The contents tell the page on which each section begins.
    for (const [, heading, page] of first!.matchAll(/^ *([A-Z][\w ]+?) {3,}(\d+)$/gm))
      expect(pages[Number(page) - 1], heading).include(heading);
    const whole = pages.join('\n');
    expect(whole.indexOf('Brush gel stripper on the body')).lessThan(whole.indexOf('Form the axle ends'));
    expect(whole)
      .match(/1 of \d+/)
      .and.not.match(/\[U\+/);
  });

  it('have a card of one page, however much there is to say', async () => {
    for (const id of ['sg-00', 'sg-07', 'sg-09']) expect((await paper(id, 'card')).pages, id).length(1);
  });

  it('say on one page what cannot stand there', async () => {
    for (let i = 0; i < 60; i++)
      await bench.http
        .post('/api/findings')
        .send({ specimenPartId: 'sg-04-1.body', kind: 'chips', severity: 1, note: `${i}: ${'long words '.repeat(12)}` })
        .expect(201);
    const { pages } = await paper('sg-04', 'card');
    expect(pages).length(1);
    expect(pages[0]).match(/\d+ more lines? (is|are) in the full record/);
  });

  it('have a label of its true size', async () => {
    const { sizeMm, pages } = await paper('sg-00', 'label');
    expect(sizeMm[0]).closeTo(80, 0.1);
    expect(sizeMm[1]).closeTo(40, 0.1);
    expect(pages[0]).include('SG-00').include('not a toy');
  });

  it('tell whoever owns it next plainly what was done, and call nothing finished that is not', async () => {
    const { pages } = await paper('sg-00', 'hand-on');
    const text = pages.join(' ').replace(/\s+/g, ' ');
    expect(text).include('has been restored').include('Wheels: donor').include('not a toy for a child').include('lead');
    expect((await paper('sg-07', 'hand-on')).pages.join(' ').replace(/\s+/g, ' ')).include('is not finished');
  });

  it('are refused for a job that is not there, and by a name that none has', async () => {
    await bench.http.get('/api/jobs/nobody/papers/card.pdf').expect(404);
    await bench.http.get('/api/jobs/sg-00/papers/poem.pdf').expect(400);
  });
});

describe('papers on an empty bench, of a casting of its own', function () {
  this.timeout(120_000);
  let bench: TestBench;
  let jobId: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    const casting = (await bench.http.post('/api/castings').send(OWN_LORRY).expect(201)).body as Casting;
    jobId = ((await bench.http.post('/api/jobs').send(ownJob(casting.id, TITLE)).expect(201)).body as Job).id;
  });
  afterEach(() => bench.clear());
  /** Other letters than the font has, one word without an end, and a line break. */
  const TITLE = 'Łódź → «Лодка» 小';
  const LONG = `${'unbroken'.repeat(40)} ${'and on and on '.repeat(10)}`.slice(0, 480);
  const paper = async (name: string) => {
    const { body } = await bench.http
      .get(`/api/jobs/${jobId}/papers/${name}.pdf`)
      .buffer(true)
      .parse(readBinary)
      .expect(200);
    return readPdf(body as Buffer);
  };
  const view = () => bench.get<JobView>(`jobs/${jobId}`);

  it('are there before anything was done, and claim nothing', async () => {
    const record = await bench.get<JobRecord>(`jobs/${jobId}/record.json`);
    expect(record.disclosure).match(/^Nothing was logged that changed this model/);
    expect(record.hours.doneSteps).equal(0);
    for (const name of ['record', 'card', 'hand-on', 'before-after', 'label']) {
      const { pages, title } = await paper(name);
      expect(pages.length, name).greaterThan(0);
      expect(title, name).include(record.job.number);
    }
    expect((await paper('before-after')).pages[0]).include('No side was photographed both before');
  });

  it('lose no letter of another alphabet and no word that is too long for its column', async () => {
    const [part] = (await view()).specimens[0]!.parts;
    await bench.http
      .post('/api/findings')
      .send({ specimenPartId: part!.id, kind: 'chips', severity: 1, note: LONG })
      .expect(201);
    const { pages } = await paper('record');
    const text = pages.join('\n').replace(/\s+/g, '');
    expect(text).include('Łódź').include('[U+41B]').include('[U+5C0F]');
    expect(text.match(/unbroken/g)).length(40);
    // A label has two lines for it.
    expect((await paper('label')).pages).length(1);
  });

  it('tell what was skipped, taken back and done again, and nothing that was only planned', async () => {
    const step = async (id: string, act: string, note: string) =>
      bench.http.post(`/api/tasks/${id}/acts`).send({ act, who: 'Nell', note });
    const [first, second] = (await view()).tasks;
    await step(first!.id, 'not needed', 'I know it already.').then(({ status }) => expect(status).equal(200));
    await step(second!.id, 'done otherwise', 'From memory.').then(({ status }) => expect(status).equal(200));
    await step(second!.id, 'take back', 'It was the other one.').then(({ status }) => expect(status).equal(200));
    const { exceptions, notDone, work } = await bench.get<JobRecord>(`jobs/${jobId}/record.json`);
    expect(exceptions).deep.equal([{ task: first!.title, act: 'not needed', reason: 'I know it already.' }]);
    expect(notDone.map(({ task }) => task))
      .include(second!.title)
      .and.not.include(first!.title);
    expect(work.map(({ act }) => act)).deep.equal(['not needed', 'done otherwise', 'taken back']);
    const text = (await paper('record')).pages.join(' ').replace(/\s+/g, ' ');
    expect(text).include('It was the other one.').include('I know it already.').include('Taken back');
  });

  it('say that the file of a picture is gone, and are whole without it', async () => {
    const picture = await sharp({ create: { width: 64, height: 40, channels: 3, background: '#884422' } })
      .jpeg()
      .toBuffer();
    const sent = bench.http.post('/api/photos/upload').attach('picture', picture, 'left.jpg');
    for (const [field, value] of Object.entries({ jobId, stage: 'before', side: 'left', caption: 'As it came' }))
      sent.field(field, value);
    const { body } = await sent.expect(201);
    expect((await paper('record')).pictures).equal(1);
    await rm(photoPath(bench.room.folder, (body as Photo).hash));
    const { pages, pictures } = await paper('record');
    expect(pictures).equal(0);
    expect(pages.join(' ')).include('The file of this picture is gone').include('As it came');
  });

  it('are there for a model that nobody knows', async () => {
    const job = { castingId: null, title: 'Unknown', scope: 'clean only', target: 'as issued', why: '', dueOn: null };
    jobId = ((await bench.http.post('/api/jobs').send(job).expect(201)).body as Job).id;
    const { models } = await bench.get<JobRecord>(`jobs/${jobId}/record.json`);
    expect(models[0]!.casting).equal(null);
    for (const name of ['record', 'card', 'hand-on', 'label']) expect((await paper(name)).pages.length).greaterThan(0);
  });
});
