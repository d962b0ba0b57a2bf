import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** What a restorer changes after a job began: its models, its scope, a post that went wrong. */
describe('a job that is changed later', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const go = (path: string) => test.page.goto(test.bench.address + path);
  const job = async (id: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;

  it('gets a second example, and takes the wheels of it that are better', async () => {
    const { page } = test;
    await go('/jobs/sg-06/survey?part=sg-06-1.wheels');
    await page.getByText('Facts of the job').click();
    const form = page.getByRole('form', { name: 'Another model' });
    await form.getByLabel('Another model of this job').fill('Second plough');
    await form.getByRole('button', { name: 'Add it' }).click();
    await page.waitForURL(/specimen=sg-06-2/);
    // What nobody looked at is not better: it is described first.
    await go('/jobs/sg-06/survey?specimen=sg-06-2&part=sg-06-2.wheels');
    const found = page.getByRole('form', { name: 'Finding on the Wheels' });
    await choose(found.getByLabel('Finding'), 'scuffed');
    await found.getByLabel('Where and how').fill('left front');
    await found.getByRole('button', { name: 'Add the finding' }).click();
    await page
      .getByRole('list', { name: 'Findings on the Wheels' })
      .getByText(/Scuffed/)
      .waitFor();
    await go('/jobs/sg-06/identify?specimen=sg-06-1');
    await choose(page.getByLabel('Compare part by part with'), 'Second plough');
    await page.getByRole('button', { name: /^Take it ?: Wheels/ }).click();
    await page
      .getByRole('cell', { name: /look at it first|against/ })
      .first()
      .waitFor();
    await go('/jobs/sg-06/survey?specimen=sg-06-1');
    await page.getByText('left front').first().waitFor({ state: 'attached' });
    const { specimens } = await job('sg-06');
    const wheels = specimens[0]!.parts.find((part) => part.key === 'wheels')!;
    expect(wheels).include({ id: 'sg-06-2.wheels', origin: 'donor', originNote: 'from Second plough' });
  });

  it('recovers a post that was drilled too wide, before its thread is cut', async () => {
    const { page } = test;
    await go('/jobs/sg-03/survey?part=sg-03-1.body');
    const found = page.getByRole('form', { name: 'Finding on the Body' });
    await choose(found.getByLabel('Finding'), 'over-drilled');
    await choose(found.getByLabel('How bad'), 'must be mended');
    await found.getByLabel('Of what on it').fill('rear post');
    await found.getByRole('button', { name: 'Add the finding' }).click();
    await page.getByRole('list', { name: 'Findings on the Body' }).getByText('Rear post over-drilled').waitFor();
    await go('/jobs/sg-03/strip?part=sg-03-1.body');
    await taskLine(page, 'recover-post:body').getByText('Recover the posts of the body').waitFor();
    const { tasks } = await job('sg-03');
    const tap = tasks.find((task) => task.act === 'tap')!;
    expect(tap.after.map((link) => link.key)).include('recover-post:body');
  });

  it('keeps all paint when only repairs are asked for after all', async () => {
    const { page } = test;
    await go('/jobs/sg-06/strip?specimen=sg-06-1');
    await taskLine(page, 'strip:body').waitFor({ state: 'attached' });
    await page.getByText('Facts of the job').click();
    await choose(page.getByLabel('How far shall it go?'), 'Repairs and parts only: its paint stays');
    await taskLine(page, 'strip:body').waitFor({ state: 'detached' });
    await page
      .getByText(/Only repairs are asked for/)
      .first()
      .waitFor();
    await taskLine(page, 'keep:body').waitFor({ state: 'attached' });
    expectNoFaults(page);
  });
});
