import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { expectNoFaults } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** The record of a casting of one's own, read before, between and after clumsy work. */
describe('the record of a model of one’s own', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  const send = <T>(path: string, body: object) => sendTo<T>(test.bench.address, 'POST', path, body);
  let job: Job;
  const section = (name: string) => test.page.getByRole('region', { name, exact: true });
  const read = async () => {
    await test.page.getByRole('link', { name: 'Read the whole record' }).click();
    await section('What it is').waitFor();
  };
  const goBack = () => test.page.getByRole('link', { name: 'Back to Sign off' }).click();

  before(async () => {
    const casting = await send<Casting>('castings', OWN_LORRY);
    job = await send<Job>('jobs', ownJob(casting.id, 'The old lorry'));
  });

  it('claims nothing before anything was done, and has no empty heading', async () => {
    await test.page.goto(`${test.bench.address}/jobs/${job.id}/sign-off`);
    await read();
    await section('What it is').getByText('Nothing was logged that changed this model.').waitFor();
    await section('What was planned and not done').waitFor();
    for (const name of ['What was done', 'Photographs', 'Colours', 'Before and after'])
      expect(await section(name).count(), name).equal(0);
    const headings = await test.page.getByRole('navigation', { name: 'Contents' }).getByRole('link').allInnerTexts();
    expect(headings).include('Parts').and.not.include('Hours');
    await expectNoFaults(test.page);
  });

  it('has what was captured since, without asking for the page anew', async () => {
    const { page } = test;
    await goBack();
    await page.getByRole('link', { name: 'Colours' }).click();
    await page.getByRole('button', { name: 'Type the numbers' }).click();
    for (const [word, value] of [
      ['L*', '48'],
      ['a*', '-22'],
      ['b*', '14'],
    ])
      await page.getByLabel(word!, { exact: true }).fill(value!);
    await page.getByRole('button', { name: 'Take these numbers' }).click();
    await page.getByLabel('Where exactly').fill('under the cab');
    await page.getByRole('button', { name: 'Keep it as the sheltered colour' }).click();
    await page.getByText('sheltered, under the cab: L').waitFor();
    for (let back = 0; back < 2 && !(await page.getByText('Read the whole record').isVisible()); back++)
      await page.goBack();
    await read();
    await section('Colours').getByText('under the cab').waitFor();
    await section('Colours').getByText('48.0 -22.0 14.0').waitFor();
    await expectNoFaults(page);
  });

  it('gives every paper away', async () => {
    for (const [name, file] of [
      ['Full record (PDF)', /-record\.pdf$/],
      ['Record card (PDF)', /-card\.pdf$/],
      ['Hand-on sheet (PDF)', /-hand-on\.pdf$/],
      ['Before and after (PDF)', /-before-after\.pdf$/],
      ['Box label (PDF)', /-label\.pdf$/],
      ['Plain text', /-record\.txt$/],
      ['Data (JSON)', /-record\.json$/],
    ] as const) {
      const download = test.page.waitForEvent('download');
      await test.page.getByRole('button', { name }).click();
      expect((await download).suggestedFilename()).match(file);
    }
    await expectNoFaults(test.page);
  });
});
