import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { openWindow } from './support/openBrowser.ts';
import { begin, expectNoFaults, hold, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

describe('clocks and refusals', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true });
  before(async () => {
    // Counts the strokes of the bell.
    await test.page.addInitScript(() => {
      const strokes = window as unknown as { strokes: number };
      strokes.strokes = 0;
      const start = OscillatorNode.prototype.start;
      OscillatorNode.prototype.start = function (...args) {
        strokes.strokes++;
        start.apply(this, args);
      };
    });
  });

  const shelf = (one: Page = test.page) => one.getByRole('complementary', { name: 'Clock shelf' });
  const strokes = () => test.page.evaluate(() => (window as unknown as { strokes: number }).strokes);
  const strip = 'strip:trim';

  it('start from the step, armed with a stroke of the bell', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-08/strip`);
    const line = taskLine(test.page, strip);
    await line.getByRole('button', { expanded: false }).click();
    await line.getByRole('region', { name: 'Hazard: Solvent gel stripper' }).waitFor();
    await line.getByText("The product's own safety sheet and local rules go first.").first().waitFor();
    await begin(test.page, strip);
    await line.getByLabel('Look again after, min').fill('0.2');
    await line.getByRole('button', { name: /start its clock$/ }).click();
    await shelf().getByText('Look at the tinplate trim again: pass 1').waitFor();
    expect(await strokes()).greaterThan(0);
  });

  it('show the same in a second window', async () => {
    const second = await openWindow(test.browser);
    await second.goto(test.bench.address);
    await shelf(second).getByText('Look at the tinplate trim again: pass 1').waitFor();
    await second.context().close();
  });

  it('ring until somebody presses, also in a window that was closed meanwhile', async () => {
    await test.page
      .getByRole('alert')
      .getByText('Look at the tinplate trim again: pass 1: time is up')
      .waitFor({ timeout: 20_000 });
    await test.page.waitForTimeout(2500);
    const before = await strokes();
    await test.page.waitForTimeout(2500);
    expect(await strokes()).greaterThan(before);
  });

  it('survive a restart, and say how late they are', async () => {
    await test.restart(new Date(Date.now() + 12 * 60_000).toISOString());
    await test.page.reload();
    const due = test.page.getByRole('alert').filter({ hasText: 'Look at the tinplate trim again: pass 1' });
    await due.getByText(/time is up, over by 1[12] min/).waitFor();
    expect((await due.boundingBox())!.height).least(64);
  });

  it('keep a spark away while the gel is not silenced, at the task itself', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-06/open`);
    const grind = taskLine(test.page, 'open:axle-ends');
    await hold(grind.getByRole('button', { name: /^Start: / }));
    await grind
      .getByRole('alert')
      .getByText(/before a spark or flame/)
      .first()
      .waitFor();
    expect(await grind.getAttribute('data-state')).equal('to do');
  });

  it('are silenced by the large target, and then stop ringing', async () => {
    await test.page.getByRole('alert').filter({ hasText: 'time is up' }).click();
    await test.page.getByRole('alert').filter({ hasText: 'time is up' }).waitFor({ state: 'detached' });
    const before = await strokes();
    await test.page.waitForTimeout(2500);
    expect(await strokes()).equal(before);
  });

  it('are stopped early only after asking', async () => {
    await shelf().getByRole('button', { name: 'Stop the clock Trolley primer hardening' }).click();
    await shelf().getByRole('button', { name: 'Let it run' }).click();
    await shelf().getByRole('button', { name: 'Stop the clock Trolley primer hardening' }).click();
    await shelf().getByRole('button', { name: 'Stop it early' }).click();
    await shelf().getByText('Trolley primer hardening').waitFor({ state: 'detached' });
  });

  it('say at once when a file is no picture', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-05/survey`);
    await test.page
      .getByLabel('Add a photo, or drop it here')
      .setInputFiles({ name: 'letter.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('Dear museum') });
    await test.page
      .getByRole('alert')
      .getByText(/^.*letter\.jpg: .*Nothing was saved/)
      .waitFor();
  });

  it('show why a task waits, and refuse it when somebody starts it all the same', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-05/close`);
    const line = taskLine(test.page, 'fit:base');
    await line.getByText(/Waits for “.+”: .+/).waitFor();
    expect(await line.innerText(), 'no code of ours').not.match(/\([ONS]\d+\)/);
    await line.getByRole('button', { expanded: false }).click();
    await line.getByRole('button', { name: 'Start', exact: true }).click();
    await line
      .getByRole('alert')
      .getByText(/First "/)
      .first()
      .waitFor();
  });

  it('do not let a due day be a day that does not exist', async () => {
    const answer = await test.page.request.patch(`${test.bench.address}/api/jobs/sg-05`, {
      data: { version: 1, dueOn: '2026-02-30' },
    });
    expect(answer.status()).equal(400);
    expectNoFaults(test.page);
  });
});
