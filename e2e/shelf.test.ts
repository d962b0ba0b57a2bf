import { readFile } from 'node:fs/promises';
import type { ShelfView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { findHue } from './support/neutral.ts';
import { expectNoFaults } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

describe('the shelf and the trainer', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW }, { who: 'Imke Varga' });
  const go = (path: string) => test.page.goto(test.bench.address + path);

  it('puts the closest pots first, in words, without a number where it would be false', async () => {
    const { page } = test;
    await go('/shelf?near=40.7,-2.7,-14.2');
    const rows = page.getByRole('region', { name: 'Pots, rows' }).locator('tbody tr');
    await page.getByText(/dE00/).first().waitFor();
    expect(await rows.first().innerText()).match(/slate/i);
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    await page.getByLabel('Name or line').fill('pearl');
    await page.waitForFunction(() => document.querySelectorAll('[aria-label="Pots, rows"] tbody tr').length === 1);
    expect(await rows.innerText()).include('no true number; compare a test card');
    await page.getByRole('button', { name: 'By line again' }).click();
    await page.getByLabel('Name or line').fill('nothing like it');
    await page.getByText('No pot is like that.').waitFor();
  });

  it('keeps what a pot holds, learns its drop from twenty, and says what cannot be', async () => {
    const { page } = test;
    await go('/shelf?q=harbour');
    await page.getByRole('button', { name: /^Harbour blue/ }).click();
    const pot = page.getByRole('region', { name: 'The pot of Harbour blue' });
    const count = async (ml: string) => {
      await pot.getByLabel('How much, ml').fill(ml);
      await pot.getByRole('button', { name: 'Write it down' }).click();
    };
    await count('9,5');
    await page.getByRole('cell', { name: '9.5', exact: true }).waitFor();
    await count('-3');
    await pot.getByRole('alert').waitFor();
    await count('about half');
    await pot.getByText('How much, in ml: a number.').first().waitFor();
    await page.getByRole('cell', { name: '9.5', exact: true }).waitFor();
    await page.getByLabel('20 drops weigh, g').fill('0.67');
    await page.getByRole('button', { name: 'Take over 0.030 ml a drop' }).click();
    await page.waitForFunction(() => [...document.querySelectorAll('input')].some((one) => one.value === '0.0299'));
  });

  it('looks at a file first, says what is wrong in it and where, and takes the rest when told', async () => {
    const { page } = test;
    const bring = (text: string) =>
      page
        .getByLabel('Bring in CSV or CGATS text')
        .setInputFiles({ name: 'pots.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await bring('line,name\nTern,Pale stone');
    await page.getByText('One fault: nothing of this file can be taken.').waitFor();
    await page.getByRole('button', { name: 'Take nothing: mend the file first' }).waitFor();
    expect(await page.getByRole('button', { name: /^Take (it$|all \d|the good)/ }).count()).equal(0);
    const csv = [
      'line,name,kind,binder,gloss,colour,left_ml',
      'Tern,Pale stone,colour,enamel,gloss,#c9c2ae,12',
      'Tern,Bad,colour,enamel,gloss,pale,12',
    ].join('\n');
    await bring(csv);
    await page.getByText('Nothing is taken yet: 1 new, 0 changed').waitFor();
    await page.getByText('Line 3: colour: "pale" is not a colour like #4d6378.').waitFor();
    await page.getByRole('button', { name: 'Take the good one, leave the faulty out' }).click();
    await page.getByText('Taken: 1 new, 0 changed').waitFor();
    const { products } = (await (await fetch(`${test.bench.address}/api/shelf`)).json()) as ShelfView;
    expect(products.some((one) => one.name === 'Pale stone')).equal(true);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Spectra as CGATS text' }).click(),
    ]);
    expect(await readFile(await download.path(), 'utf8')).match(/^CGATS\.17/);
    expectNoFaults(page);
  });

  it('plays a round of match the pot to its score and the path of the guide', async () => {
    const { page } = test;
    await go('/practice/match-the-pot?seed=3');
    const pots = page.getByRole('region', { name: 'Pots' });
    await pots.getByRole('button').first().click();
    await pots.getByRole('button', { name: 'Pour 0.8 ml' }).click();
    expect(await page.getByRole('button', { name: 'That is it' }).isDisabled()).equal(true);
    await page.getByRole('button', { name: 'Paint a patch' }).click();
    await page.getByText('0.80 ml in the cup, 1 patch').waitFor();
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    await page.getByRole('button', { name: 'That is it' }).click();
    await page.getByText(/^\d+ points: \d+\.\d dE00 off/).waitFor();
    await page.getByText('Guided mixing with an instrument ended with').waitFor({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Another colour' }).last().click();
    await page.getByText('0.00 ml in the cup, 0 patches').waitFor();
    expectNoFaults(page);
  });
});
