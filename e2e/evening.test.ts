import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { choose } from './support/choose.ts';
import { expectNoFaults, makePhoto, openStation, taskLine, isWeighed } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** An evening at the bench: small acts on several models. */
describe('an evening at the bench', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true }, { who: 'Imke Varga' });

  const jobOf = async (id: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;
  const verdict = () => test.page.locator('main .text-act').first();

  it('begins with what to do, and moves along the tray with the arrow keys', async () => {
    await test.page.goto(test.bench.address);
    expect(await test.page.locator('main h1').innerText()).match(/ has the bench (now|next)/);
    const run = test.page.getByRole('region', { name: 'The next run' });
    expect(await run.getByRole('listitem').first().innerText()).match(/SG-\d\d /);
    const tray = test.page.getByRole('navigation', { name: 'Tray' });
    await tray.getByRole('link', { name: /SG-01/ }).focus();
    await test.page.keyboard.press('ArrowRight');
    await test.page.keyboard.press('ArrowRight');
    await test.page.keyboard.press('Enter');
    await test.page.getByRole('heading', { name: 'SG-03 Mobile Library' }).waitFor();
  });

  it('settles an unknown model by measurements of the eye alone, and gives it parts and a plan', async () => {
    await test.page.goto(`${test.bench.address}/put-on-bench`);
    await test.page.getByLabel('What do you call it?').fill('Unknown tram');
    await test.page.getByRole('button', { name: 'Put it on the bench' }).click();
    await test.page.getByText('Nobody knows yet what this is.').waitFor();
    expect(await verdict().innerText()).match(/^Nothing looked at yet; 4\d\d variants are possible/);
    const points = test.page.getByRole('list', { name: 'Things to look at on the model' });
    for (const [feature, state] of [
      ['Lamp bracket', 'Soldered on'],
      ['Lining', 'Transfer lining'],
    ] as const) {
      const line = points.getByRole('button', { name: new RegExp(`^\\d+ ${feature}`) });
      await line.click();
      await test.page
        .getByRole('radiogroup', { name: `${feature}: what do you see?` })
        .getByRole('radio', { name: state })
        .click();
      await points.getByText(`${state}, sure`).waitFor();
    }
    await isWeighed(test.page);
    const castings = test.page.getByRole('list', { name: 'Castings by probability' });
    const name = await castings.getByRole('listitem').first().innerText();
    await castings
      .getByRole('button', { name: /^This casting/ })
      .first()
      .click();
    await test.page.getByRole('radio', { name: 'Base', exact: true }).waitFor();
    await openStation(test.page, 'Survey');
    expect(await test.page.locator('[data-part]').count()).greaterThan(3);
    const { specimen, casting } = (await jobOf(test.page.url().split('/jobs/')[1]!.split('/')[0]!)).specimens[0]!;
    expect(specimen.castingId).not.equal(null);
    expect(name).include(casting!.casting.name);
  });

  it('finds the pair that did not leave the factory together', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-05/identify`);
    await test.page.getByText('These did not leave the factory together').waitFor();
    await test.page
      .getByText(/Short name and a patent line \(from 1967\)/)
      .first()
      .waitFor();
  });

  it('decides otherwise than the house, with a reason, and the plan follows', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-07/open`);
    await test.page.getByText('How this job is done, where restorers disagree').click();
    const line = test.page.getByRole('listitem').filter({ hasText: 'Opening a rivet' });
    await choose(line.getByRole('combobox'), 'big bit first');
    await line.getByRole('button', { name: 'Decide' }).click();
    await line
      .getByRole('alert')
      .getByText(/Give the reason/)
      .waitFor();
    await line.getByLabel('Reason, for the record').fill('The head is half gone');
    await line.getByRole('button', { name: 'Decide' }).click();
    await test.page.getByText(/^In force: big bit first\. On this job, The head is half gone/).waitFor();
    const { decisions } = await jobOf('sg-07');
    expect(decisions.map((one) => one.option)).deep.equal(['big bit first']);
  });

  it('writes down a coating that was found, sees it in the band, and takes it back', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-06/survey?part=sg-06-1.blade`);
    const panel = test.page.getByRole('region', { name: 'Part: Blade' });
    await panel.getByText('Add a coating found on the outside').click();
    const form = panel.getByRole('form', { name: 'Coating found on the outside' });
    await form.getByLabel('What is it?').fill('Red household paint');
    await form.getByLabel('Thickness, µm').fill('many');
    await form.getByRole('button', { name: 'Add the coating' }).click();
    await form.getByLabel('Thickness, µm').and(form.locator('[aria-invalid="true"]')).waitFor();
    await form.getByLabel('Thickness, µm').fill('60');
    await form.getByRole('button', { name: 'Add the coating' }).click();
    await panel
      .getByRole('img', {
        name: /outside as found, from the metal outwards: .*Works ochre 24 µm, Red household paint 60 µm/,
      })
      .waitFor();
    await test.page.getByRole('button', { name: /^Undo/ }).click();
    await panel.getByRole('img', { name: /Red household paint/ }).waitFor({ state: 'detached' });
  });

  it('changes what a part is made of, and the plan with it', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-04/survey?part=sg-04-1.skip`);
    const before = (await jobOf('sg-04')).tasks.map((task) => task.key);
    expect(before).include('strip:skip');
    await choose(
      test.page.getByRole('region', { name: 'Part: Tipping skip' }).getByLabel('Made of'),
      'pest-suspect zinc',
    );
    await test.page.getByText(/Signs of pest on the tipping skip/).waitFor();
    expect((await jobOf('sg-04')).tasks.map((task) => task.key)).not.include('strip:skip');
    await test.page.getByRole('button', { name: /^Undo/ }).click();
    await test.page.getByText(/Signs of pest on the tipping skip/).waitFor({ state: 'detached' });
  });

  it('takes a photograph by dropping it on the page', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-03/survey`);
    await test.page.getByText('Before-set: rear, top missing').waitFor();
    const photo = await makePhoto('rear.jpg');
    const data = await test.page.evaluateHandle(
      (bytes) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([new Uint8Array(bytes)], 'rear.jpg', { type: 'image/jpeg' }));
        return transfer;
      },
      [...photo.buffer],
    );
    await test.page.getByText('Add a photo, or drop it here').dispatchEvent('drop', { dataTransfer: data });
    await test.page.getByText('Before-set: top missing').waitFor();
  });

  it('starts a task, notes something, ends it, and takes it back', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-10/identify`);
    const line = taskLine(test.page, 'identify');
    await line.getByRole('button', { name: 'Start', exact: true }).click();
    await line.getByLabel('Note for the record').fill('Two of three say slate blue');
    await line.getByRole('button', { name: 'Done', exact: true }).click();
    await test.page.getByText('1 task done').click();
    await line.getByText(/Imke Varga, /).waitFor();
    expect((await jobOf('sg-10')).log.at(-1)).deep.include({
      who: 'Imke Varga',
      act: 'done',
      note: 'Two of three say slate blue',
    });
    await line.getByRole('button', { expanded: false }).click();
    await line.getByRole('button', { name: 'Take back' }).click();
    await test.page.locator('li[data-task="identify"][data-state="to do"]').waitFor();
  });

  it('shows several models of one job in hand, one at a time', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-07/close`);
    await choose(test.page.getByLabel('Model in hand'), 'Sound trolley');
    await test.page.waitForURL(/specimen=sg-07-3/);
    await test.page.getByText(/^\d of \d+ steps left/).waitFor();
    await test.page.goBack();
    await test.page.getByText('Form the axle ends: axle ends').first().waitFor();
  });

  it('narrows the catalogue down as it is typed', async () => {
    await test.page.goto(`${test.bench.address}/catalogue`);
    await test.page.getByLabel('Narrow down').fill('ostrel snow');
    await test.page.getByRole('heading', { name: /^1 casting with 2 issues/ }).waitFor();
    await test.page.getByRole('link', { name: /27\/1 Snowplough/ }).click();
    await test.page.getByRole('img', { name: /Issues along the years/ }).waitFor();
    await test.page.getByLabel('Issues and what they are known by').getByText('Beacon orange').first().waitFor();
    expectNoFaults(test.page);
  });
});
