import type { CastingView, SpecimenView } from '@sardonyx/contract';
import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

const LIST = [
  'Issue\tFirst\tSecond\tLate',
  'Years\t1958-60\tabout 1962\tsoon',
  'Body colour\tPale green\tPale green\tDark green',
  'Wheels\tCast metal\tGrey plastic\tGrey plastic',
  'Tow hook\tNone\tNone\tCast',
].join('\n');

/** A list of one's own typed and pasted on an empty bench, and a model that stands on none. */
describe('issues of a casting of one’s own', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let castingId: string;
  let jobId: string;
  const post = async <T>(path: string, body: object) => {
    const headers = { 'content-type': 'application/json' };
    const sent = await fetch(`${test.bench.address}/api/${path}`, {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    });
    return (await sent.json()) as T;
  };
  const ask = async <T>(path: string) => (await (await fetch(`${test.bench.address}/api/${path}`)).json()) as T;
  const cell = (label: string) =>
    test.page.getByRole('region', { name: 'Sheet', exact: true }).getByLabel(label, { exact: true });
  const save = () => test.page.getByRole('button', { name: 'Save the sheet' }).click();
  const paste = (page: Page, text: string) =>
    page.evaluate((pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      document.activeElement!.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);

  before(async () => {
    castingId = (await post<Casting>('castings', OWN_LORRY)).id;
    jobId = (await post<Job>('jobs', ownJob(castingId))).id;
  });

  it('stand beside a workshop that is ticked instead of typed; a second time it knows what is there', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/workshop`);
    await page.getByRole('heading', { name: 'No tool is written down yet' }).waitFor();
    await page.getByRole('link', { name: 'Tick what you have' }).click();
    await page.getByRole('button', { name: 'All vessels' }).click();
    for (const name of ['Airbrush', 'Hand drill', 'Silver']) await page.getByLabel(name).check();
    await page.getByLabel('Airbrush').uncheck();
    await page.getByLabel('About so much in each, ml').fill('a lot');
    await page.getByRole('button', { name: 'Write 6 down' }).click();
    await page.getByText('How much is in each, in ml: 0.1 to 1000.').waitFor();
    await page.getByLabel('About so much in each, ml').fill('7,5');
    await page.getByRole('button', { name: 'Write 6 down' }).click();
    await page.getByText('Written down: 1 tool, 4 vessels, 1 paint.').waitFor();
    await expectNoFaults(page);
    await page.reload();
    await page.getByLabel(/^Silver.*is written down/).waitFor();
    expect(await page.getByLabel(/^Silver/).isDisabled()).equal(true);
    await page.goto(`${test.bench.address}/workshop`);
    await page.getByRole('heading', { name: 'Everything is ready' }).waitFor();
    await page.getByText('Hand drill').waitFor();
  });

  it('are pasted as a printed list; what cannot be read is said at its cell, and nothing typed is lost', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
    await page.getByText('No issue of it is known here.').waitFor();
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    await cell('Issue, issue 1').focus();
    await paste(page, LIST);
    await cell('Years, Late').waitFor();
    await save();
    await page.getByText('Write 1964-68, about 1966, spring 1965 on, 1960s.').waitFor();
    await page.getByText(/^Not saved: 1 cell does not fit/).waitFor();
    // Left and come back to.
    await page.reload();
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    await cell('Years, Late').fill('spring 1965 on');
    await page.getByText(/^Saving makes 3 new issues; 3 new rows; new states: Pale green/).waitFor();
    await save();
    await page.getByText('Saved.', { exact: true }).waitFor();
    const { variants, features } = await ask<CastingView>(`castings/${castingId}`);
    expect(variants.map(({ name }) => name)).have.members(['First', 'Second', 'Late']);
    expect(features.length).equal(3);
  });

  it('are typed on: a column by hand, a row filled to the right by a key, changed back, taken back', async () => {
    const { page } = test;
    await page.getByRole('button', { name: 'Add an issue' }).click();
    await cell('Issue, issue 4').fill('Export');
    await cell('Years, Export').fill('1967');
    await cell('Wheels, Late').press('Control+r');
    expect(await cell('Wheels, Export').inputValue()).equal('Grey plastic');
    await cell('Wheels, Export').press('ArrowDown');
    expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).equal('Tow hook, Export');
    await page.getByRole('button', { name: 'Take back what was typed' }).click();
    expect(await cell('Issue, Export').count()).equal(0);
  });

  it('are not written over what somebody changed meanwhile, unless that is meant', async () => {
    const { page } = test;
    await cell('Tow hook, Second').fill('Pressed');
    const { variants } = await ask<CastingView>(`castings/${castingId}`);
    const second = variants.find(({ name }) => name === 'Second')!;
    await fetch(`${test.bench.address}/api/variants/${second.id}`, {
      ...{ method: 'PATCH', headers: { 'content-type': 'application/json' } },
      body: JSON.stringify({ version: second.version, rarity: 7 }),
    });
    await save();
    await page
      .getByText(/changed in the meantime/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Keep what I typed, over what is there now' }).click();
    await save();
    await page.getByText('Saved.', { exact: true }).waitFor();
    const after = await ask<CastingView>(`castings/${castingId}`);
    expect(after.states.map(({ label }) => label)).include('Pressed');
  });

  it('are told apart by a size, typed of two states and measured on the model; counted, and taken back', async () => {
    const { page } = test;
    await page.getByRole('button', { name: /^Wheels 2 states/ }).click();
    for (const [state, size] of [
      ['Cast metal', '9.5'],
      ['Grey plastic', '10,5'],
    ] as const) {
      await page.getByRole('button', { name: `Type the size or weight of ${state}` }).click();
      await page.getByLabel(`${state}, measured`).fill(size);
      await page.getByRole('button', { name: 'Take this size' }).last().click();
      await page.getByRole('button', { name: `Take the size of ${state} out` }).waitFor();
    }
    await page.goto(`${test.bench.address}/jobs/${jobId}/identify`);
    const looks = page.getByRole('list', { name: 'Things to look at on the model' });
    await looks.getByText('Wheels').click();
    await page.getByLabel('Wheels, mm').fill('9,6');
    await page.getByRole('button', { name: 'Count this size' }).click();
    await looks.getByText(/Cast metal, measured, \d\d %/).waitFor();
    await page.getByText('0.10 mm more than it').waitFor();
    await page.getByRole('button', { name: 'Take this size back' }).click();
    await page.getByLabel('Wheels, mm').waitFor();
    await expectNoFaults(page);
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
  });

  it('are said to be some of those that were made, and Identify counts with the rest', async () => {
    const { page } = test;
    const complete = page.getByRole('region', { name: 'How complete the list is' });
    await complete.getByText(/begins with 1[0-9] %/).waitFor();
    await complete.getByRole('radio', { name: 'some' }).click();
    await complete.getByText(/begins with 4\d %/).waitFor();
    await page.goto(`${test.bench.address}/jobs/${jobId}/identify`);
    const ranked = page.getByRole('region', { name: 'Issues by probability' });
    await ranked
      .getByRole('row', { name: /An issue that is not listed/ })
      .getByText(/4\d %/)
      .waitFor();
  });

  it('share their rows with another casting of a range that was typed', async () => {
    const { page } = test;
    const add = async (number: string) => {
      await page.goto(`${test.bench.address}/catalogue/new`);
      await page.getByRole('button', { name: /^Trailer/ }).click();
      await page.getByLabel('Name', { exact: true }).first().fill('Quay Trailer');
      await page.getByLabel('Number', { exact: true }).fill(number);
      await choose(page.getByLabel('Range', { exact: true }), 'another range: type its name');
    };
    await add('1');
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByText('Name the range.').waitFor();
    await page.getByLabel('Name of the range').fill('Quay Toys');
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByText('Not sorted by maker · Quay Toys').waitFor();
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    await page.getByRole('button', { name: 'Add wheels' }).click();
    await cell('Issue, issue 1').fill('Only');
    await cell('Years, Only').fill('1960s');
    await cell('Wheels, Only').fill('Spoked');
    await save();
    await page.getByText('Saved.', { exact: true }).waitFor();
    await add('2');
    await page.getByLabel('Name of the range').fill('quay toys');
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByText('Not sorted by maker · Quay Toys').waitFor();
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    await cell('Wheels, issue 1').waitFor();
    expect(await page.getByRole('rowheader', { name: /^Wheels/ }).innerText()).include('Spoked');
  });

  it('becomes one more when the model fits none, with the model as its source', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/jobs/${jobId}/identify`);
    for (const [look, state] of [
      ['Body colour', 'Dark green'],
      ['Wheels', 'Cast metal'],
      ['Tow hook', 'None'],
    ] as const) {
      const looks = page.getByRole('list', { name: 'Things to look at on the model' });
      await looks.getByText(look).click();
      const inHand = page.getByRole('region', { name: /^Look in hand/ });
      await inHand.getByRole('heading', { name: look }).waitFor();
      await inHand.getByRole('radio', { name: new RegExp(state) }).click();
      await looks.getByText(`${state}, sure`).waitFor();
    }
    await page.getByText('It is none of these: write it down').click();
    await page.getByText(/Wheels: Cast metal/).waitFor();
    const writeDown = page.getByRole('button', { name: 'Write it down, with this model as its source' });
    expect(await writeDown.isDisabled()).equal(true);
    await page.getByLabel('Call it').fill('First');
    await writeDown.click();
    await page.getByText('This name is taken.').waitFor();
    await page.getByLabel('Call it').fill('Dark green on cast wheels');
    await writeDown.click();
    // What says so goes with the form that it stands in, once the model is settled.
    await page.getByRole('heading', { name: 'Settled: Dark green on cast wheels, found on this model' }).waitFor();
    const { variants, sources, specimens } = await ask<CastingView>(`castings/${castingId}`);
    const found = variants.find(({ foundOnId }) => foundOnId !== null)!;
    expect(found.name).equal('Dark green on cast wheels');
    expect(sources.find(({ variantId }) => variantId === found.id)!.origin).match(/looked at by Nell$/);
    const { specimen } = await ask<SpecimenView>(`specimens/${specimens[0]!.id}`);
    expect(specimen.settledVariantId).equal(found.id);
    // Changed my mind.
    await choose(page.getByLabel('Known because it was'), 'not settled');
    await page.getByRole('heading', { name: 'Is it settled?' }).waitFor();
    await expectNoFaults(page);
  });
});
