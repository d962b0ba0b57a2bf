import type { CastingView, CatalogueView, ErrorBody } from '@sardonyx/contract';
import { createIssueColumn, pasteTable, writeSheet, type Casting, type IssueSheet } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY } from './support/ownLorry.ts';

const LIST = [
  'Issue\tFirst\tSecond\tLate',
  'Years\t1958-60\tabout 1962\tspring 1965 on',
  'Body colour\tgreen\tgreen or red\tred 70 % or blue 30 %',
  'Wheels\tcast [list of 1974]\tplastic\tplastic',
  'Tow hook\tnone\t\tcast',
].join('\n');

describe('the sheet of issues', () => {
  let bench: TestBench;
  let id: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    id = ((await bench.http.post('/api/castings').send(OWN_LORRY).expect(201)).body as Casting).id;
  });
  afterEach(() => bench.clear());

  const view = () => bench.get<CastingView>(`castings/${id}`);
  const hook = ({ features }: CastingView) => features.find(({ label }) => label === 'Tow hook')!.id;
  const put = (sheet: object) => bench.http.put(`/api/castings/${id}/issues`).send(sheet);
  const pasted = async (text = LIST): Promise<IssueSheet> =>
    pasteTable(writeSheet(await view()), text, { issue: 0, at: 'name' });

  it('makes features, states and issues of a pasted list on an empty bench, and reads as it was typed', async () => {
    await put(await pasted()).expect(200);
    const after = await view();
    expect(after.features.map(({ label, group }) => [label, group])).have.deep.members([
      ['Body colour', 'outer coat'],
      ['Wheels', 'wheels'],
      ['Tow hook', 'fitted part'],
    ]);
    expect(after.states.length).equal(3 + 2 + 2);
    const cast = after.states.find(({ label, featureId }) => label === 'cast' && featureId !== hook(after))!;
    expect(after.variantStates.filter(({ stateId }) => stateId === cast.id).map(({ origin }) => origin)).deep.equal([
      'list of 1974',
    ]);
    const sheet = writeSheet(after);
    const row = (label: string) => sheet.rows.findIndex((one) => one.label === label);
    expect(sheet.issues.map(({ name, years, cells }) => [name, years, cells[row('Body colour')]])).have.deep.members([
      ['First', '1958-60', 'green'],
      ['Second', 'about 1962', 'green or red'],
      ['Late', 'spring 1965 on', 'red 70 % or blue 30 %'],
    ]);
    // Sent once more as it stands it changes nothing.
    await put(sheet).expect(200);
    expect(await view()).deep.equal(after);
  });

  it('shares rows with other castings of the range', async () => {
    await put(await pasted()).expect(200);
    const other = (
      (
        await bench.http
          .post('/api/castings')
          .send({ ...OWN_LORRY, number: 'o2' })
          .expect(201)
      ).body as Casting
    ).id;
    const { features } = await bench.get<CastingView>(`castings/${other}`);
    expect(features.map(({ label }) => label)).include('Tow hook');
  });

  it('is saved whole or not at all, and says which cells do not fit', async () => {
    const sheet = await pasted();
    const [first, ...rest] = sheet.issues;
    const faulty = {
      ...sheet,
      issues: [{ ...first!, years: 'soon' }, ...rest, { ...createIssueColumn(3), years: '1960' }],
    };
    const { body } = await put(faulty).expect(400);
    expect(Object.keys((body as ErrorBody).fields!)).deep.equal(['0.years', '3.name']);
    const { features, variants } = await view();
    expect([features.length, variants.length]).deep.equal([0, 0]);
  });

  it('does not write over what somebody changed meanwhile, and refuses what is no sheet', async () => {
    await put(await pasted()).expect(200);
    const read = writeSheet(await view());
    const change = (name: string) =>
      put({ ...read, issues: read.issues.map((one, i) => (i ? one : { ...one, name })) });
    await change('Earliest').expect(200);
    expect(((await change('Very first').expect(409)).body as ErrorBody).code).equal('stale');
    expect((await view()).variants.map(({ name }) => name)).include('Earliest');
    await put({ ...read, more: 1 }).expect(400);
    await put({ rows: [], issues: [{}] }).expect(400);
    await bench.http.put('/api/castings/none/issues').send(read).expect(404);
  });
});

describe('a range that is not in the catalogue yet', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: false })));
  after(() => bench.clear());

  const post = (more: object) => bench.http.post('/api/castings').send({ ...OWN_LORRY, rangeId: null, ...more });
  const list = () => bench.get<CatalogueView>('castings');

  it('is made by its name with its maker, and found again however it is typed', async () => {
    await post({ rangeName: 'Quay Toys', makerName: 'Old Works' }).expect(201);
    await post({ rangeName: ' quay toys', makerName: 'old works ', number: '2' }).expect(201);
    await post({ rangeName: 'Quay Toys', makerName: '', number: '3' }).expect(201);
    await post({ rangeName: 'Quay Toys', number: '4' }).expect(201);
    expect((await list()).ranges.map(({ name, makerName }) => [makerName, name])).have.deep.members([
      ['Old Works', 'Quay Toys'],
      ['Not sorted by maker', 'Quay Toys'],
    ]);
    // A number is taken within its range only.
    await post({ rangeName: 'Quay Toys', makerName: 'Old Works', number: '3' }).expect(201);
    await post({ rangeName: 'QUAY TOYS', makerName: 'Old Works', number: '3' }).expect(400);
  });

  it('needs a name, and nothing is made where the casting does not fit', async () => {
    const before = await list();
    for (const more of [{}, { rangeName: ' ' }, { rangeName: 'Pier', parts: [] }, { rangeName: 'Pier', number: '§' }])
      await post(more).expect(400);
    await post({ rangeId: 'gone', number: '9' }).expect(400);
    expect(await list()).deep.equal(before);
    // Castings of which nobody says more still go together.
    await post({ rangeId: 'own', number: '9' }).expect(201);
    expect((await list()).ranges.map(({ name }) => name)).include('My own castings');
  });
});
