import { expect } from 'chai';
import type { Browser, Locator, Page } from 'playwright-core';
import { openBrowser, openWindow } from './support/openBrowser.ts';
import { expectNoFaults } from './support/restorer.ts';
import { findKitFaults } from './support/kitStates.ts';
import { startKit } from './support/startKit.ts';

/** The parts that every screen is made of, by keyboard alone. */
describe('the kit', function () {
  this.timeout(120_000);
  let kit: Awaited<ReturnType<typeof startKit>>;
  let browser: Browser;
  let page: Page & { faults: string[] };
  before(async () => {
    kit = await startKit();
    browser = await openBrowser();
    page = await openWindow(browser);
  });
  after(async () => {
    await browser.close();
    await kit.close();
  });
  beforeEach(async () => {
    await page.goto(`${kit.address}/kit`);
    await page.getByRole('heading', { name: 'The kit' }).waitFor();
  });
  const press = async (...keys: readonly string[]) => {
    for (const key of keys) {
      // A finger stays on a key for a moment.
      await page.keyboard.press(key, { delay: 60 });
      await page.evaluate(() => new Promise(requestAnimationFrame));
    }
  };
  const isFocused = (what: Locator) => what.evaluate((element) => element === document.activeElement);
  const choice = (name: string) => page.getByLabel(name, { exact: true });

  it('has no fault of any weight in any state, by day or by lamp', async () => {
    expect(await findKitFaults(browser, kit.address, 'by turns')).eql([]);
  });

  it('chooses from a list with arrows, letters, Enter and Esc, and gives the focus back', async () => {
    const side = choice('Side');
    await side.focus();
    await press('Enter', 'ArrowDown', 'Enter');
    expect(await side.innerText()).equal('right');
    expect(await isFocused(side)).equal(true);
    await press('Space');
    await page.getByRole('option', { name: 'right' }).waitFor();
    await page.keyboard.type('rea');
    await press('Enter');
    expect(await side.innerText()).equal('rear');
    await press('Enter', 'Home', 'Escape');
    expect(await side.innerText()).equal('rear');
    expect(await isFocused(side)).equal(true);
    expect(await choice('Nothing chosen yet').innerText()).equal('choose');
    await choice('Nothing chosen yet').focus();
    await press('Enter');
    // What is closed is passed over.
    await press('ArrowDown', 'Enter');
    expect(await choice('Nothing chosen yet').innerText()).match(/^a word that goes on/);
  });

  it('finds one of 500 by a few letters of any of its words, and says why others will not do', async () => {
    const pot = choice('Pot of 500');
    await pot.focus();
    await press('Enter');
    await page.keyboard.type('nearly 34');
    await page.getByRole('option', { name: /^Pot 34\b/ }).waitFor();
    expect(await page.getByRole('option').allInnerTexts()).to.satisfy((all: string[]) =>
      all.every((text) => /34/.test(text)),
    );
    expect(await page.getByRole('option', { selected: true }).count()).equal(1);
    await press('ArrowDown', 'ArrowUp', 'Enter');
    expect(await pot.innerText()).match(/^Pot 34/);
    expect(await isFocused(pot)).equal(true);
    await press('Enter');
    await page.keyboard.type('pot 450');
    await page.getByText('Lacquer lifts the enamel under it.').first().waitFor();
    await press('Enter');
    expect(await page.getByRole('option', { name: /^Pot 450/ }).getAttribute('aria-disabled')).equal('true');
    await press('Escape');
    expect(await pot.innerText()).match(/^Pot 34/);
  });

  it('takes a day typed in the own way of writing, and one pointed at in a month', async () => {
    const day = choice('Day');
    await day.fill('24.12.26');
    await press('Tab');
    expect(await day.inputValue()).equal('24/12/2026');
    await press('Enter');
    const today = page.getByRole('button', { name: /^Thursday,? 24 December 2026$/ });
    await today.waitFor();
    await page.waitForFunction(() => document.activeElement?.closest('[data-day]') !== null);
    await press('ArrowRight', 'ArrowDown', 'Enter');
    expect(await day.inputValue()).equal('01/01/2027');
    await day.fill('someday');
    await press('Tab');
    expect(await day.inputValue()).equal('someday');
    await choice('Time, hours:minutes').fill('9.05');
    await press('Tab');
    expect(await choice('Time, hours:minutes').inputValue()).equal('09:05');
  });

  it('sets a colour by rails and by figures', async () => {
    const colour = choice('Colour');
    await page
      .getByRole('button', { name: /^Set the colour/ })
      .first()
      .focus();
    await press('Enter');
    await page.getByRole('slider', { name: 'Lightness' }).focus();
    await press('PageUp');
    await press('Escape');
    expect(await colour.inputValue())
      .match(/^#[0-9a-f]{6}$/)
      .not.equal('#4d6378');
    await colour.fill('40.0, 0.0, 0.0');
    await press('Tab');
    expect(await colour.inputValue()).equal('#5e5e5e');
  });

  it('moves along radios, toggles, tabs, a toolbar and a rail with the arrow keys', async () => {
    const lights = page.getByRole('radiogroup', { name: 'Light', exact: true });
    await lights.getByRole('radio').first().focus();
    await press('ArrowRight');
    await lights.getByRole('radio', { name: 'lamp', checked: true }).waitFor();
    const ways = page.getByRole('radiogroup', { name: 'See as' }).or(page.getByRole('group', { name: 'See as' }));
    await ways.getByRole('radio', { name: 'lamp', checked: true }).focus();
    await press('ArrowLeft', 'Space');
    await lights.getByRole('radio', { name: 'day', checked: true }).waitFor();
    await page.getByRole('tab', { name: 'Along the years' }).focus();
    await press('ArrowRight');
    await page.getByRole('tabpanel').getByText('A table.').waitFor();
    const bar = page.getByRole('toolbar', { name: 'Picture' });
    await bar.getByRole('button', { name: 'Nearer' }).focus();
    await press('ArrowRight', 'Enter');
    await page.getByText('Last: copied').waitFor();
    const rail = page.getByRole('slider', { name: 'How far' });
    await rail.focus();
    await press('ArrowRight', 'ArrowRight');
    expect(await rail.getAttribute('aria-valuetext')).equal('42 %');
    await press('End');
    expect(await rail.getAttribute('aria-valuenow')).equal('100');
  });

  it('keeps what is folded, asks before what cannot be undone, and says news aloud', async () => {
    const fold = page.getByRole('button', { name: 'Coats in words' });
    expect(await page.getByText('Primer, then slate blue.').isVisible()).equal(false);
    await fold.focus();
    await press('Enter');
    expect(await page.getByText('Primer, then slate blue.').isVisible()).equal(true);
    await page.getByRole('button', { name: 'Throw the mix away' }).focus();
    await press('Enter');
    const asked = page.getByRole('alertdialog', { name: 'Throw the mix away?' });
    await asked.waitFor();
    // Enter at once leaves everything as it is.
    expect(await isFocused(asked.getByRole('button', { name: 'Keep it' }))).equal(true);
    await press('Escape');
    await asked.waitFor({ state: 'detached' });
    expect(await page.getByText('Last: nothing').count()).equal(1);
    await page.getByRole('button', { name: 'Say something' }).focus();
    await press('Enter');
    await page.getByRole('status').filter({ hasText: '1 pots were added.' }).first().waitFor({ state: 'attached' });
  });

  it('moves things in their order by keyboard and by their grip', async () => {
    const list = page.getByRole('list', { name: 'Coats in their order' });
    const names = () => list.getByRole('listitem').allInnerTexts();
    expect(await names()).eql(['Grey primer', 'Signal red', 'Cream', 'Gloss clear']);
    await list.getByRole('button', { name: 'Move Signal red' }).focus();
    await press('Space');
    await page.getByText(/^Signal red.*place 2 of 4\./).waitFor({ state: 'attached' });
    await press('ArrowDown');
    await page.getByText('Signal red: place 3 of 4.').waitFor({ state: 'attached' });
    await press('Space');
    await list.getByText('Cream').waitFor();
    await page.waitForFunction(() => document.querySelector('ol li:nth-child(2)')?.textContent === 'Cream');
    expect(await names()).eql(['Grey primer', 'Cream', 'Signal red', 'Gloss clear']);
    // Escape leaves everything as it was.
    await list.getByRole('button', { name: 'Move Cream' }).focus();
    await press('Space', 'ArrowUp', 'Escape');
    await page.getByText('Cream stays where it was.').waitFor({ state: 'attached' });
    expect(await names()).eql(['Grey primer', 'Cream', 'Signal red', 'Gloss clear']);
    const grip = (await list.getByRole('button', { name: 'Move Gloss clear' }).boundingBox())!;
    const top = (await list.getByRole('button', { name: 'Move Grey primer' }).boundingBox())!;
    await page.mouse.move(grip.x + 20, grip.y + 20);
    await page.mouse.down();
    await page.mouse.move(grip.x + 20, grip.y, { steps: 4 });
    await page.mouse.move(top.x + 20, top.y + 4, { steps: 8 });
    await page.mouse.up();
    await page.waitForFunction(() => document.querySelector('ol li')?.textContent === 'Gloss clear');
    expect((await names())[0]).equal('Gloss clear');
    const fixed = page.getByRole('list', { name: 'An order that stands' });
    expect(await fixed.getByRole('button').count()).equal(0);
  });

  it('sorts, finds, shows and hides, opens and copies the rows of a table', async () => {
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    const table = page.getByRole('region', { name: 'Five wheels', exact: true });
    const names = () => table.locator('tbody tr td:first-child').allInnerTexts();
    const heading = table.getByRole('columnheader', { name: /Diameter/ });
    await heading.getByRole('button').focus();
    await press('Enter');
    expect(await heading.getAttribute('aria-sort')).equal('descending');
    expect(await names()).eql(['Wheel 4', 'Wheel 3', 'Wheel 2', 'Wheel 5', 'Wheel 1']);
    await press('Enter');
    expect(await heading.getAttribute('aria-sort')).equal('ascending');
    // What has no figure stays last.
    expect(await names()).eql(['Wheel 5', 'Wheel 2', 'Wheel 3', 'Wheel 4', 'Wheel 1']);
    await table.getByRole('button', { name: 'Columns' }).focus();
    await press('Enter');
    await page.getByRole('menuitemcheckbox', { name: 'Mark' }).press('Enter');
    await press('Escape');
    await table.getByRole('columnheader', { name: 'Mark' }).waitFor();
    await table.getByLabel('Find in it').fill('BENCH on');
    await table.getByText('1 of 5').waitFor();
    await table.getByRole('button', { name: 'Copy' }).click();
    await table.getByText('1 rows copied.').waitFor();
    expect(await page.evaluate(() => navigator.clipboard.readText())).equal(
      'Name\tDiameter, mm\tPlace\tMark\nWheel 3\t10.6\ton the bench\tw2',
    );
    await table.getByLabel('Find in it').fill('');
    await table.getByRole('button', { name: 'Wheel 5' }).focus();
    await press('ArrowDown', 'Enter');
    await table.getByText('Wheel 2 lies here.').waitFor();
    const download = page.waitForEvent('download');
    await table.getByRole('button', { name: 'CSV' }).click();
    expect((await download).suggestedFilename()).equal('wheels.csv');
  });

  it('draws of ten thousand rows only those that can be seen, and all of them can be reached', async () => {
    const table = page.getByRole('region', { name: 'Ten thousand wheels', exact: true });
    expect(await table.locator('tbody tr').count()).at.most(60);
    const rows = table.getByRole('region', { name: /rows$/ });
    await rows.focus();
    await press('End');
    await table.getByRole('button', { name: 'Wheel 10000' }).waitFor();
    expect(await table.getByRole('row', { name: /Wheel 10000 / }).getAttribute('aria-rowindex')).equal('10001');
    // What is open has its place too: the last row opens below itself and can be seen.
    const height = () => rows.evaluate((frame) => frame.scrollHeight);
    const closed = await height();
    await table.getByRole('button', { name: 'Wheel 10000' }).click();
    await table.getByText('Wheel 10000 lies here.').waitFor();
    await page.waitForTimeout(200);
    expect(await height()).within(closed + 30, closed + 80);
    await table.getByRole('button', { name: 'Wheel 10000' }).click();
    await page.waitForTimeout(200);
    expect(await height()).equal(closed);
  });

  it('sets, moves and shows points of a picture from the keyboard, finer the nearer one looks', async () => {
    const picture = page.getByRole('application', { name: /^A grey sheet/ });
    const at = async (word: string) => {
      const place = await picture.getByRole('button', { name: `Point ${word}` }).getAttribute('transform');
      return /translate\(([\d.]+) ([\d.]+)\)/.exec(place!)!.slice(1).map(Number) as [number, number];
    };
    await picture.focus();
    await press('Enter');
    expect(await at('2')).eql([100, 60]);
    await picture.getByRole('button', { name: 'Point 2' }).focus();
    await press('ArrowRight');
    const coarse = (await at('2'))[0] - 100;
    expect(coarse).above(0);
    await page.getByRole('button', { name: 'Closer' }).click();
    await page.getByRole('button', { name: 'Closer' }).click();
    await picture.getByRole('button', { name: 'Point 2' }).focus();
    await press('ArrowRight');
    expect((await at('2'))[0] - 100 - coarse).closeTo(coarse / 2.25, coarse / 20);
    await press('Shift+ArrowUp');
    expect((await at('2'))[1]).below(60 - 3 * coarse);
    await page.getByRole('button', { name: 'Whole picture' }).click();
    expect(await picture.locator('[data-plane]').getAttribute('transform')).equal('translate(0,0) scale(1)');
  });

  it('tells the figures of a chart in a table too', async () => {
    await page.getByRole('img', { name: 'Hours at the bench, seven weeks' }).waitFor();
    await page.getByRole('button', { name: 'The same as a table' }).focus();
    await press('Enter');
    const twin = page.getByRole('region', { name: 'Hours at the bench, seven weeks, as a table' });
    expect(await twin.getByRole('row').allInnerTexts()).include('week 2\t3.5');
  });

  it('is served without a fault on the page', () => expectNoFaults(page));
});
