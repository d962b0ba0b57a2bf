import { expect } from 'chai';
import type { Browser, Page } from 'playwright-core';
import { openBrowser, openWindow } from './support/openBrowser.ts';
import { expectNoFaults, hold, openStation } from './support/restorer.ts';
import { startBench, type RunningBench } from './support/startBench.ts';

describe('a restorer’s own empty bench', function () {
  this.timeout(90_000);
  let bench: RunningBench;
  let browser: Browser;
  let page: Page & { faults: string[] };
  before(async () => {
    bench = await startBench({ isDemo: false });
    browser = await openBrowser();
    page = await openWindow(browser, { who: '' });
  });
  after(async () => {
    await browser.close();
    await bench.clear();
  });

  it('offers to put the first model on it', async () => {
    await page.goto(bench.address);
    await page.getByRole('heading', { name: 'The bench is empty.' }).waitFor();
    await page.getByRole('link', { name: 'Put a model on the bench' }).click();
    await page.getByLabel('What do you call it?').fill('Tin lorry from the attic');
    await page.getByRole('button', { name: 'Put it on the bench' }).click();
    await page.getByRole('heading', { name: 'B-01 Tin lorry from the attic' }).waitFor();
    await page.getByText('Nobody knows yet what this is.').waitFor();
  });

  it('asks who is there before it logs anything', async () => {
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await page
      .getByRole('alert')
      .getByText(/Say who did it/)
      .waitFor();
    await page.getByRole('button', { name: 'Who is here?' }).click();
    await page.getByLabel('Somebody else').fill('Nell');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await page.locator('li[data-task="identify"][data-state="done"]').waitFor({ state: 'attached' });
  });

  it('takes a casting of one’s own by a short form', async () => {
    await page.getByRole('button', { name: 'My bench' }).click();
    await page.getByRole('link', { name: 'Catalogue' }).click();
    await page.getByText('The catalogue is empty.').waitFor();
    await page.getByRole('link', { name: 'Add a casting of your own' }).click();
    await page.getByLabel('Number', { exact: true }).fill('7/1');
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByText('▲ Give the casting a name.').waitFor();
    await page.getByLabel('Name', { exact: true }).fill('Attic Lorry');
    await page.getByLabel('Kind of vehicle').selectOption('lorry');
    await page.getByRole('button', { name: 'Add a part' }).click();
    await page.getByLabel('Name of part 6').fill('Tailboard');
    await page.getByRole('button', { name: 'Add a joint' }).click();
    await page.getByLabel('Name of joint 3').fill('tailboard pin');
    await page.getByLabel('Kind of joint 3').selectOption('peened pin');
    const holds = page.getByRole('group', { name: 'Parts that joint 3 holds together' });
    await holds.getByLabel('Body').check();
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByText(/at least two parts/).waitFor();
    await holds.getByLabel('Tailboard').check();
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await page.getByRole('heading', { name: /7\/1 Attic Lorry/ }).waitFor();
    await page.getByText('tailboard pin').waitFor();
  });

  it('puts that casting on the bench with its parts and a plan', async () => {
    await page.keyboard.press('b');
    await page.getByRole('link', { name: 'Put a model on the bench' }).click();
    await page.getByLabel('What do you call it?').fill('Attic Lorry');
    await page.getByLabel('Casting').selectOption({ label: 'Not sorted by maker 7/1 Attic Lorry' });
    await page.getByRole('button', { name: 'Put it on the bench' }).click();
    await page.getByRole('heading', { name: 'B-02 Attic Lorry' }).waitFor();
    await page.keyboard.press('Alt+3');
    await page.locator('[aria-current="step"]', { hasText: 'Open' }).waitFor();
    await page.locator('li[data-task^="pilot:"]').first().waitFor();
    await openStation(page, 'Survey');
    await page.getByRole('option', { name: /^Body/ }).focus();
    await page.keyboard.press('ArrowRight');
    await page.locator('[data-part][aria-selected="true"]').waitFor();
  });

  it('is found again by any word, from the keyboard alone', async () => {
    await page.keyboard.press('Control+k');
    await page.getByRole('dialog').getByRole('combobox').waitFor();
    await page.keyboard.type('attic lor');
    await page.getByRole('option', { name: /B-02 Attic Lorry/ }).waitFor();
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/jobs\//);
    await page.keyboard.press('Control+k');
    await page.keyboard.type('xyzzy');
    await page.getByText('Nothing here is called that.').waitFor();
    await page.keyboard.press('Escape');
  });

  it('shows its keys, and lets single ones be switched off', async () => {
    await page.keyboard.press('?');
    await page.getByRole('dialog', { name: 'Keys' }).getByLabel('Single keys').uncheck();
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    expect(await page.getByRole('dialog').count()).equal(0);
  });

  it('remembers day or lamp', async () => {
    await page.getByRole('button', { name: 'Switch to the lamp bench' }).click();
    await page.reload();
    await page.getByRole('button', { name: 'Switch to the day bench' }).waitFor();
    expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).equal('rgb(25, 25, 25)');
  });

  it('saves everything into one file and restores it', async () => {
    await page.goto(`${bench.address}/safe`);
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save everything' }).click();
    const path = await (await download).path();
    const { readFile } = await import('node:fs/promises');
    await page
      .getByLabel('The ZIP to restore')
      .setInputFiles({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
    await hold(page.getByRole('button', { name: /^Replace what is here/ }));
    await page
      .getByRole('alert')
      .getByText(/Nothing was replaced/)
      .waitFor();
    await page
      .getByLabel('The ZIP to restore')
      .setInputFiles({ name: 'saved.zip', mimeType: 'application/zip', buffer: await readFile(path) });
    await hold(page.getByRole('button', { name: /^Replace what is here/ }));
    await page.getByText(/^Restored\. What was here before is kept/).waitFor();
  });

  it('says so at an address that has nothing', async () => {
    await page.goto(`${bench.address}/nowhere`);
    await page.getByText('There is nothing at this address.').waitFor();
    await page.goto(`${bench.address}/jobs/nobody/open`);
    await page.getByText(/This job is not here any more/).waitFor();
    expectNoFaults(page);
  });
});
