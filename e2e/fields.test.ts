import { expect } from 'chai';
import type { JobView } from '@sardonyx/contract';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { cleanTheGun, clearTheWay } from './support/clearTheWay.ts';
import { pressPlane } from './support/pressPlane.ts';
import { expectNoFaults, passTime } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** Fields with colours of their own: where they lie, in which order they go on, and what happens at their edges. */
describe('Fields and the order of colours', function () {
  this.timeout(180_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const read = async (jobId: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${jobId}`)).json()) as JobView;
  const open = (jobId: string, part: string) =>
    test.page.goto(`${test.bench.address}/jobs/${jobId}/finish?part=${jobId}-1.${part}`);
  const region = (name: string) => test.page.getByRole('region', { name, exact: true });
  const indexOf = async (jobId: string, key: string) =>
    (await read(jobId)).tasks.filter(({ partKeys }) => partKeys.length > 0).findIndex((task) => task.key === key);

  it('a two-tone body says its order and what each way costs; another way moves the plan, and back', async () => {
    const { page } = test;
    await open('sg-09', 'body');
    const order = region('Order of the colours of the body');
    await order.getByText('roof → outside', { exact: true }).waitFor();
    expect(await indexOf('sg-09', 'colour:body:roof')).lessThan(await indexOf('sg-09', 'mist:body:outside'));
    await order.getByRole('radio', { name: /^by covering power · \d+ min$/ }).click();
    await order.getByText('outside → roof', { exact: true }).waitFor();
    await order.getByText(/The cheapest way saves \d+ min: roof → outside/).waitFor();
    const turned = await read('sg-09');
    expect(turned.tasks.some(({ key }) => key === 'mist:body:roof')).equal(false);
    expect(await indexOf('sg-09', 'colour:body:roof')).greaterThan(await indexOf('sg-09', 'mist:body:outside'));
    await order.getByRole('radio', { name: /^the cheapest · \d+ min$/ }).click();
    await order.getByText('roof → outside', { exact: true }).waitFor();
    const decision = (await read('sg-09')).decisions.find(({ school }) => school === 'S8')!;
    expect(decision.reason).match(/^By its price on the body: \d+ min, the cheapest \d+\.$/);
    await page.getByText(/To mask for the roof/).waitFor({ state: 'detached' });
    await region('Coats: Body').getByRole('radio', { name: 'roof', exact: true }).click();
    await page.getByText(/To mask for the roof: \d+ mm of edge on both sides/).waitFor();
  });

  it('a field is drawn where it lies, refused where nothing is taken in, and in hand when it is there', async () => {
    const { page } = test;
    await open('sg-06', 'body');
    const areas = region('Areas of the body');
    await areas.getByRole('button', { name: 'Another area on the body' }).click();
    await areas.getByLabel('What it is called').fill('cab stripe');
    // From the outline over the cab to the outline again: the smaller side.
    await pressPlane(page, 14.4, 15);
    await areas.getByText(/Press along its edge/).waitFor();
    await pressPlane(page, 34.4, 14);
    await areas.getByText('What is tinted is the area.').waitFor();
    await areas.getByRole('button', { name: 'Take the last point back' }).click();
    await areas.getByText(/Press along its edge/).waitFor();
    await pressPlane(page, 34.4, 14);
    await areas.getByRole('button', { name: 'Add the area' }).click();
    await region('Coats: Body').getByRole('radio', { name: 'cab stripe', exact: true, checked: true }).waitFor();
    await areas.getByText(/To mask for the cab stripe: \d+ mm of edge/).waitFor();
    const drawn = (await read('sg-06')).specimens[0]!.areas.find(({ name }) => name === 'cab stripe')!;
    expect(drawn.outline!.view).equal('side');
    expect(drawn.outline!.points.length).greaterThan(4);
  });

  it('by keyboard: points are set and moved, and the line of a field that is there is drawn anew', async () => {
    const { page } = test;
    await open('sg-06', 'blade');
    await region('Coats: Blade').getByRole('radio', { name: 'chevrons', exact: true }).click();
    const areas = region('Areas of the blade');
    await areas.getByText(/To mask for the chevrons: \d+ mm/).waitFor();
    await areas.getByRole('button', { name: 'Draw the chevrons anew' }).click();
    const canvas = areas.getByRole('application', { name: /^Drawing on the Blade/ });
    await canvas.focus();
    for (const [arrow, times] of [
      ['ArrowLeft', 0],
      ['ArrowRight', 8],
      ['ArrowDown', 12],
    ] as const) {
      await canvas.focus();
      await page.keyboard.press('Enter');
      const points = areas.getByRole('button', { name: /^Point / });
      await points.last().focus();
      for (let i = 0; i < times; i++) await page.keyboard.press(`Shift+${arrow}`);
    }
    await areas.getByText('What is tinted is the area.').waitFor();
    await areas.getByRole('button', { name: 'Keep this line' }).click();
    await areas.getByText(/across the open/).waitFor();
    await areas.getByRole('button', { name: 'Draw the chevrons anew' }).click();
    await canvas.focus();
    await page.keyboard.press('Enter');
    await areas.getByRole('button', { name: 'Point 1' }).waitFor();
    // Another area in hand: the line that was begun is not for it, and is gone when one comes back.
    await region('Coats: Blade').getByRole('radio', { name: 'outside', exact: true }).click();
    await canvas.waitFor({ state: 'detached' });
    await region('Coats: Blade').getByRole('radio', { name: 'chevrons', exact: true }).click();
    await areas.getByRole('button', { name: 'Leave it' }).click();
    await areas.getByRole('button', { name: 'Draw the chevrons anew' }).click();
    expect(await areas.getByRole('button', { name: /^Point / }).count()).equal(0);
    await areas.getByRole('button', { name: 'As the casting’s drawing has it' }).click();
    await areas.getByRole('button', { name: 'Draw the chevrons anew' }).waitFor();
    expect((await read('sg-06')).specimens[0]!.areas.find(({ name }) => name === 'chevrons')!.outline).equal(null);
  });

  it('goes through two windows and a gap to the chevrons, which bleed, and that is known when they are planned again', async () => {
    const { page, bench } = test;
    const coats = region('Coats: Blade');
    const log = async (area: string, pot: string, isMist = false) => {
      await cleanTheGun(page.request, bench.address);
      await open('sg-06', 'blade');
      await coats.getByRole('radio', { name: area, exact: true }).click();
      await coats.getByRole('button', { name: 'Log a coat on the blade' }).click();
      const form = coats.getByRole('form', { name: 'Log a coat on the Blade' });
      await choose(form.getByLabel('Pot'), pot);
      await form.getByRole('checkbox', { name: /^A mist coat/ }).setChecked(isMist);
      await form.getByRole('button', { name: 'Log the coat' }).click();
      return form;
    };
    const logged = async (...args: Parameters<typeof log>) => (await log(...args)).getByText('Logged.').waitFor();
    await clearTheWay(page.request, bench.address, 'sg-06', ({ key }) => key === 'prime:blade');
    await logged('outside', 'Lanthorn Light grey primer (primer)');
    await clearTheWay(page.request, bench.address, 'sg-06', ({ key }) => key === 'mist:blade:outside');
    await logged('outside', 'Marlstone Works ochre (colour)', true);
    await passTime(page, 25);
    await logged('outside', 'Marlstone Works ochre (colour)');
    await passTime(page, 60 * 9);
    const refused = await log('outside', 'Marlstone Works ochre (colour)');
    await refused
      .getByText(/lifts under another coat now.*more\./)
      .first()
      .waitFor();
    await refused.getByText(/^It may go on from /).waitFor();
    await passTime(page, 60 * 60);
    await logged('outside', 'Marlstone Works ochre (colour)');
    const early = await log('chevrons', 'Marlstone Black (colour)');
    await early
      .getByText(/Marlstone Works ochre|wet coat 3/)
      .first()
      .waitFor();
    const { tasks } = await read('sg-06');
    for (const task of tasks.filter(({ key, state }) => key.startsWith('colour:blade:outside') && state === 'to do'))
      await page.request.post(`${bench.address}/api/tasks/${task.id}/acts`, {
        data: { act: 'not needed', who: 'Osric Bell', note: 'it covers' },
      });
    await passTime(page, 60 * 24 * 4);
    await clearTheWay(page.request, bench.address, 'sg-06', ({ key }) => key === 'colour:blade:chevrons');
    await logged('chevrons', 'Marlstone Black (colour)');
    await open('sg-06', 'blade');
    await coats.getByRole('radio', { name: 'chevrons', exact: true }).click();
    await coats.getByRole('button', { name: 'Coats in words' }).click();
    await coats.getByRole('button', { name: 'Reject Marlstone Black' }).last().click();
    const reject = coats.getByRole('group', { name: 'Reject Marlstone Black' });
    await reject.getByLabel(/^What is wrong with it/).fill('crept under the tape');
    await choose(reject.getByLabel('Which kind of failure', { exact: true }), 'bled');
    await reject.getByLabel(/^What helped/).fill('edge sealed with clear first');
    const { photos } = await read('sg-06');
    await reject.getByLabel('Picture that shows it', { exact: true }).click();
    await page.getByRole('option').nth(1).click();
    await reject.getByRole('button', { name: 'Reject the coat' }).click();
    await choose(coats.getByLabel('Plan a coat for the chevrons'), 'Marlstone Black (colour)');
    const note = coats.getByRole('note', { name: 'What went wrong before' });
    await note.getByText('bled').waitFor();
    await note.getByText(/What helped: edge sealed with clear first/).waitFor();
    const picture = note.getByRole('img', { name: 'Marlstone Black, bled' });
    expect(await picture.getAttribute('src')).equal(`/api/photos/${photos.at(-1)!.hash}/small`);
    expectNoFaults(page);
  });

  it('sprays the roof first, press by press, and the body when the roof bears tape', async () => {
    const { page, bench } = test;
    const coats = region('Coats: Body');
    /** The form stands on what goes on next: nothing but the press. */
    const press = async (area: string) => {
      await cleanTheGun(page.request, bench.address);
      await open('sg-09', 'body');
      await coats.getByRole('radio', { name: area, exact: true }).click();
      await coats.getByRole('button', { name: 'Log a coat on the body' }).click();
      const form = coats.getByRole('form', { name: 'Log a coat on the Body' });
      await form.getByRole('button', { name: 'Log the coat' }).click();
      return form;
    };
    await clearTheWay(page.request, bench.address, 'sg-09', ({ key }) => key === 'prime:body');
    await (await press('outside')).getByText('Logged.').waitFor();
    // One gun for the whole bench: what another job's model may get now is said here too.
    const gun = page.getByText(/^Gun: Lanthorn White primer\./);
    await gun.filter({ hasText: /Rinse \(6 min\), then .*Quay Leather brown on SG-07 Trolley.*: suitcases/ }).waitFor();
    await clearTheWay(page.request, bench.address, 'sg-09', ({ key }) => key === 'mist:body:roof');
    await (await press('roof')).getByText('Logged.').waitFor();
    const wet = (await read('sg-09')).tasks.filter(({ key }) => key.startsWith('colour:body:roof'));
    for (const { key } of wet) {
      await clearTheWay(page.request, bench.address, 'sg-09', (task) => task.key === key);
      await passTime(page, 90);
      await (await press('roof')).getByText('Logged.').waitFor();
    }
    const early = await press('outside');
    await early
      .getByText(/Quay Ivory|does not bear tape yet/)
      .first()
      .waitFor();
    await clearTheWay(page.request, bench.address, 'sg-09', ({ key }) => key === 'mist:body:outside');
    await passTime(page, 60 * 24 * 2);
    await (await press('outside')).getByText('Logged.').waitFor();
    const { areas, layers } = (await read('sg-09')).specimens[0]!;
    const own = areas.filter(({ specimenPartId }) => specimenPartId === 'sg-09-1.body').map(({ id }) => id);
    const on = layers.filter(({ stage, areaId }) => stage === 'applied' && own.includes(areaId));
    const said = on
      .sort((a, b) => a.appliedAt!.localeCompare(b.appliedAt!))
      .map(({ areaId, name, isMist }) => {
        const area = areas.find(({ id }) => id === areaId)!;
        return `${area.name || area.kind}: ${name}${isMist ? ', mist' : ''}`;
      });
    expect(said.slice(0, 2)).deep.equal(['outside: Lanthorn White primer', 'roof: Quay Ivory, mist']);
    expect(said.at(-1)).equal('outside: Quay Ice blue, mist');
    expect(said.filter((one) => one === 'roof: Quay Ivory')).length(wet.length);
    expectNoFaults(page);
  });
});
