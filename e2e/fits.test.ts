import type { JobView, StockView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { clearTheWay } from './support/clearTheWay.ts';
import { expectNoFaults, hold, taskLine } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** A post that is tapped, and one that was drilled too wide before. */
describe('Bit, depth stop and screw at the post', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const job = () => sendTo<JobView>(test.bench.address, 'GET', 'jobs/sg-05');
  const screw = async (name: string) =>
    (await sendTo<StockView>(test.bench.address, 'GET', 'stock')).things.find((thing) => thing.name === name)!;

  it('says bit, stop and screw; a hole that is too wide is recovered by the next thread, and its screw is put by and used', async () => {
    const { page, bench } = test;
    const task = await clearTheWay(page.request, bench.address, 'sg-05', ({ act }) => act === 'tap');
    await page.goto(`${bench.address}/jobs/sg-05/strip`);
    const line = taskLine(page, task.key);
    const answer = line.getByRole('region', { name: 'Bit, depth stop, screw' });
    if (!(await answer.isVisible())) await line.getByRole('button', { name: task.title }).click();
    await answer.getByText('Post and roof, and it says which bit').waitFor();
    await answer.getByLabel('Post, across, mm').fill('1,8');
    await answer.getByLabel('From its end to the roof, mm').fill('9');
    await answer.getByText(/No thread does: glue a false rivet/).waitFor();
    await answer.getByLabel('Post, across, mm').fill('4,2');
    await answer.getByLabel('Floor under it, mm').fill('1');
    await answer.getByText(/M2: bit 1\.65, depth stop at 5\.0 mm, screw 4\.0 to 5\.0 mm long/).waitFor();
    await answer.getByRole('link', { name: 'M2 × 5, pan' }).waitFor();
    await answer.getByLabel('Hole that is there, mm').fill('2.05');
    await answer.getByText(/^Tap it M2\.5 instead: \d+ % of its thread/).waitFor();
    await answer.getByText('Fill it with resin, and drill and tap M2 anew').waitFor();
    await answer.getByText(/M2\.5: bit/).waitFor();
    const before = await screw('M2.5 × 6, pan');
    await answer
      .getByRole('button', { name: /^Put 1 by/ })
      .first()
      .click();
    await answer.getByText(/1 put by/).waitFor();
    await hold(line.getByRole('button', { name: /^Start/ }));
    await line.getByRole('button', { name: 'Done', exact: true }).click();
    await line.getByRole('button', { name: 'Done', exact: true }).waitFor({ state: 'detached' });
    const after = await screw('M2.5 × 6, pan');
    expect([after.onHand, after.held]).deep.equal([before.onHand - 1, []]);
    const { log } = await job();
    const logged = log.find(({ taskId, act }) => taskId === task.id && act === 'done')!;
    expect(logged.work.measures.map(({ what, valueMm }) => `${what} ${valueMm}`)).deep.equal([
      ...['post 4.2', 'to the roof 9', 'floor 1', 'hole 2.05'],
    ]);
    const back = { act: 'take back', who: 'Nell', note: 'It stripped.' };
    await sendTo(bench.address, 'POST', `tasks/${task.id}/acts`, back);
    expect((await screw('M2.5 × 6, pan')).onHand).equal(before.onHand);
    expectNoFaults(page);
  });
});
