import { readFile } from 'node:fs/promises';
import type { JobRecord } from '@sardonyx/core';
import { Ajv } from 'ajv';
import { expect } from 'chai';
import { createRecordSchema, SCHEMA } from '../../../scripts/writeRecordSchema.mjs';
import { LEFT_OUT } from '../src/modules/record/leftOut.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { findLostFields } from './support/findLostFields.ts';
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
