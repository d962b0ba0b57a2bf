import type { JobView, OrdersView, StockView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { clearTheWay } from './support/clearTheWay.ts';
import { expectNoFaults, taskLine } from './support/restorer.ts';
import { seizeAxles } from './support/seizeAxles.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

const DAY = 24 * 60;

/** The dumper: its axles are seized, its tyres are gone, and the drawers have some of what it takes. */
describe('Axles put by and tyres sent for', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const job = () => sendTo<JobView>(test.bench.address, 'GET', 'jobs/sg-04');
  const orders = () => sendTo<OrdersView>(test.bench.address, 'GET', 'orders');
  const want = async () => (await job()).specimens[0]!.wants.find(({ what }) => what === 'tyres')!;
  const onTheWay = () =>
    test.page.getByRole('region', { name: 'On the way' }).getByRole('article').filter({ hasText: 'tyres' });

  it('an axle that would be too short holds its step until others are put by; let go of, it holds it again', async () => {
    const { page, bench } = test;
    await seizeAxles(bench.address);
    const task = await clearTheWay(page.request, bench.address, 'sg-04', ({ act }) => act === 'axle-in-hand');
    await page.goto(`${bench.address}/jobs/sg-04/open`);
    const line = taskLine(page, task.key);
    const answer = line.getByRole('region', { name: 'Is the axle long enough?' });
    if (!(await answer.isVisible())) await line.getByRole('button', { name: task.title }).click();
    await line.getByRole('button', { name: 'Done', exact: true }).click();
    await line.getByText(/Give the diameter, length and over the wheels in mm/).waitFor();
    await answer.getByLabel('Length over both heads, mm').fill('29,0');
    await answer.getByLabel('Diameter, mm').fill('1.2');
    await answer.getByLabel('Over the wheels, outside, mm').fill('27.4');
    await answer.getByText(/Too short: 27\.7 mm is left when a head is off, 28\.7 are needed/).waitFor();
    await line.getByRole('button', { name: 'Done', exact: true }).click();
    const held = line.getByText(/27\.7 mm is left when a head is off.*Put by 2 of 32\.0 mm in drawer A1 first/);
    await held.waitFor();
    const put = answer.getByRole('button', { name: /^Put \d by/ }).first();
    const name = (await put.innerText()).replace(/^Put \d by\s*:\s*/, '');
    await put.click();
    await answer.getByText(/put by for this job: the old ones may go/).waitFor();
    await answer
      .getByRole('button', { name: /^Let go/ })
      .first()
      .click();
    await answer.getByText(/This step waits until/).waitFor();
    await answer
      .getByRole('button', { name: /^Put \d by/ })
      .first()
      .click();
    await answer.getByText(/put by for this job/).waitFor();
    await line.getByRole('button', { name: 'Done', exact: true }).click();
    await answer.waitFor({ state: 'detached' });
    const { things } = await sendTo<StockView>(bench.address, 'GET', 'stock');
    const reserved = things.filter(({ kind, held }) => kind === 'axle' && held.some(({ jobId }) => jobId === 'sg-04'));
    expect(reserved.map((thing) => thing.name)).include(name);
    const { log } = await job();
    expect(log.find(({ taskId }) => taskId === task.id)!.work.measures.map(({ what }) => what)).deep.equal([
      'length',
      'diameter',
      'over the wheels',
    ]);
  });

  it('tyres that are to be bought come up among what is to be ordered, over all jobs', async () => {
    const { page, bench } = test;
    await page.goto(`${bench.address}/jobs/sg-04/survey`);
    await page.getByRole('button', { name: 'Change tyres' }).click();
    await choose(page.getByLabel('Come by it').first(), 'bought');
    await page.getByRole('button', { name: 'Save the want' }).click();
    await page.getByRole('button', { name: 'Save the want' }).waitFor({ state: 'detached' });
    await page.goto(`${bench.address}/orders`);
    const nobody = page.getByRole('form', { name: 'To order: Nobody is known to have these' });
    await nobody.getByRole('checkbox', { name: /tyres: 1 piece/ }).waitFor();
    // On paper: all of the list, and nothing but it.
    await page.emulateMedia({ media: 'print' });
    const work = page.locator('#work');
    expect(await work.evaluate((main) => main.scrollHeight - main.clientHeight)).equal(0);
    for (const around of ['Find', 'Print', 'Ordered: 9 lines'])
      expect(await page.getByRole('button', { name: around, exact: true }).isVisible()).equal(false);
    await page.emulateMedia({ media: null });
    await nobody.getByText('Say who has them.').waitFor();
    for (const box of await nobody.getByRole('checkbox').all())
      if (!(await box.locator('xpath=..').innerText()).startsWith('tyres')) await box.click();
    await choose(nobody.getByLabel('Order from'), 'Tern Street Spares');
    await nobody.getByText(/Tern Street Spares: Says 5 days, takes about \d+/).waitFor();
    await nobody.getByRole('button', { name: 'Ordered: 1 line' }).click();
    await onTheWay().getByText('for SG-04').waitFor();
    await nobody.getByText('tyres').waitFor({ state: 'detached' });
    expect((await want()).state).equal('ordered');
  });

  it('a promise that is broken moves the day and what the supplier’s word is worth', async () => {
    const { page, bench } = test;
    const before = (await orders()).suppliers.find(({ id }) => id === 'tern-street')!.delay;
    const likely = await onTheWay().getByRole('heading').innerText();
    bench.pass(12 * DAY);
    await page.goto(`${bench.address}/orders`);
    await page.getByRole('heading', { name: /1 late|2 late|3 late/ }).waitFor();
    const late = await onTheWay().getByRole('heading').innerText();
    expect(late).match(/late$/).not.equal(likely);
    const after = (await orders()).suppliers.find(({ id }) => id === 'tern-street')!.delay;
    expect(after.share).greaterThan(before.share);
    await page.goto(`${bench.address}/jobs/sg-04/survey`);
    const hand = page.getByRole('region', { name: 'In hand before the first cut' });
    await hand
      .getByText(/on its way, likely on/)
      .first()
      .waitFor();
  });

  it('a donor’s wheel set moves to the model that wants it; what no donor has is told', async () => {
    const { page, bench } = test;
    const view = await sendTo<JobView>(bench.address, 'GET', 'jobs/sg-07');
    const wheels = view.specimens.flatMap(({ parts }) => parts).find(({ id }) => id === 'sg-07-2.wheels')!;
    const lost = { version: wheels.version, state: 'missing' };
    await sendTo(bench.address, 'PATCH', 'specimen-parts/sg-07-2.wheels', lost);
    await page.goto(`${bench.address}/orders`);
    const donors = page.getByRole('region', { name: 'Donors' });
    await donors.getByText('Wheels of Scrap trolley').waitFor();
    await donors.getByText('sound, the same part of the same casting').waitFor();
    await donors.getByRole('link', { name: 'SG-01: a crate rack' }).waitFor();
    await donors.getByRole('button', { name: /^Take it/ }).click();
    await donors.getByText('Wheels of Scrap trolley').waitFor({ state: 'detached' });
    const after = await sendTo<JobView>(bench.address, 'GET', 'jobs/sg-07');
    const model = after.specimens.find(({ specimen }) => specimen.id === 'sg-07-2')!;
    expect(model.parts.find(({ key }) => key === 'wheels')).deep.include({
      id: 'donor-trolley.wheels',
      origin: 'donor',
    });
    expect(model.wants.map(({ state, origin }) => `${state} ${origin}`)).include('solved donor');
  });

  it('what comes wrong is wanted again; what comes right meets its want, with where it is from', async () => {
    const { page, bench } = test;
    await page.goto(`${bench.address}/orders`);
    await onTheWay()
      .getByRole('button', { name: /^It came/ })
      .click();
    const form = page.getByRole('form', { name: 'It came: tyres' });
    await form.getByText(/The want is met/).waitFor();
    await form.getByRole('radio', { name: 'wrong' }).click();
    await form.getByText('The want stays open, to be ordered again.').waitFor();
    await form.getByRole('button', { name: 'Write it down' }).click();
    await onTheWay().waitFor({ state: 'detached' });
    expect((await want()).state).equal('open');
    const again = page.getByRole('form', { name: 'To order: Nobody is known to have these' });
    for (const box of await again.getByRole('checkbox').all())
      if (!(await box.locator('xpath=..').innerText()).startsWith('tyres')) await box.click();
    await choose(again.getByLabel('Order from'), 'Fennimar Axle');
    await again.getByRole('button', { name: 'Ordered: 1 line' }).click();
    await onTheWay()
      .getByRole('button', { name: /^It came/ })
      .click();
    await form.getByRole('button', { name: 'Write it down' }).click();
    await onTheWay().waitFor({ state: 'detached' });
    expect(await want()).deep.include({ state: 'solved', origin: 'bought' });
    await page.getByText(/^What came: \d+ lines$/).click();
    await page.getByRole('region', { name: 'What came' }).getByText('wrong').first().waitFor();
    expectNoFaults(page);
  });

  it('at Close: which axle goes in, cut where; when its ends are formed it is out of its drawer', async () => {
    const { page, bench } = test;
    const close = await clearTheWay(page.request, bench.address, 'sg-04', ({ key }) => key === 'close:axle-ends');
    await page.goto(`${bench.address}/jobs/sg-04/close`);
    const line = taskLine(page, close.key);
    await line.waitFor();
    const axles = line.getByRole('list', { name: 'The axles that go in' });
    if (!(await axles.isVisible())) await line.getByRole('button', { name: close.title }).click();
    await axles.getByText(/2 × 1\.2 × 32, both bare, drawer A1: cut \d\.\d mm off/).waitFor();
    const done = { act: 'done otherwise', who: 'Osric Bell', note: 'Formed.', goAheadBecause: 'It fits.' };
    await sendTo(bench.address, 'POST', `tasks/${close.id}/acts`, done);
    const { things } = await sendTo<StockView>(bench.address, 'GET', 'stock');
    const axle = things.find(({ name }) => name === '1.2 × 32, both bare')!;
    expect([axle.onHand, axle.held]).deep.equal([2, []]);
  });
});

/** Orders of one's own, from nothing, by somebody who changes their mind. */
describe('Orders on an empty bench, clumsily', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });

  it('have nothing to order, and nobody to order from', async () => {
    const { page, bench } = test;
    await page.goto(`${bench.address}/orders`);
    await page.getByRole('heading', { name: 'Nothing is to be ordered', exact: true }).waitFor();
    await page.getByText('Everything that the plans ask for is here or on its way.').waitFor();
    const form = page.getByRole('form', { name: 'A new supplier' });
    await form.getByLabel('Says it takes, days').fill('soon');
    await form.getByRole('button', { name: 'Add it' }).click();
    await form.getByText('Name it.').first().waitFor();
    await form.getByLabel('Name').fill('The post');
    await form.getByRole('button', { name: 'Add it' }).click();
    await form
      .getByText(/How many days it takes/)
      .first()
      .waitFor();
    await form.getByLabel('Says it takes, days').fill('4');
    await form.getByRole('button', { name: 'Add it' }).click();
    await page.getByText(/Says 4 days, takes about \d.*nothing ordered yet: planning estimate/).waitFor();
  });

  it('a drawer under its mark is to be filled; an order is taken back, sent again, and comes short', async () => {
    const { page, bench } = test;
    const gloves = { kind: 'gloves', name: 'Nitrile', drawer: 'A1', sizes: {}, traits: {}, reorderAt: 5 };
    const rest = { keepsDays: null, isLocked: false, supplierId: null, note: '' };
    await sendTo(bench.address, 'POST', 'stock-things', { ...gloves, ...rest });
    await page.reload();
    const nobody = page.getByRole('form', { name: 'To order: Nobody is known to have these' });
    await nobody.getByRole('checkbox', { name: /gloves Nitrile: 10 pairs/ }).waitFor();
    await choose(nobody.getByLabel('Order from'), 'The post');
    await nobody.getByLabel('Promised for').fill('01/01/2020');
    await nobody.getByRole('button', { name: 'Ordered: 1 line' }).click();
    await nobody.getByText('Not before it is ordered.').first().waitFor();
    await nobody.getByLabel('Promised for').fill('01/01/2040');
    await nobody.getByRole('button', { name: 'Ordered: 1 line' }).click();
    const coming = page.getByRole('region', { name: 'On the way' });
    await coming.getByText('gloves Nitrile: 10 pairs').waitFor();
    await coming.getByRole('button', { name: 'It was not ordered after all' }).click();
    await coming.waitFor({ state: 'detached' });
    await choose(nobody.getByLabel('Order from'), 'The post');
    await nobody.getByRole('button', { name: 'Ordered: 1 line' }).click();
    await coming.getByRole('button', { name: /^It came/ }).click();
    const form = page.getByRole('form', { name: 'It came: gloves Nitrile' });
    await form.getByLabel('How much, pairs').fill('0');
    await form.getByRole('button', { name: 'Write it down' }).click();
    await form
      .getByText(/Say how much came/)
      .first()
      .waitFor();
    await form.getByLabel('How much, pairs').fill('3');
    await form.getByRole('button', { name: 'Write it down' }).click();
    await coming.waitFor({ state: 'detached' });
    // Three came of ten: two more than its mark are still wanted.
    await page.getByRole('checkbox', { name: /gloves Nitrile: 7 pairs/ }).waitFor();
    const { things } = await sendTo<StockView>(bench.address, 'GET', 'stock');
    expect(things[0]!.onHand).equal(3);
    expectNoFaults(page);
  });
});
