import { expect } from 'chai';
import { choose } from './support/choose.ts';
import { expectNoFaults, hold, openStation } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

describe('a restorer’s own empty bench', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: false }, { who: '' });

  it('offers to put the first model on it', async () => {
    await test.page.goto(test.bench.address);
    await test.page.getByRole('heading', { name: /^The bench is empty\./ }).waitFor();
    await test.page.getByRole('link', { name: 'Put a model on the bench' }).click();
    await test.page.getByLabel('What do you call it?').fill('Tin lorry from the attic');
    await test.page.getByRole('button', { name: 'Put it on the bench' }).click();
    await test.page.getByRole('heading', { name: 'B-01 Tin lorry from the attic' }).waitFor();
    await test.page.getByText('Nobody knows yet what this is.').waitFor();
  });

  it('asks who is there before it logs anything', async () => {
    await test.page.getByRole('button', { name: 'Done', exact: true }).click();
    await test.page
      .getByRole('alert')
      .getByText(/Say who did it/)
      .waitFor();
    await test.page.getByRole('button', { name: 'Who is here?' }).click();
    await test.page.getByRole('dialog', { name: 'Who is at the bench' }).getByRole('textbox').fill('Nell');
    await test.page.keyboard.press('Escape');
    await test.page.getByRole('button', { name: 'Done', exact: true }).click();
    await test.page.locator('li[data-task="identify"][data-state="done"]').waitFor({ state: 'attached' });
  });

  it('takes a casting of one’s own from a construction, and what differs from it', async () => {
    await test.page.getByRole('button', { name: 'My bench' }).click();
    await test.page.getByRole('link', { name: 'Catalogue' }).click();
    await test.page.getByText('The catalogue is empty.').waitFor();
    await test.page.getByRole('link', { name: 'Add a casting of your own' }).click();
    await test.page.getByRole('button', { name: /^Two posts/ }).click();
    await test.page.getByLabel('Number', { exact: true }).fill('7/1');
    await test.page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await test.page.getByText('Give the casting a name.').waitFor();
    await test.page.getByLabel('Name', { exact: true }).first().fill('Attic Lorry');
    await choose(test.page.getByLabel('Kind of vehicle'), 'lorry');
    // What is not on this one goes: with the joint that held it.
    for (const part of ['Interior', 'Tyres']) {
      await test.page.getByRole('option', { name: new RegExp(part) }).click();
      const inHand = test.page.getByRole('region', { name: `Part in hand: ${part}` });
      await inHand.getByRole('button', { name: `Remove the ${part.toLowerCase()}` }).click();
      await inHand.waitFor({ state: 'detached' });
    }
    await test.page.getByRole('option', { name: 'Body' }).click();
    await test.page.getByRole('button', { name: 'Add a part' }).click();
    await choose(test.page.getByLabel('It looks like'), 'door');
    await test.page.getByLabel('It is called').fill('Tailboard');
    await choose(test.page.getByLabel('with a', { exact: true }), 'peened pin');
    await test.page.getByRole('button', { name: 'Add it', exact: true }).click();
    await test.page.getByRole('region', { name: 'Part in hand: Tailboard' }).waitFor();
    const joints = test.page.getByRole('region', { name: 'Joints' }).getByRole('listitem');
    await joints.getByText('tailboard (peened pin): body, tailboard').waitFor();
    // Joints that wait for each other are refused where they stand, and nothing typed is lost.
    await test.page.getByRole('button', { name: 'Change front post' }).click();
    await test.page
      .getByRole('group', { name: /^Must be open before it/ })
      .getByLabel('glazing in the body')
      .check();
    await test.page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await joints
      .first()
      .getByText(/neither could be opened/)
      .waitFor();
    await test.page.getByRole('button', { name: 'Take the last change back' }).click();
    await test.page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await test.page.getByRole('heading', { name: /7\/1 Attic Lorry/ }).waitFor();
    await test.page.getByText('tailboard').first().waitFor();
  });

  it('puts that casting on the bench with its parts and a plan', async () => {
    await test.page.keyboard.press('b');
    await test.page.getByRole('link', { name: 'Put a model on the bench' }).click();
    await test.page.getByLabel('What do you call it?').fill('Attic Lorry');
    await choose(test.page.getByLabel('Casting'), '7/1 Attic Lorry');
    await test.page.getByRole('button', { name: 'Put it on the bench' }).click();
    await test.page.getByRole('heading', { name: 'B-02 Attic Lorry' }).waitFor();
    await test.page.keyboard.press('Alt+3');
    await test.page.locator('[aria-current="step"]', { hasText: 'Open' }).waitFor();
    await test.page.getByText(/^Nothing needs opening, by what is written down so far/).waitFor();
    await openStation(test.page, 'Survey');
    await test.page.getByRole('option', { name: /^Body/ }).focus();
    await test.page.keyboard.press('ArrowRight');
    await test.page.locator('[data-part][aria-selected="true"]').waitFor();
    // Paint on the body has to come off, so the glazing must come out, so the post is opened.
    await test.page.getByRole('option', { name: /^Body/ }).click();
    await test.page.getByText('Add a coating found on the outside').click();
    const coating = test.page.getByRole('form', { name: 'Coating found on the outside' });
    await coating.getByLabel('What is it?').fill('Green');
    await coating.getByRole('button', { name: 'Add the coating' }).click();
    await test.page.getByText('Green colour, 25 µm').waitFor();
    await openStation(test.page, 'Open');
    await test.page.locator('li[data-task^="pilot:"]').first().waitFor();
  });

  it('is found again by any word, from the keyboard alone', async () => {
    await test.page.keyboard.press('Control+k');
    await test.page.getByRole('dialog').getByRole('combobox').waitFor();
    await test.page.keyboard.type('attic lor');
    // Its parts are called after it as well.
    await test.page
      .getByRole('option', { name: /B-02 Attic Lorry/ })
      .first()
      .waitFor();
    await test.page.keyboard.press('Enter');
    await test.page.waitForURL(/\/jobs\//);
    await test.page.keyboard.press('Control+k');
    await test.page.keyboard.type('xyzzy');
    await test.page.getByText('Nothing here is called that.').waitFor();
    await test.page.keyboard.press('Escape');
  });

  it('shows its keys, and lets single ones be switched off', async () => {
    await test.page.keyboard.press('?');
    await test.page.getByRole('dialog', { name: 'Keys' }).getByLabel('Single keys').uncheck();
    await test.page.keyboard.press('Escape');
    await test.page.keyboard.press('?');
    expect(await test.page.getByRole('dialog').count()).equal(0);
  });

  it('changes parts of that casting while it is in work: changed its mind, left, came back', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue`);
    await page
      .getByRole('main')
      .getByRole('link', { name: /7\/1 Attic Lorry/ })
      .click();
    const change = page.getByRole('button', { name: 'Change parts and joints' });
    const editor = page.getByRole('region', { name: 'Parts and joints' });
    await change.click();
    await editor.getByRole('option', { name: /Wheels/ }).click();
    await editor.getByRole('button', { name: 'Split it into ...' }).click();
    await page.getByRole('menuitem', { name: 'Front and rear' }).click();
    await editor.getByRole('option', { name: /Rear wheels/ }).waitFor();
    await editor.getByRole('button', { name: 'Leave it as it was' }).click();
    await change.click();
    expect(await editor.getByRole('option', { name: /Rear wheels/ }).count()).equal(0);
    await editor.getByRole('option', { name: 'Tailboard' }).click();
    await editor.getByRole('button', { name: 'Remove the tailboard' }).click();
    await editor.getByText(/^A model of it is here: open jobs follow.*Tailboard: gone from models/).waitFor();
    await editor.getByRole('button', { name: 'Keep these parts and joints' }).click();
    await page.getByText('Parts and joints are changed.').waitFor();
    await page.keyboard.press('b');
    await page
      .getByRole('link', { name: /B-02 Attic Lorry/ })
      .first()
      .click();
    await openStation(page, 'Survey');
    await page.getByRole('option', { name: 'Body' }).waitFor();
    expect(await page.getByRole('option', { name: /Tailboard/ }).count()).equal(0);
  });

  it('remembers day or lamp', async () => {
    await test.page.getByRole('button', { name: 'Switch to the lamp bench' }).click();
    await test.page.reload();
    await test.page.getByRole('button', { name: 'Switch to the day bench' }).waitFor();
    expect(await test.page.evaluate(() => getComputedStyle(document.body).backgroundColor)).equal('rgb(25, 25, 25)');
  });

  it('saves everything into one file and restores it', async () => {
    await test.page.goto(`${test.bench.address}/safe`);
    const download = test.page.waitForEvent('download');
    await test.page.getByRole('button', { name: 'Save everything' }).click();
    const path = await (await download).path();
    const { readFile } = await import('node:fs/promises');
    await test.page
      .getByLabel('The ZIP to restore')
      .setInputFiles({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
    await hold(test.page.getByRole('button', { name: /^Replace what is here/ }));
    await test.page
      .getByRole('alert')
      .getByText(/Nothing was replaced/)
      .waitFor();
    await test.page
      .getByLabel('The ZIP to restore')
      .setInputFiles({ name: 'saved.zip', mimeType: 'application/zip', buffer: await readFile(path) });
    await hold(test.page.getByRole('button', { name: /^Replace what is here/ }));
    await test.page.getByText(/^Restored\. What was here before is kept/).waitFor();
  });

  it('says that the shelf is empty, and at its field what is wrong with a first pot', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/shelf`);
    await page.getByText('The shelf is empty.').waitFor();
    const form = page.getByRole('form', { name: 'Put a pot on the shelf' });
    await form.getByLabel('Line').fill('Own');
    await form.getByLabel('Name').fill('Green');
    await form.getByLabel('Colour', { exact: true }).fill('greenish');
    await form.getByRole('button', { name: 'Put it there' }).click();
    await form.getByLabel('Colour', { exact: true }).and(form.locator('[aria-invalid="true"]')).waitFor();
    expect(await form.locator('[aria-invalid="true"]').count()).equal(1);
    await form.getByLabel('Colour', { exact: true }).fill('41.2 -20 15.0');
    await form.getByRole('button', { name: 'Put it there' }).click();
    await page
      .getByRole('table', { name: 'Pots' })
      .getByRole('button', { name: /^Green/ })
      .waitFor();
  });

  it('says so at an address that has nothing', async () => {
    await test.page.goto(`${test.bench.address}/nowhere`);
    await test.page.getByText('There is nothing at this address.').waitFor();
    await test.page.goto(`${test.bench.address}/jobs/nobody/open`);
    await test.page.getByText(/This job is not here any more/).waitFor();
    expectNoFaults(test.page);
  });
});
