import type { Health, JobView } from '@sardonyx/contract';
import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import { OWN_LORRY, OWN_POT, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults, passTime } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Finish on an empty bench with a casting of one's own, by somebody who repeats, skips and changes their mind. */
describe('Finish on an empty bench, clumsily', function () {
  this.timeout(180_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let jobId: string;
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);
  const view = () => send<JobView>('GET', `jobs/${jobId}`);
  const region = () => test.page.getByRole('region', { name: /^Coats: body/i });
  const open = async () => {
    const body = (await view()).specimens[0]!.parts.find(({ key }) => key === 'body')!;
    await test.page.goto(`${test.bench.address}/jobs/${jobId}/finish?part=${body.id}`);
    await region().waitFor();
  };
  const settle = async (isSettled: (key: string) => boolean) => {
    for (const task of (await view()).tasks.filter(({ state, key }) => state === 'to do' && isSettled(key)))
      await send('POST', `tasks/${task.id}/acts`, {
        act: 'not needed',
        who: 'Nell',
        note: 'bare metal from the start',
      });
  };
  const log = async (pot: string, isMist = false) => {
    const form = region().getByRole('form', { name: /^Log a coat on the/i });
    if (!(await form.count()))
      await region()
        .getByRole('button', { name: /^Log a coat on the/ })
        .click();
    await choose(form.getByLabel('Pot'), pot);
    await form.getByRole('checkbox', { name: /^A mist coat/ }).setChecked(isMist);
    await form.getByRole('button', { name: 'Log the coat' }).click();
    return form;
  };

  before(async () => {
    const castingId = (await send<Casting>('POST', 'castings', OWN_LORRY)).id;
    jobId = (await send<Job>('POST', 'jobs', ownJob(castingId))).id;
  });

  it('has no pot, no plan and no room, and says so', async () => {
    await open();
    const { page } = test;
    await page.getByText('No coat is planned yet: choose a part and plan its coats.').waitFor();
    await page.getByText(/^The room was never read/).waitFor();
    await page.getByLabel('Now, °C').fill('cold');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText(/Give the temperature in degrees Celsius/).waitFor();
    expect(await page.getByLabel('Now, °C').inputValue()).equal('cold');
    await page.getByLabel('Now, °C').fill('19,5');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('19.5 °C').waitFor();
  });

  it('takes areas, refuses one twice and without a name, and takes them away again', async () => {
    const areas = test.page.getByRole('region', { name: 'Areas of the body' });
    const more = areas.getByRole('button', { name: 'Another area on the body' });
    const add = areas.getByRole('button', { name: /^Add (it by its name|the area)$/ });
    await more.click();
    await add.click();
    await areas.getByText('Name the area.').waitFor();
    for (const [name, answer] of [
      ['stripe', null],
      ['stripe', 'Give it another name.'],
      ['roof', null],
    ] as const) {
      if (await more.count()) await more.click();
      await areas.getByLabel('What it is called').fill(name);
      await add.click();
      if (answer) await areas.getByText(answer).waitFor();
      else await region().getByRole('radio', { name, exact: true, checked: true }).waitFor();
    }
    await areas.getByText(/Nobody has drawn where the roof ends/).waitFor();
    await more.click();
    await areas.getByRole('radio', { name: 'the underside' }).click();
    await add.click();
    await region().getByRole('radio', { name: 'underside', exact: true, checked: true }).waitFor();
    await more.click();
    expect(await areas.getByRole('radio', { name: 'the underside' }).count()).equal(0);
    await areas.getByRole('button', { name: 'Leave it' }).click();
    for (const name of ['roof', 'underside']) {
      await region().getByRole('radio', { name, exact: true }).click();
      await region().getByRole('button', { name: 'Measured on it' }).click();
      await region().getByRole('button', { name: 'Take this area away' }).click();
      await region().getByRole('radio', { name, exact: true }).waitFor({ state: 'detached' });
    }
    // Of a face that a casting has by itself there is no such word.
    await region().getByRole('radio', { name: 'inside', exact: true }).click();
    await region().getByRole('button', { name: 'Measured on it' }).click();
    expect(await region().getByRole('button', { name: 'Take this area away' }).count()).equal(0);
  });

  it('plans a colour before there is a ground, is refused on bare metal, and plans the ground after all', async () => {
    for (const [kind, name] of [
      ['primer', 'Grey'],
      ['colour', 'Green'],
    ])
      await send('POST', 'shelf/pots', { ...OWN_POT, kind, name, gloss: kind === 'primer' ? 'matt' : 'gloss' });
    await open();
    const plan = async (pot: string) => {
      await choose(region().getByLabel('Plan a coat for the outside'), pot);
      await region().getByRole('button', { name: 'Plan it' }).click();
      await region()
        .getByRole('list', { name: 'Planned for the outside' })
        .getByText(pot.replace(/ \(.*/, ''))
        .waitFor();
    };
    await plan('Own Green (colour)');
    await settle((key) => !/^(prime|judge|mist|colour)/.test(key));
    await open();
    const form = await log('Own Green (colour)');
    await form
      .getByText(/Primer first/)
      .first()
      .waitFor();
    await plan('Own Grey (primer)');
    await settle((key) => !/^(prime|judge|mist|colour)/.test(key));
    await open();
    const primed = await log('Own Grey (primer)');
    await primed.getByText('Logged.').waitFor();
    // Once more at once: nobody sprays a second coat into a wet one of acrylic.
    await primed.getByRole('button', { name: 'Log the coat' }).click();
    await primed
      .getByText(/does not take another coat yet/)
      .first()
      .waitFor();
  });

  it('touches the coat, takes that back, and the sheet that is typed afterwards takes effect', async () => {
    const { page } = test;
    await open();
    const opens = async () => (await view()).specimens[0]!.film[0]!.spans.recoat[0]!.from;
    const first = await opens();
    await region().getByRole('button', { name: 'Still tacky now' }).click();
    const found = region().getByRole('list', { name: /^What fingers found/ });
    await found.getByText(/still tacky/).waitFor();
    await found.getByRole('button', { name: /^Take it back/ }).click();
    await found.waitFor({ state: 'detached' });
    expect(await opens()).equal(first);
    await page.goto(`${test.bench.address}/shelf`);
    await page.getByRole('button', { name: /Grey/ }).first().click();
    await page.getByRole('button', { name: 'How its coats dry' }).click();
    const sheet = page.getByRole('form', { name: 'Drying of Grey' });
    await sheet.getByLabel('Decals after').fill('tomorrow');
    await sheet.getByRole('button', { name: 'Save its sheet' }).click();
    await sheet.getByText(/“Decals after”: a time is wanted/).waitFor();
    await sheet.getByLabel('Decals after').fill('1 d');
    await sheet.getByLabel('Another coat, dry through: from – to').fill('4 h – 2 h');
    await sheet.getByRole('button', { name: 'Save its sheet' }).click();
    await sheet.getByText(/A window ends after it begins/).waitFor();
    await sheet.getByLabel('Another coat, dry through: from – to').fill('4 h – 1 d');
    await sheet.getByRole('button', { name: 'Save its sheet' }).click();
    await sheet.getByText('By its own sheet, at 20 °C.', { exact: false }).waitFor();
    expect(await opens()).greaterThan(first + 2 * 3_600_000);
  });

  it('comes back too late: the window has shut, the coat is keyed, not keyed, keyed, and the next one goes on', async () => {
    await open();
    const secondsNow = async () => (Date.parse((await send<Health>('GET', 'health')).now) / 1000) % 60;
    await passTime(test.page, 60 * 48 + (100 - (await secondsNow())) / 60);
    await settle((key) => /^(judge|gun)/.test(key));
    // A minute ends after the page was opened, and none of its slow ticks comes any more: what it logs is from now all the same.
    await test.page.addInitScript(() => {
      const every = window.setInterval.bind(window);
      window.setInterval = ((act: () => void, ms?: number) => (ms === 15_000 ? 0 : every(act, ms))) as never;
    });
    await open();
    const form = await log('Own Green (colour)', true);
    await test.page.waitForTimeout((60.5 - (await secondsNow())) * 1000);
    await form
      .getByText(/The window of Own Grey has shut/)
      .first()
      .waitFor();
    const key = region().getByRole('button', { name: 'Keyed: rubbed dull and wiped' });
    await key.click();
    await region().getByRole('button', { name: 'Not keyed after all' }).click();
    await key.click();
    await region()
      .getByText(/^Keyed \d/)
      .waitFor();
    await form.getByRole('button', { name: 'Log the coat' }).click();
    await form.getByText('Logged.').waitFor();
    const { log: lines, specimens } = await view();
    expect(lines.map(({ note }) => note).filter((note) => /eyed/.test(note))).deep.equal([
      'Keyed, Own Grey',
      'Not keyed after all, Own Grey',
      'Keyed, Own Grey',
    ]);
    const applied = specimens[0]!.layers.filter(({ stage }) => stage === 'applied');
    expect(applied.map(({ name, isMist }) => `${name}${isMist ? ', mist' : ''}`)).deep.equal([
      'Own Grey',
      'Own Green, mist',
    ]);
    expectNoFaults(test.page);
  });
});
