import type { CastingView, SpecimenView } from '@sardonyx/contract';
import type { Casting, ColourCapture, Job } from '@sardonyx/core';
import { expect } from 'chai';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { expectNoFaults } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Two greens that nobody can tell apart from memory: what two models showed is measured, and the third is told by it. */
describe('which of two greens it is', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);
  const jobs: Job[] = [];
  let castingId: string;
  const specimenOf = async (job: Job) => {
    const { specimens } = await send<{ specimens: SpecimenView[] }>('GET', `jobs/${job.id}`);
    return specimens[0]!;
  };
  const inHand = () => test.page.getByRole('region', { name: 'Look in hand: Body colour' });
  const measured = () => inHand().getByRole('region', { name: 'Body colour: by measuring' });
  const look = async (job: Job) => {
    await test.page.goto(`${test.bench.address}/jobs/${job.id}/identify`);
    const looks = test.page.getByRole('list', { name: 'Things to look at on the model' });
    await looks.getByText('Body colour').click();
    await inHand().waitFor();
  };
  const capture = async (lab: readonly number[], note: string) => {
    const { page } = test;
    await measured().getByRole('link', { name: 'Capture its colour' }).click();
    await page.getByRole('button', { name: 'Type the numbers' }).click();
    for (const [i, word] of ['L*', 'a*', 'b*'].entries())
      await page.getByLabel(word, { exact: true }).fill(String(lab[i]));
    await page.getByRole('button', { name: 'Take these numbers' }).click();
    await page.getByRole('region', { name: 'In hand' }).getByText('body colour').waitFor();
    await page.getByLabel('Where exactly').fill(note);
    await page.getByRole('button', { name: 'Keep it as the sheltered colour' }).click();
    await page.getByText(`sheltered, ${note}: L`).waitFor();
  };

  before(async () => {
    castingId = (await send<Casting>('POST', 'castings', OWN_LORRY)).id;
    for (const title of ['The pale one', 'The dark one', 'Which is it?'])
      jobs.push(await send<Job>('POST', 'jobs', ownJob(castingId, title)));
  });

  it('is asked once two issues with two greens are known', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    await page.getByRole('button', { name: 'Add body colour' }).click();
    const cell = (label: string) =>
      page.getByRole('region', { name: 'Sheet', exact: true }).getByLabel(label, { exact: true });
    for (const [i, [name, colour]] of [
      ['First', 'Pale green'],
      ['Second', 'Dark green'],
    ].entries()) {
      if (i > 0) await page.getByRole('button', { name: 'Add an issue' }).click();
      await cell(`Issue, issue ${i + 1}`).fill(name!);
      await cell(`Years, ${name}`).fill('1960-64');
      await cell(`Body colour, ${name}`).fill(colour!);
    }
    await page.getByRole('button', { name: 'Save the sheet' }).click();
    await page.getByText('Saved.', { exact: true }).waitFor();
  });

  it('has nothing to be held against while no state was measured, and says so', async () => {
    await look(jobs[0]!);
    await capture([48, -22, 14], 'under the base');
    await look(jobs[0]!);
    await measured().getByText('No state of it was measured on another model or as new').waitFor();
    await measured().getByRole('button', { name: 'This is the colour of ...' }).click();
    await test.page.getByRole('menuitem', { name: 'Pale green' }).click();
    await test.page.getByText('Pale green: measured colour').first().waitFor();
    // What the model itself showed says nothing of it.
    await measured().getByText('No state of it was measured on another model or as new').waitFor();
    await look(jobs[1]!);
    await capture([42, -20, 12], 'within the cab');
    await look(jobs[1]!);
    await measured().getByRole('button', { name: 'This is the colour of ...' }).click();
    await test.page.getByRole('menuitem', { name: 'Dark green' }).click();
    await test.page.getByText('Dark green: measured colour').first().waitFor();
  });

  it('is found by capturing it, by no word of the eye', async () => {
    const { page } = test;
    await look(jobs[2]!);
    await capture([41.6, -19.6, 12.2], 'behind the axle');
    await look(jobs[2]!);
    const first = measured().getByRole('listitem').first();
    await first.waitFor();
    expect(await first.innerText()).match(/^9\d\s%\s*Dark green, 0\.\d dE00 away$/);
    await page
      .getByText(/most likely.*Second|Second.*%/)
      .first()
      .waitFor();
    const looks = page.getByRole('list', { name: 'Things to look at on the model' });
    await looks.getByText(/Dark green, measured, 9\d/).waitFor();
    const { observations, captures } = await specimenOf(jobs[2]!);
    expect(observations).length(1);
    expect(observations[0]!.captureIds).deep.equal(captures.map(({ id }: ColourCapture) => id));
    await expectNoFaults(page);
  });

  it('is asked anew where it does not count, was replaced, or is counted again', async () => {
    const { page } = test;
    await measured().getByRole('checkbox').click();
    await page.getByText('Body colour: not looked at').first().waitFor();
    expect((await specimenOf(jobs[2]!)).observations).length(0);
    await measured().getByRole('checkbox').click();
    await measured()
      .getByText(/Dark green, 0\.\d dE00 away/)
      .waitFor();
    await inHand()
      .getByRole('radio', { name: /replaced/ })
      .click();
    await measured().getByText('Said to be replaced').waitFor();
    await inHand()
      .getByRole('radio', { name: /Pale green/ })
      .click();
    await inHand().getByRole('radio', { name: /sure$/ }).first().click();
    await measured()
      .getByText(/Dark green, 0\.\d dE00 away/)
      .waitFor();
    const { states } = await send<CastingView>('GET', `castings/${castingId}`);
    expect(states.filter(({ colour }) => colour)).length(2);
    await expectNoFaults(page);
  });

  it('has a colour of a card typed as new, and taken out again', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
    await page.getByRole('button', { name: 'Edit what is known' }).click();
    const features = page.getByRole('region', { name: 'Edit the features' });
    await features.getByRole('button', { name: /^Body colour/ }).click();
    await features.getByText('read off one model, sheltered, gloss left out').first().waitFor();
    await features.getByRole('button', { name: 'Type another colour as new' }).first().click();
    for (const [axis, value] of [
      ['L*', '48,5'],
      ['a*', '-22'],
      ['b*', '14'],
    ])
      await features.getByLabel(`${axis} of Pale green`).fill(value!);
    await features.getByRole('button', { name: 'Take this colour' }).first().click();
    await features.getByText('as new, gloss left out').waitFor();
    await features.getByRole('button', { name: 'Take the colour of Dark green out' }).click();
    await features.getByRole('button', { name: 'Type the colour of Dark green as new' }).waitFor();
    const { states } = await send<CastingView>('GET', `castings/${castingId}`);
    expect(states.map(({ colour }) => colour?.lab[0] ?? null)).deep.equal([48.5, null]);
    await expectNoFaults(page);
  });
});
