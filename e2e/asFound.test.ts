import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults, openStation, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** What is there already: joints that hold nothing, and parts that are to stay as they are. */
describe('a model as it was found', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });

  const view = async () =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/sg-06`)).json()) as JobView;
  const keysOf = async () => (await view()).tasks.map((task) => task.key);
  const joint = () => test.page.locator('[data-joint="front-tabs"]');

  it('opens no tabs that were found without theirs, and closes them all the same', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-06/open`);
    expect(await keysOf()).include('open:front-tabs');
    await choose(joint().getByLabel('Found'), 'open, its fastener lost');
    await joint().getByText('It was found open, its fastener lost.').waitFor();
    await joint().getByText(': open').waitFor();
    const keys = await keysOf();
    expect(keys).not.include('open:front-tabs');
    expect(keys).include('close:front-tabs');
    await expectNoFaults(test.page);
  });

  it('knows that after a reload, says why its plan changed, and takes it back', async () => {
    await test.page.reload();
    await joint().getByText('It was found open, its fastener lost.').waitFor();
    expect((await view()).planChanges[0]!.because.join()).match(/found open, its fastener lost/);
    await choose(joint().getByLabel('Found'), 'as the factory made it');
    await joint().getByText('It was found open, its fastener lost.').waitFor({ state: 'detached' });
    expect(await keysOf()).include('open:front-tabs');
  });

  it('keeps a part as it is: dusted and covered, its planned coats left off and said to be', async () => {
    const { parts } = (await view()).specimens[0]!;
    const base = parts.find((part) => part.key === 'base')!;
    await test.page.goto(`${test.bench.address}/jobs/sg-06/survey?part=${base.id}`);
    await test.page.getByLabel(/^Keep it as it is/).click();
    await test.page
      .getByText(/The base is kept as it is: .* left off/)
      .first()
      .waitFor();
    await openStation(test.page, 'Strip');
    await taskLine(test.page, 'keep:base').getByText('Dust the base and leave it as it is').first().waitFor();
    const keys = await keysOf();
    expect(keys.filter((key) => /^(strip|wash|prime|colour|degrease):base/.test(key))).deep.equal([]);
    await expectNoFaults(test.page);
  });
});
