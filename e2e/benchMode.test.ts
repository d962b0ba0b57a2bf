import type { JobView, TimersView } from '@sardonyx/contract';
import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { expectSoon } from './support/expectSoon.ts';
import { openWindow } from './support/openBrowser.ts';
import { expectNoFaults } from './support/restorer.ts';
import { runAxe } from './support/runAxe.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Longer than a press bounces, and than a hold takes. */
const BOUNCE_MS = 600;
const HOLD_MS = 1700;

const pressOf = (page: Page) => page.locator('[data-press]');
const titleOf = (page: Page) => page.getByRole('heading', { level: 1 }).innerText();

/** Space alone: pressed, or held where the press asks for it. */
async function pedal(page: Page, hold: boolean): Promise<void> {
  await page.waitForTimeout(BOUNCE_MS);
  await page.keyboard.down(' ');
  if (hold) await page.waitForTimeout(HOLD_MS);
  await page.keyboard.up(' ');
}

const DRILL = 'Drill a pilot hole: post under the seat';

describe('bench mode on the demo', function () {
  this.timeout(180_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW }, { who: 'Osric Bell' });
  const job = (id: string) => sendTo<JobView>(test.bench.address, 'GET', `jobs/${id}`);

  it('is entered from the run of the evening, and shows what can hurt before the step, large', async () => {
    const { page, bench } = test;
    await page.goto(bench.address);
    await page.getByRole('link', { name: 'Work it step by step' }).click();
    await page.getByRole('heading', { level: 1, name: DRILL }).waitFor();
    await page.getByRole('region', { name: 'Hazard: Drilling a small casting' }).waitFor();
    await page.getByText(/^Then: SG-07 /).waitFor();
    const size = await page
      .locator('dd')
      .first()
      .evaluate((line) => Number.parseFloat(getComputedStyle(line).fontSize));
    expect(size).least(24);
    expect(await runAxe(page, 'serious')).deep.equal([]);
  });

  it('begins nothing by a short press of what is to be held, nor by a key that is still down', async () => {
    const { page } = test;
    const before = (await job('sg-07')).log;
    await pedal(page, false);
    await page.waitForTimeout(300);
    expect(await pressOf(page).innerText()).match(/^I have read it/);
    await page.waitForTimeout(BOUNCE_MS);
    await page.keyboard.down(' ');
    await pressOf(page).getByText('Start it').waitFor();
    // Still held: the start wants a hold of its own.
    for (let i = 0; i < 30; i++) {
      await page.keyboard.down(' ');
      await page.waitForTimeout(100);
    }
    await page.keyboard.up(' ');
    expect((await job('sg-07')).log).deep.equal(before);
  });

  it('says why the bench holds a step back, and goes on with another when it is put off', async () => {
    const { page } = test;
    await pedal(page, true);
    await page.getByText(/Stop before you strip/).waitFor();
    await page.getByRole('button', { name: /^Later/ }).click();
    await page.getByRole('heading', { level: 1, name: /^(?!Drill a pilot hole)/ }).waitFor();
    expect(await page.getByText(/Stop before you strip/).count()).equal(0);
    await page.getByRole('button', { name: 'Bring back the one put off' }).click();
    await page.getByRole('heading', { level: 1, name: /^Drill a pilot hole/ }).waitFor();
  });

  it('keeps a picture that could not go until it is stored, whatever step is up by then', async () => {
    const { page } = test;
    const before = (await job('sg-07')).photos.length;
    await page.route(/photos\/upload$/, (route) => route.abort('connectionfailed'));
    const picture = { name: 'pilot.png', mimeType: 'image/png', buffer: await page.screenshot() };
    await page.getByLabel('Picture').setInputFiles(picture);
    const again = page.getByRole('button', { name: 'Send again: pilot.png' });
    await again.waitFor();
    await page.getByRole('button', { name: /^Later/ }).click();
    await page.getByRole('heading', { level: 1, name: /^(?!Drill a pilot hole)/ }).waitFor();
    await page.unroute(/photos\/upload$/);
    await again.click();
    await again.waitFor({ state: 'detached' });
    await expectSoon(async () => (await job('sg-07')).photos.length === before + 1);
    const { photos } = await job('sg-07');
    expect(photos.some(({ caption, stage }) => caption === DRILL && stage === 'during')).equal(true);
    await page.getByRole('button', { name: 'Bring back the one put off' }).click();
    page.faults.length = 0;
  });

  it('fits a tablet, and the whole hazard is seen there before it is said to be read', async () => {
    const tablet = await openWindow(test.browser, { width: 820, height: 1180, who: 'Osric Bell' });
    await tablet.goto(`${test.bench.address}/bench-mode`);
    const card = tablet.getByRole('region', { name: /^Hazard/ });
    await card.waitFor();
    const [foot, top] = [
      await card.evaluate((box) => box.getBoundingClientRect().bottom),
      await pressOf(tablet).evaluate((box) => box.getBoundingClientRect().top),
    ];
    expect(foot).most(top);
    expect(await tablet.evaluate(() => document.documentElement.scrollWidth)).equal(820);
    expect(await runAxe(tablet, 'serious')).deep.equal([]);
    expectNoFaults(tablet);
    await tablet.context().close();
  });

  it('steps out with Esc, and the bench is as large as before', async () => {
    const { page } = test;
    await page.keyboard.press('Escape');
    await page.getByRole('region', { name: 'The next run' }).waitFor();
    expect(await page.evaluate(() => getComputedStyle(document.documentElement).fontSize)).equal('16px');
    expectNoFaults(page);
  });
});

describe('a whole evening in bench mode, by Space alone', function () {
  this.timeout(240_000);
  const test = useBench({ isDemo: false, now: DEMO_NOW }, { who: 'Somebody else' });
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);
  const timers = () => send<TimersView>('GET', 'timers');
  let job: Job;
  const log = async () => (await send<JobView>('GET', `jobs/${job.id}`)).log;

  it('asks for people where nobody is down, and whose hands these are', async () => {
    const { page, bench } = test;
    await page.goto(`${bench.address}/bench-mode`);
    await page.getByRole('heading', { name: 'Nobody is down for this bench yet.' }).waitFor();
    const sessions = [{ weekday: 3, startHour: 18, minutes: 240 }];
    await send('POST', 'restorers', { name: 'Nell', does: '', sessions, exceptions: [], leaves: [] });
    job = await send<Job>('POST', 'jobs', ownJob((await send<Casting>('POST', 'castings', OWN_LORRY)).id));
    await page.reload();
    await page.getByRole('radio', { name: 'Nell' }).click();
    await page.getByRole('heading', { level: 1, name: 'Look every zinc casting over for pest' }).waitFor();
    await page.getByText(/^, 3 h 30 min left until/).waitFor();
  });

  it('goes from step to step, starts their clocks, and writes each into the log as hers', async () => {
    const { page } = test;
    const worked: string[] = [];
    for (let i = 0; i < 12 && !(await pressOf(page).innerText()).startsWith('Bring back'); i++) {
      const title = await titleOf(page);
      if (title.startsWith('Photograph')) {
        await pedal(page, false);
        await page.getByText(/^Not yet:/).waitFor();
        await page.getByRole('button', { name: /^Later/ }).click();
      } else {
        worked.push(title);
        await pedal(page, false);
      }
      await page.getByRole('heading', { level: 1, name: title, exact: true }).waitFor({ state: 'detached' });
      await pressOf(page).or(page.getByText('Nothing can be begun')).first().waitFor();
    }
    const done = (await log()).filter(({ act }) => act === 'done');
    expect(done.map(({ who }) => who)).deep.equal(worked.map(() => 'Nell'));
    expect(worked.length).greaterThan(5);
    const running = (await timers()).timers.map(({ label }) => label);
    expect(running).include('Wash the window in soapy water');
    expect(await page.getByRole('list', { name: 'What runs by itself' }).getByRole('listitem').count()).equal(
      running.length,
    );
  });

  it('brings up clocks that ring one by one, says what being late means, and silences them by Space', async () => {
    const { page, bench } = test;
    const { timers: before } = await timers();
    bench.pass(55);
    await page.getByRole('heading', { level: 1, name: /^Time is up, over by/ }).waitFor();
    await page.getByText('Nothing is lost: it only got harder.').waitFor();
    await page.getByText(`${before.length - 1} more clocks ring: it comes up next.`).waitFor();
    for (let i = 0; i < before.length; i++) {
      const left = (await timers()).timers.length;
      await pedal(page, false);
      await expectSoon(async () => (await timers()).timers.length === left - 1);
    }
  });

  it('brings back what was put off, marks it, takes back the last step', async () => {
    const { page } = test;
    await page.getByRole('button', { name: 'Bring back what was put off' }).waitFor();
    await pedal(page, false);
    await page.getByRole('heading', { level: 1, name: /^Photograph/ }).waitFor();
    await page.getByRole('button', { name: /^Mark it/ }).click();
    await expectSoon(async () => (await log()).some(({ note }) => note.startsWith('Marked at the bench')));
    await page.getByRole('button', { name: /^Take back:/ }).click();
    await expectSoon(async () => (await log()).at(-1)!.act === 'taken back');
    expect(await page.getByRole('button', { name: /^Take back:/ }).count()).equal(0);
  });

  it('follows what is done in another window', async () => {
    const { page } = test;
    const { tasks } = await send<JobView>('GET', `jobs/${job.id}`);
    const back = (await log()).at(-1)!.taskId;
    const last = tasks.find(({ id }) => id === back)!;
    await page.getByRole('button', { name: /^Later/ }).click();
    await page.getByRole('heading', { level: 1, name: last.title, exact: true }).waitFor();
    await send('POST', `tasks/${last.id}/acts`, { act: 'done', who: 'Nell', note: '' });
    await page.getByRole('heading', { level: 1, name: last.title, exact: true }).waitFor({ state: 'detached' });
    expectNoFaults(page);
  });
});
