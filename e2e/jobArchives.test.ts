import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { expectNoFaults } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { startBench } from './support/startBench.ts';
import { useBench } from './support/useBench.ts';

/** A job goes to another bench and comes back changed. */
describe('a whole job, from one bench to another', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let other: Awaited<ReturnType<typeof startBench>>;
  let folder: string;
  let job: Job;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'sardonyx-e2e-'));
    other = await startBench({ isDemo: false });
    const casting = await sendTo<Casting>(other.address, 'POST', 'castings', OWN_LORRY);
    job = await sendTo<Job>(other.address, 'POST', 'jobs', ownJob(casting.id, 'The travelling lorry'));
  });
  after(async () => {
    await other.clear();
    await rm(folder, { recursive: true, force: true });
  });
  const jobs = () => test.page.getByRole('region', { name: 'Whole jobs' });
  const bring = (path: string) => jobs().getByLabel('The archive to take in').setInputFiles(path);

  it('is packed on its record page', async () => {
    const { page } = test;
    await page.goto(`${other.address}/jobs/${job.id}/record`);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Whole job (ZIP)' }).click(),
    ]);
    expect(download.suggestedFilename()).equal('B-01-The-travelling-lorry.zip');
    await download.saveAs(join(folder, 'lorry.zip'));
  });

  it('is refused where it was damaged, and says so; nothing is here', async () => {
    const { page } = test;
    const zip = await readFile(join(folder, 'lorry.zip'));
    await writeFile(join(folder, 'cut.zip'), zip.subarray(0, zip.length - 300));
    await page.goto(`${test.bench.address}/safe`);
    await jobs().getByText('There is no job to pack yet.').waitFor();
    await bring(join(folder, 'cut.zip'));
    await jobs()
      .getByRole('alert')
      .getByText(/Nothing was taken: it is not a readable ZIP/)
      .waitFor();
  });

  it('is looked at, taken in, and there: with the number that is free', async () => {
    const { page } = test;
    const casting = await sendTo<Casting>(test.bench.address, 'POST', 'castings', { ...OWN_LORRY, number: '8/1' });
    await sendTo<Job>(test.bench.address, 'POST', 'jobs', ownJob(casting.id, 'One of my own'));
    await bring(join(folder, 'lorry.zip'));
    await jobs().getByText('Whole; nothing is taken yet.').waitFor();
    await jobs()
      .getByText(/comes in as B-02, another job is B-01 here/)
      .waitFor();
    await jobs().getByRole('button', { name: 'Take it in' }).click();
    await jobs().getByText('Taken in.').waitFor();
    await jobs().getByRole('link', { name: 'B-02 The travelling lorry' }).click();
    await page
      .getByRole('heading', { name: /The travelling lorry/ })
      .first()
      .waitFor();
    await page.goto(`${test.bench.address}/safe`);
    await bring(join(folder, 'lorry.zip'));
    await jobs()
      .getByText(/is on this bench already, the same in every field/)
      .waitFor();
    expect(await jobs().getByRole('button', { name: 'Take it in' }).count()).equal(0);
    await expectNoFaults(page);
  });

  it('went on there and not here: it is not overwritten', async () => {
    const { page } = test;
    await sendTo(other.address, 'PATCH', `jobs/${job.id}`, { version: 1, why: 'For the fair.' });
    await page.goto(`${other.address}/safe`);
    await bring(join(folder, 'lorry.zip'));
    await jobs()
      .getByText(/B-01 The travelling lorry is on this bench already, in another state/)
      .waitFor();
  });

  it('some of several are packed', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/safe`);
    await jobs().getByRole('button', { name: 'All jobs; choose some of them' }).click();
    await jobs().getByRole('checkbox', { name: 'B-01 One of my own' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      jobs().getByRole('button', { name: 'Pack this job' }).click(),
    ]);
    expect(download.suggestedFilename()).equal('B-01-One-of-my-own.zip');
    await expectNoFaults(page);
  });
});
