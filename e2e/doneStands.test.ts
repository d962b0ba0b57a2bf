import type { JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import type { Locator } from 'playwright-core';
import { choose } from './support/choose.ts';
import { begin, expectNoFaults, logCoats, openStation, passTime, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** What was done stays what was done, and only what is done is done: on the tug and its trolleys. */
describe('work that is done', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true }, { who: 'Osric Bell' });
  const record = async () =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/sg-07/record.json`)).json()) as JobRecord;
  /** Unfolds a step where what it offers is not seen yet. */
  const openLine = async (line: Locator, button: string | RegExp) => {
    if (!(await line.getByRole('button', { name: button }).count()))
      await line.locator('button[aria-expanded]').first().click();
  };
  const notNeeded = async (key: string, because: string) => {
    const line = taskLine(test.page, key);
    await openLine(line, /^Not so, or not at all/);
    await line.getByRole('button', { name: /^Not so, or not at all/ }).click();
    const group = line.getByRole('group', { name: /^Otherwise: / });
    await group.getByRole('textbox').fill(because);
    await group.getByRole('button', { name: 'Not needed', exact: true }).click();
    await test.page.locator(`li[data-task="${key}"][data-state="not needed"]`).waitFor({ state: 'attached' });
  };
  const trolley = async (station: string) => {
    await test.page.goto(`${test.bench.address}/jobs/sg-07/${station}?specimen=sg-07-2`);
    await test.page.locator('li[data-task]').first().waitFor({ state: 'attached' });
  };

  it('says gel before and after somebody decides for the slow bath', async () => {
    const { work } = await record();
    const gel = work.filter((line) => line.task.includes('gel'));
    expect(gel.length).greaterThan(1);
    await trolley('strip');
    await test.page.getByText('How this job is done, where restorers disagree').click();
    const stripping = test.page.locator('li', { has: test.page.getByText('Stripping', { exact: true }) });
    await choose(stripping.getByRole('combobox'), 'mild slow');
    await stripping.getByLabel('Reason, for the record').fill('no hurry');
    await stripping.getByRole('button', { name: 'Decide' }).click();
    await test.page.getByText(/On this job, no hurry\./).waitFor();
    expect((await record()).work).deep.equal(work);
    await taskLine(test.page, 'strip:body').getByText('Brush gel stripper').first().waitFor({ state: 'attached' });
    await test.page.getByRole('region', { name: 'The plan says' }).getByText(/gel/).first().waitFor();
  });

  it('is waited for until it is dry: no look dries a coat', async () => {
    const { page } = test;
    await trolley('finish');
    for (const key of ['judge:body', 'mix:Quay Chalk white']) await notNeeded(key, 'tried on card');
    const mist = taskLine(page, 'mist:body:outside');
    await openLine(mist, 'Log the coat');
    await logCoats(mist, 'mist:body:outside');
    const colour = taskLine(page, 'colour:body:outside');
    await colour.locator('button[aria-expanded]').first().click();
    await colour
      .getByText(/needs time until .*, by its sheet, the room and what was touched/)
      .first()
      .waitFor();
    expect(await colour.getByRole('button', { name: /^Start: / }).count()).equal(0);
    expect(await colour.getByRole('button', { name: /^I have looked/ }).count()).equal(0);
    await passTime(page, 60);
    await openLine(colour, /^Start: /);
  });

  it('is not done by a tick: a coat is logged, or the job cannot be signed', async () => {
    await trolley('finish');
    const colour = taskLine(test.page, 'colour:body:outside');
    await openLine(colour, 'Log the coat');
    await begin(test.page, 'colour:body:outside');
    await colour.getByRole('button', { name: 'Done', exact: true }).click();
    await colour.getByText(/Not logged yet: colour on the outside/).waitFor();
    const refused = await test.page.request.post(`${test.bench.address}/api/jobs/sg-07/sign-off`, {
      data: { who: 'Osric Bell', because: '' },
    });
    expect(refused.status()).equal(422);
    expect(await refused.text()).include('is not done');
    expect(await colour.getAttribute('data-state')).equal('doing');
  });

  it('keeps a rejected coat beside its second in the record', async () => {
    const { page } = test;
    await logCoats(taskLine(page, 'colour:body:outside'), 'colour:body:outside');
    await trolley('finish');
    await page
      .getByRole('button', { name: /^Body: / })
      .first()
      .click();
    const body = page.getByRole('region', { name: 'Coats: Body' });
    await body.getByRole('button', { name: 'Coats in words' }).click();
    // The mist lies below, under the same name.
    await body.getByRole('button', { name: 'Reject Quay Chalk white' }).last().click();
    const reject = page.getByRole('group', { name: 'Reject Quay Chalk white' });
    await reject.getByLabel(/^What is wrong with it/).fill('orange peel');
    await reject.getByRole('button', { name: 'Reject the coat' }).click();
    const off = page.locator('li[data-task^="take-off:"]');
    const key = (await off.getAttribute('data-task'))!;
    await openLine(off, /^Start: /);
    await begin(page, key);
    await off.getByRole('button', { name: 'Done', exact: true }).click();
    await page.locator(`li[data-task="${key}"][data-state="done"]`).waitFor({ state: 'attached' });
    for (const next of ['degrease:body#2', 'mist:body:outside#2']) await notNeeded(next, 'in one go');
    const again = taskLine(page, 'colour:body:outside#2');
    await openLine(again, 'Log the coat');
    await logCoats(again, 'colour:body:outside#2');
    const coats = (await record()).models[1]!.parts.find((part) => part.name === 'Body')!.coatsApplied;
    const chalk = coats.filter((coat) => coat.name === 'Quay Chalk white');
    expect(chalk.map((coat) => coat.rejection?.because ?? null)).deep.equal([null, 'orange peel', null]);
    await openStation(page, 'Sign off');
    await page.getByRole('button', { name: /^\d+ coats put on$/ }).click();
    const table = page.getByRole('region', { name: 'Coats put on', exact: true });
    await table.getByLabel('Find in it').fill('orange peel');
    await table.getByText(/^1 of \d+$/).waitFor();
    expect(await table.locator('tbody tr').innerText()).match(/Quay Chalk white.*taken off: orange peel/s);
    const work = page.getByRole('region', { name: 'Hand work by station' });
    await work.getByRole('button', { name: 'The same as a table' }).click();
    await work.getByRole('row', { name: /^Strip/ }).waitFor();
    await work
      .getByRole('img', { name: /^Hand work by station: .* done/ })
      .locator('svg')
      .waitFor();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Record card (PDF)' }).click();
    expect((await download).suggestedFilename()).equal('SG-07-card.pdf');
    expectNoFaults(page);
  });
});
