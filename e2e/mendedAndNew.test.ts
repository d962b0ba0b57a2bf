import type { JobView } from '@sardonyx/contract';
import type { JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import { choose } from './support/choose.ts';
import { clearTheWay } from './support/clearTheWay.ts';
import { begin, expectNoFaults, logCoats, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** From a finding to the record: what was mended, what came new, what was powdered. */
describe('mended, new and powdered', function () {
  this.timeout(150_000);
  const test = useBench({ isDemo: true });
  const go = (path: string) => test.page.goto(test.bench.address + path);
  const read = async <T>(path: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/${path}`)).json()) as T;
  const way = (jobId: string, key: string) =>
    clearTheWay(test.page.request, test.bench.address, jobId, (task) => task.key === key);
  const recordOf = (jobId: string) => read<JobRecord>(`jobs/${jobId}/record.json`);
  /** Everything of one log line of the record in words. */
  const logOf = async (jobId: string, pattern: RegExp) =>
    (await recordOf(jobId)).work.map((entry) => JSON.stringify(entry)).filter((line) => pattern.test(line));

  /** A step of the open station, unfolded, begun where it is held, and done. */
  async function doStep(key: string): Promise<void> {
    const line = taskLine(test.page, key);
    await line.waitFor();
    const unfold = line.locator('button[aria-expanded="false"]').first();
    if (await unfold.count()) await unfold.click();
    const start = line.getByRole('button', { name: /^Start: / });
    const done = line.getByRole('button', { name: 'Done', exact: true });
    const look = line.getByRole('button', { name: /^I have looked/ });
    await start.or(done).or(look).first().waitFor();
    // Time does not pass here: what still dries is looked at.
    for (; await look.count(); await test.page.waitForTimeout(500)) await look.first().click();
    await start.or(done).first().waitFor();
    if (await start.count()) await begin(test.page, key);
    await done.click();
    await test.page.locator(`li[data-task="${key}"][data-state="done"]`).waitFor({ state: 'attached' });
  }

  it('splints a broken pillar as it was chosen, and says so in the record', async () => {
    const { page } = test;
    await go('/jobs/sg-03/survey?part=sg-03-1.body');
    const found = page.getByRole('form', { name: 'Finding on the Body' });
    await choose(found.getByLabel('Finding'), 'broken');
    await choose(found.getByLabel('How bad'), 'must be mended');
    await found.getByLabel('Of what on it').fill('left pillar');
    await found.getByRole('button', { name: 'Add the finding' }).click();
    await page.getByRole('list', { name: 'Findings on the Body' }).getByText('Left pillar broken').waitFor();
    await go('/jobs/sg-03/strip?part=sg-03-1.body');
    await page.getByText('Mend, straighten, smooth: body').click();
    const mend = page.getByRole('region', { name: /^Mend: .*left pillar/i });
    await choose(mend.getByLabel('Mend it with'), 'splint');
    await mend.getByText(/: splint, chosen for this damage/).waitFor();
    const step = taskLine(page, 'mend:body');
    await step
      .getByText(/splint.*left pillar|left pillar.*splint/i)
      .first()
      .waitFor({ state: 'attached' });
    await way('sg-03', 'mend:body');
    await page.reload();
    await doStep('mend:body');
    const lines = await logOf('sg-03', /left pillar/);
    expect(lines.some((line) => line.includes('"by":"splint"') && line.includes('"act":"done"'))).equal(true);
    // Chosen otherwise afterwards: what is done stands, and is said.
    await page.getByText('Mend, straighten, smooth: body').click();
    await choose(mend.getByLabel('Mend it with'), 'glue and powder');
    await page
      .getByText(/left pillar.* was done by: splint.*What is done stands/)
      .first()
      .waitFor();
    expectNoFaults(page);
  });

  it('tries a bought part on, prepares and paints it without stripping it, and fits it', async () => {
    const { page } = test;
    await go('/jobs/sg-03/survey?part=sg-03-1.step');
    await page
      .getByText(/Ordered: new rear step|rear step.*(promised|expected)/i)
      .first()
      .waitFor();
    const want = page
      .locator('li', { hasText: 'a rear step' })
      .filter({ has: page.locator('button, select') })
      .first();
    await want.waitFor();
    const { specimens } = await read<JobView>('jobs/sg-03');
    const own = specimens[0]!.wants.find((one) => one.what === 'a rear step')!;
    await page.request.patch(`${test.bench.address}/api/wants/${own.id}`, {
      data: { version: own.version, state: 'solved', origin: 'bought', solution: 'Tern Street Spares' },
    });
    await go('/jobs/sg-03/finish?part=sg-03-1.step');
    for (const pot of ['Lanthorn Light grey primer (primer)', 'Marlstone Slate blue (colour)']) {
      const form = page.getByLabel(/^Plan a coat for the/).first();
      await choose(form, pot);
      await page.getByRole('button', { name: 'Plan it' }).first().click();
      await page
        .getByRole('list', { name: /^Planned for the/ })
        .getByText(pot.replace(/ \(.*/, ''))
        .first()
        .waitFor();
    }
    const keys = (await read<JobView>('jobs/sg-03')).tasks.map((task) => task.key);
    expect(keys).include.members(['trial-fit:step', 'degrease:step', 'prime:step', 'close:step-pegs']);
    expect(keys.filter((key) => /^(strip|wash|inspect|key|open):step/.test(key))).deep.equal([]);
    const prime = await way('sg-03', 'prime:step');
    expect(prime.after.map(({ key }) => key).join()).include('degrease:step');
    await page.reload();
    const line = taskLine(page, 'prime:step');
    await line.locator('button[aria-expanded]').first().click();
    await line.getByRole('button', { name: 'Log the coat' }).waitFor();
    expect(await logCoats(line, 'prime:step')).equal(true);
    await way('sg-03', 'close:step-pegs');
    await go('/jobs/sg-03/close');
    await doStep('close:step-pegs');
    const record = await recordOf('sg-03');
    const step = record.models[0]!.parts.find((part) => /step/i.test(part.name))!;
    expect(JSON.stringify(step)).include('bought').and.include('Light grey primer');
    expectNoFaults(page);
  });

  it('lays planned coats as they must lie, in whatever order they come, and lets one kind change places', async () => {
    const { page } = test;
    await go('/jobs/sg-04/finish?part=sg-04-1.skip');
    const form = page.getByLabel('Plan a coat for the outside');
    const list = page.getByRole('list', { name: 'Planned for the outside' });
    const names = async () =>
      (await list.getByRole('listitem').allInnerTexts()).map((text) =>
        text.split(/\s(?:colour|primer|clear), /)[0]!.trim(),
      );
    const plan = async (pot: string) => {
      await choose(form, pot);
      await page.getByRole('button', { name: 'Plan it' }).first().click();
      await list.getByText(pot.replace(/ \(.*/, '')).waitFor();
    };
    for (const remove of await list.getByRole('button', { name: /^Remove/ }).all()) {
      const name = (await remove.getAttribute('aria-label'))!;
      await page.getByRole('button', { name, exact: true }).first().click();
      await page.getByRole('button', { name, exact: true }).first().waitFor({ state: 'detached' });
    }
    await plan('Marlstone Slate blue (colour)');
    await plan('Lanthorn Light grey primer (primer)');
    await plan('Quay Chalk white (colour)');
    // The outermost on top, as they lie.
    const asPlanned = ['Quay Chalk white', 'Marlstone Slate blue', 'Lanthorn Light grey primer'];
    expect(await names()).deep.equal(asPlanned);
    const move = async (name: string, ...keys: readonly string[]) => {
      await list.getByRole('button', { name: `Move ${name}`, exact: true }).focus();
      for (const key of ['Space', ...keys, 'Space']) {
        await page.keyboard.press(key, { delay: 60 });
        await page.waitForTimeout(300);
      }
    };
    await move('Quay Chalk white', 'ArrowDown');
    await page.getByRole('button', { name: /^Undo\s*: Quay Chalk white: further in/ }).waitFor();
    await list.getByRole('listitem').nth(0).getByText('Marlstone Slate blue').waitFor();
    expect(await names()).deep.equal([asPlanned[1], asPlanned[0], asPlanned[2]]);
    await move('Lanthorn Light grey primer', 'ArrowUp');
    await page
      .getByRole('alert')
      .getByText('Lanthorn Light grey primer stays under Quay Chalk white. A primer lies under the colour.')
      .waitFor();
    expect(await names()).deep.equal([asPlanned[1], asPlanned[0], asPlanned[2]]);
    await page.getByRole('button', { name: /^Undo\s*: Quay Chalk white: further in/ }).click();
    await list.getByRole('listitem').nth(1).getByText('Marlstone Slate blue').waitFor();
    expect(await names()).deep.equal(asPlanned);
    expectNoFaults(page);
  });

  it('lists what all models lack in one table, and goes to the part that a line is about', async () => {
    const { page } = test;
    await go('/?as=wants');
    const table = page.getByRole('region', { name: 'Wants', exact: true });
    await table.getByRole('columnheader', { name: 'Due here' }).getByRole('button').click();
    const first = table.locator('tbody tr').first();
    const words = await first.innerText();
    await first.getByRole('button').click();
    await page.getByRole('region', { name: 'Wants', exact: true }).getByRole('listitem').first().waitFor();
    expect(page.url()).include('/survey?part=');
    expect(words).include((await page.getByRole('heading', { level: 1 }).first().innerText()).match(/SG-\d+/)![0]);
    await page.goBack();
    await page.getByRole('radio', { name: 'Models' }).click();
    await page.locator('a[href^="/jobs/sg-03"]').first().waitFor();
    expectNoFaults(page);
  });

  it('powders a body that had a decal: stripped, baked empty, cured and looked over', async () => {
    const { page } = test;
    await go('/jobs/sg-06/survey?part=sg-06-1.body');
    const { specimens } = await read<JobView>('jobs/sg-06');
    const area = specimens[0]!.areas.find((one) => one.specimenPartId === 'sg-06-1.body' && one.kind === 'outside')!;
    await page.request.post(`${test.bench.address}/api/layers`, {
      data: {
        ...{ areaId: area.id, stage: 'found', seq: 1, kind: 'decal', name: 'door shield', colourHex: '#d8d0b8' },
        ...{ thicknessUm: 18, thicknessOrigin: 'planning estimate', productId: null },
      },
    });
    await go('/jobs/sg-06/finish?part=sg-06-1.body');
    await page.getByText('How this job is done, where restorers disagree').click();
    await choose(page.getByLabel(/^Putting paint on/), 'powder');
    await page.getByLabel('Reason, for the record').fill('It is played with by grandchildren.');
    await page.getByRole('button', { name: 'Decide' }).click();
    await taskLine(page, 'cure:body').waitFor({ state: 'attached' });
    const keys = (await read<JobView>('jobs/sg-06')).tasks.map((task) => task.key);
    const order = ['strip:body', 'degrease:body', 'empty-bake:body', 'wipe-again:body', 'powder:body', 'cure:body'];
    expect(keys.filter((key) => order.includes(key))).deep.equal(order);
    await way('sg-06', 'look-cured:body');
    await page.reload();
    await doStep('look-cured:body');
    expect((await logOf('sg-06', /Cure the powder/)).length).greaterThan(0);
    expectNoFaults(page);
  });
});
