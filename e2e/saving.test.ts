import { randomFillSync } from 'node:crypto';
import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import sharp from 'sharp';
import { holdLock } from '../packages/server/test/support/holdLock.ts';
import { openWindow } from './support/openBrowser.ts';
import { expectNoFaults } from './support/restorer.ts';
import { startBench } from './support/startBench.ts';
import { useBench } from './support/useBench.ts';

describe('saving', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true });
  let here: Page & { faults: string[] };
  let there: Page & { faults: string[] };
  before(async () => {
    here = test.page;
    there = await openWindow(test.browser, { who: 'Imke Varga' });
  });

  const jobOf = async (id: string) =>
    (await (await here.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;
  const openFacts = async (page: Page, job: string) => {
    await page.goto(`${test.bench.address}/jobs/${job}/identify`);
    await page.getByText('Facts of the job').click();
  };
  /** Types into a field as it stands in this window, without leaving it: the edit is not sent yet. */
  const write = async (page: Page, label: string, text: string) => page.getByLabel(label).fill(text);

  it('keeps a field by itself when it is left, and says so', async () => {
    await openFacts(here, 'sg-02');
    await write(here, 'Why this one', 'Rare short hose');
    await here.getByLabel('Name').focus();
    await here.getByText('Saved', { exact: true }).waitFor();
    expect((await jobOf('sg-02')).job.why).equal('Rare short hose');
  });

  it('takes the last edit of this window back', async () => {
    await here.keyboard.press('Escape');
    await here.getByRole('button', { name: /^Undo/ }).click();
    await here.getByRole('button', { name: /^Undo/ }).waitFor({ state: 'detached' });
    expect((await jobOf('sg-02')).job.why).match(/^A short-hose tool/);
  });

  it('merges a stale save that touches another field', async () => {
    await openFacts(here, 'sg-05');
    await openFacts(there, 'sg-05');
    await write(here, 'Why this one', 'Body and base differ');
    await write(there, 'Name', 'Horse Box with ramp');
    await there.getByLabel('Why this one').focus();
    await there.getByText('Saved', { exact: true }).waitFor();
    await here.getByLabel('Name').focus();
    await here.getByText('Saved', { exact: true }).waitFor();
    const { job } = await jobOf('sg-05');
    expect(job).deep.include({ title: 'Horse Box with ramp', why: 'Body and base differ' });
  });

  it('shows a stale save of the same field side by side and overwrites nothing by itself', async () => {
    await openFacts(here, 'sg-06');
    await openFacts(there, 'sg-06');
    await write(here, 'Why this one', 'mine');
    await write(there, 'Why this one', 'theirs');
    await there.getByLabel('Name').focus();
    await there.getByText('Saved', { exact: true }).waitFor();
    await here.getByLabel('Name').focus();
    const dialog = here.getByRole('dialog', { name: /Changed in two places/ });
    await dialog.waitFor();
    expect(await dialog.getByRole('row', { name: /why/ }).innerText()).match(/mine\s+theirs/);
    expect((await jobOf('sg-06')).job.why).equal('theirs');
    await dialog.getByRole('button', { name: 'Put mine in' }).click();
    await dialog.waitFor({ state: 'detached' });
    await here.getByText('Saved', { exact: true }).waitFor();
    expect((await jobOf('sg-06')).job.why).equal('mine');
  });

  it('does not undo what somebody changed since', async () => {
    await here.keyboard.press('Escape');
    await openFacts(there, 'sg-06');
    await write(there, 'Why this one', 'theirs again');
    await there.getByLabel('Name').focus();
    await there.getByText('Saved', { exact: true }).waitFor();
    await here.getByRole('button', { name: /^Undo/ }).click();
    await here.getByText('it was left as it is').waitFor();
    expect((await jobOf('sg-06')).job.why).equal('theirs again');
  });

  it('keeps edits while the server is away and sends them when it is back', async () => {
    await openFacts(here, 'sg-03');
    await test.bench.stop();
    await write(here, 'Why this one', 'written while it was away');
    await here.getByLabel('Name').focus();
    await here.getByText('1 edit is kept and will be sent.').waitFor();
    test.bench = await startBench({ isDemo: true, again: test.bench });
    await here.getByText('The bench cannot be reached.').waitFor({ state: 'detached' });
    await here.getByText('Saved', { exact: true }).waitFor();
    expect((await jobOf('sg-03')).job.why).equal('written while it was away');
  });

  it('keeps what is taken away while the server is away, through a reload, and takes it away once', async () => {
    await here.goto(`${test.bench.address}/workshop`);
    const vessels = here.getByRole('region', { name: 'Vessels' });
    const last = vessels.getByRole('button', { name: /^Take away: / }).last();
    const name = (await last.getAttribute('aria-label'))!.slice('Take away: '.length);
    await test.bench.stop();
    await last.click();
    await here.getByText('1 edit is kept and will be sent.').waitFor();
    test.bench = await startBench({ isDemo: true, again: test.bench });
    await here.getByText('The bench cannot be reached.').waitFor({ state: 'detached' });
    await vessels.getByRole('button', { name: `Take away: ${name}` }).waitFor({ state: 'detached' });
    await here.reload();
    await last.waitFor();
    expect(await vessels.getByText(name, { exact: true }).count()).equal(0);
  });

  it('goes on while a second server is refused on its folder, which is told where it is open', async () => {
    const { folder, port, address } = test.bench;
    const second = await startBench({ isDemo: true, again: { folder, port: port + 1 } }).then(
      () => 'it was opened',
      (error: Error) => error.message,
    );
    expect(second).include(`is open already at ${address}`);
    await here.reload();
    await here.getByRole('region', { name: 'Vessels' }).waitFor();
  });

  it('says under the field what is wrong with it, before and after asking the server', async () => {
    await here.goto(`${test.bench.address}/put-on-bench`);
    await here.getByRole('button', { name: 'Put it on the bench' }).click();
    await here.getByText('Give the model a name.').waitFor();
    await here.getByLabel('What do you call it?').fill('Ferry');
    await here.getByLabel('Due on').fill('2020-01-01');
    await here.getByRole('button', { name: 'Put it on the bench' }).click();
    await here.getByText('The due day is past.').waitFor();
    expect(await here.getByLabel('What do you call it?').inputValue()).equal('Ferry');
    expectNoFaults(here);
    expectNoFaults(there);
  });

  it('says on every screen that the disk takes nothing, keeps what is typed through a reload, and sends it after', async () => {
    const letGo = holdLock(test.bench.folder);
    await openFacts(here, 'sg-02');
    await write(here, 'Why this one', 'Typed while nothing was saved');
    await here.getByLabel('Name').focus();
    const banner = here.getByRole('alert').filter({ hasText: 'nothing is saved' });
    await banner.getByText(/Another program holds the database.*1 edit is kept/).waitFor();
    const kept = here.getByLabel('Why this one');
    expect(await kept.inputValue()).equal('Typed while nothing was saved');
    await here.getByText('Kept here; not on the bench yet.').waitFor();
    await here.goto(`${test.bench.address}/catalogue`);
    await banner.waitFor();
    await here
      .getByRole('link', { name: /Mobile Library/ })
      .first()
      .waitFor();
    expect((await jobOf('sg-02')).job.why).not.match(/Typed while/);
    await there.goto(`${test.bench.address}/jobs/sg-02/survey`);
    const noise = randomFillSync(Buffer.alloc(90 * 60 * 3));
    const picture = await sharp(noise, { raw: { width: 90, height: 60, channels: 3 } })
      .png()
      .toBuffer();
    await there
      .getByLabel('Add a photo, or drop it here')
      .setInputFiles({ name: 'left.png', mimeType: 'image/png', buffer: picture });
    await there.getByText(/left\.png: Another program holds the database/).waitFor();
    letGo();
    await banner.waitFor({ state: 'detached' });
    await here.getByText('Saved', { exact: true }).waitFor();
    await there.getByRole('button', { name: 'Send again: left.png' }).click();
    await there.getByRole('img', { name: 'left, before' }).waitFor();
    expect((await jobOf('sg-02')).job.why).equal('Typed while nothing was saved');
  });

  it('lists the copies that it makes by itself, and goes back to one', async () => {
    await here.goto(`${test.bench.address}/safe`);
    const copies = here.getByRole('region', { name: 'Copies made by themselves' });
    await copies.waitFor();
    const before = await copies.getByRole('listitem').count();
    await copies.getByRole('button', { name: 'Make one now' }).click();
    await copies
      .getByRole('listitem')
      .nth(before)
      .getByText(/copy of the day, \d/)
      .waitFor();
    await here.request.patch(`${test.bench.address}/api/jobs/sg-02`, {
      data: { version: (await jobOf('sg-02')).job.version, why: 'After the copy' },
    });
    await copies
      .getByRole('button', { name: /^Go back to/ })
      .first()
      .click({ delay: 1500 });
    await copies.getByText(/It is as it was then/).waitFor();
    expect((await jobOf('sg-02')).job.why).equal('Typed while nothing was saved');
  });
});
