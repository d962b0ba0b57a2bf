import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { begin, expectNoFaults, hold, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** What may touch what, what is in the bath, and what the plan makes of it. */
describe('strip and mend', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });

  const open = (jobId: string, part: string) =>
    test.page.goto(`${test.bench.address}/jobs/${jobId}/strip?part=${jobId}-1.${part}`);
  const group = (heading: string) =>
    test.page.locator('[data-fold]', { has: test.page.getByRole('button', { name: new RegExp(`^${heading}:`) }) });
  const post = (path: string, data: object) => test.page.request.post(`${test.bench.address}/api/${path}`, { data });

  // Its axles throw sparks: they are off before anything of the others is in a bath.
  before(async () => {
    const { tasks } = await readJob('sg-06');
    await workAhead('sg-06', 'strip:blade', tasks);
    await post('decisions', { jobId: 'sg-06', school: 'S11', option: 'caustic', reason: 'thick enamel' });
  });

  it('refuses every heat on the lead alloy of SG-08, with the reason', async () => {
    await open('sg-08', 'body');
    await test.page.getByRole('heading', { name: 'Body: what may touch it' }).waitFor();
    const never = group('Never');
    for (const process of ['heat gun', 'oven', 'powder bake', 'torch anneal', 'caustic bath'])
      expect(await never.getByRole('button').first().innerText()).include(process);
    await test.page.getByRole('heading', { name: 'Body: never in the oven' }).waitFor();
    await test.page.getByText('Lead alloy: it melts from 183 °C and softens long before.').waitFor();
    // What was stripped is history; nothing is advised for it any more.
    await test.page.getByRole('heading', { name: 'Body: paint came off with gel' }).waitFor();
    await open('sg-08', 'roof');
    await test.page.getByText(/Not caustic: tinplate: /).waitFor();
  });

  it('bakes nothing of SG-08 when its school says low bake: every part with its reasons', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-08/finish`);
    await test.page.getByText('How this job is done, where restorers disagree').click();
    const drying = test.page.locator('li', { has: test.page.getByText('Drying', { exact: true }) });
    await choose(drying.getByRole('combobox'), 'low bake');
    await drying.getByLabel('Reason, for the record').fill('it should be hard before the opening');
    await drying.getByRole('button', { name: 'Decide' }).click();
    const says = test.page.getByRole('region', { name: 'The plan says' });
    await says.getByText(/^Not baked: the body\. Lead alloy: it melts from 183 °C/).waitFor();
    await says.getByText(/^Not baked: the base and roof\. Tinplate: its folded seams may hold soft solder/).waitFor();
    await says.getByText(/^Not baked: the tinplate trim\. .*Soft solder: it melts/).waitFor();
    expect(await test.page.getByText('Bake the paint of').count()).equal(0);
  });

  it('takes the plating off the bumpers of SG-09 in caustic: card, bath, clock; glazing and tyres stay out', async () => {
    for (const part of ['glazing', 'tyres']) {
      await open('sg-09', part);
      await test.page.getByRole('heading', { name: new RegExp(`^${part}: what may touch it`, 'i') }).waitFor();
      expect(await group('Never').getByRole('button').first().innerText(), part).include('caustic bath');
    }
    await open('sg-09', 'trim');
    const tried = taskLine(test.page, 'plating-test:trim');
    await tried.getByRole('button').first().click();
    await tried.getByRole('region', { name: 'Hazard: Caustic bath' }).waitFor();
    await begin(test.page, 'plating-test:trim');
    await tried.getByRole('button', { name: 'Done', exact: true }).click();
    const off = taskLine(test.page, 'plating-off:trim');
    if ((await off.getByRole('button', { name: /^Start/ }).count()) === 0)
      await off.getByRole('button').first().click();
    await off.getByText(/glazing and tyres stay in their bags/).waitFor();
    await begin(test.page, 'plating-off:trim');
    await off.getByText(/Covered: the liquor stands/).waitFor();
    await off.getByText(/Bath thermometer: 2\d\.\d °C/).waitFor();
    await off.getByLabel('Look again after, min').fill('4');
    await off.getByRole('button', { name: /^In it goes/ }).click();
    await off.getByText(/Look at it again in [34]:\d\d/).waitFor();
    await test.page.getByLabel('Clock shelf').getByText('Look at the bumpers and strips again: pass 1').waitFor();
  });

  it('says when the vessel does not cover a part, and how high the liquor should stand', async () => {
    await open('sg-06', 'blade');
    const strip = taskLine(test.page, 'strip:blade');
    if ((await strip.getByRole('button', { name: /^Start/ }).count()) === 0)
      await strip.getByRole('button').first().click();
    await begin(test.page, 'strip:blade');
    await strip.getByText(/Beside it: SG-09 bumpers and strips/).waitFor();
    await strip.getByLabel('high, mm').fill('48');
    await strip.getByText(/too low: half of it stays free/).waitFor();
    await strip.getByLabel('high, mm').fill('18');
    await strip.getByLabel('long, mm').fill('50');
    await strip.getByText(/Covered/).waitFor();
    await strip.getByRole('button', { name: /^In it goes/ }).click();
    await strip.getByText(/Look at it again in/).waitFor();
  });

  it('runs two castings in one bath, a clock each, and learns from what came of them', async () => {
    await test.page.goto(`${test.bench.address}/workshop`);
    const inIt = test.page.getByRole('list', { name: 'In the bath' });
    await inIt.getByText('SG-09 bumpers and strips').waitFor();
    await inIt.getByText('SG-06 blade').waitFor();
    expect(await inIt.getByRole('listitem').count()).equal(2);
    await inIt.getByText('SG-06 blade').click();
    const strip = taskLine(test.page, 'strip:blade');
    await strip.getByRole('button', { name: 'Out: some left' }).click();
    await strip.getByText(/Still to come about 1 pass/).waitFor();
    await strip.getByRole('button', { name: /^In it goes/ }).click();
    await strip.getByRole('button', { name: 'Out: bare' }).click();
    await strip.getByText('Bare after 2 passes.').waitFor();
    await strip.getByRole('button', { name: 'Done', exact: true }).click();
  });

  it('keeps the clock of a soak over a restart', async () => {
    await open('sg-09', 'trim');
    const left = async () => {
      const text = await test.page.getByText(/Look at it again in \d+:\d\d/).innerText();
      const [minutes, seconds] = /(\d+):(\d\d)/.exec(text)!.slice(1).map(Number) as [number, number];
      return minutes * 60 + seconds;
    };
    const [{ endsAt }] = await readAll<{ label: string; endsAt: string }>('timers', (one) =>
      one.label.includes('bumpers'),
    );
    // Started again as if the machine had been away until a minute and a half before the end.
    await test.restart(new Date(Date.parse(endsAt) - 90_000).toISOString());
    await open('sg-09', 'trim');
    await test.page.getByText(/Look at it again in 1:\d\d/).waitFor();
    expect(await left()).within(70, 90);
    await test.restart(DEMO_NOW);
  });

  it('changes plans when the house answers a school in another way, says so, and lets a job override it', async () => {
    await test.page.goto(`${test.bench.address}/house`);
    const lines = test.page.locator('li', {
      has: test.page.getByText('Parting lines and casting marks', { exact: true }),
    });
    await lines.getByText(/dressed, the surface is even and metal is gone for good/).waitFor();
    await choose(lines.getByRole('combobox'), 'dress what shows');
    await lines.getByLabel('Reason, for the record').fill('the cabinet is lit from the side');
    await lines.getByRole('button', { name: 'Decide' }).click();
    await lines.getByText('This house, because: the cabinet is lit from the side').waitFor();
    await open('sg-06', 'body');
    await taskLine(test.page, 'dress-lines:body').waitFor();
    const says = test.page.getByRole('region', { name: 'The plan says' });
    await says.getByText(/^The plan changed/).click();
    await says.getByText(/Parting lines and casting marks: dress what shows instead of leave as issued/).waitFor();
    await test.page.getByText('How this job is done, where restorers disagree').click();
    const own = test.page.locator('li', {
      has: test.page.getByText('Parting lines and casting marks', { exact: true }),
    });
    await choose(own.getByRole('combobox'), 'leave as issued');
    await own.getByLabel('Reason, for the record').fill('the lines are part of this one');
    await own.getByRole('button', { name: 'Decide' }).click();
    await own.getByText(/On this job, the lines are part of this one/).waitFor();
    await taskLine(test.page, 'dress-lines:body').waitFor({ state: 'detached' });
  });

  it('chooses what mends, how far it bends and with which grits to begin', async () => {
    await post('findings', { specimenPartId: 'sg-06-1.load', kind: 'broken', feature: 'hook', severity: 1, note: '' });
    await open('sg-06', 'load');
    await test.page.getByText('Mend, straighten, smooth: grit body').click();
    const hook = test.page.getByRole('region', { name: 'Mend: hook broken' });
    await hook.getByRole('heading', { name: 'Hook broken: glue and powder, a file reaches it' }).waitFor();
    // What is said here is the plan's: it must bear something, so it is splinted, until somebody chooses a new piece.
    await hook.getByLabel('It must bear something').check();
    await hook
      .getByRole('heading', { name: 'Hook broken: splint, glue alone does not bear what hangs on it' })
      .waitFor();
    await taskLine(test.page, 'mend:load').getByText('Mend the hook of the grit body with a metal splint').waitFor();
    await choose(hook.getByLabel('Mend it with'), 'new piece');
    await taskLine(test.page, 'mend:load').getByText('Mend the hook of the grit body with a new piece').waitFor();
    const { specimens } = await readJob('sg-06');
    expect(specimens[0]!.wants.filter((want) => want.kind === 'feature').map((want) => want.what)).deep.equal(['hook']);
    await test.page.getByLabel('It is off by').fill('5');
    await test.page.getByRole('heading', { name: 'Straighten warm: 3 steps of at most 2°' }).waitFor();
    await choose(test.page.getByLabel('It is now'), 'scuffed clear');
    await choose(test.page.getByLabel('It should be'), 'clear');
    await test.page.getByText('1000, then 1500, then 2000, then 3000').waitFor();
  });

  it('shows the priming gate, part by part', async () => {
    await open('sg-06', 'body');
    const gate = test.page.getByRole('region', { name: 'Priming gate' });
    await gate.getByRole('heading', { name: 'Ready for primer: 0 of 4 parts' }).waitFor();
    await gate.getByText(/^.*Blade: \d of \d missing/).click();
    await gate.getByText(/Paint off, rinsed and dry\. Missing: Neutralise, rinse and dry the blade/).waitFor();
    expectNoFaults(test.page);
  });

  it('follows the part that is chosen on the map, by keyboard too', async () => {
    await open('sg-09', 'trim');
    await test.page.getByRole('option', { name: /^Body/ }).focus();
    await test.page.keyboard.press('Enter');
    await test.page.getByRole('heading', { name: 'Body: what may touch it' }).waitFor();
    await test.page.getByText(/^Zinc alloy/).waitFor();
  });

  const readJob = async (id: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;
  async function readAll<T>(path: string, isWanted: (one: T) => boolean): Promise<[T]> {
    const view = (await (await test.page.request.get(`${test.bench.address}/api/${path}`)).json()) as { timers: T[] };
    return view.timers.filter(isWanted) as [T];
  }

  /** Does over the interface what a step waits for: another test shows that hands can. */
  async function workAhead(jobId: string, key: string, tasks: JobView['tasks']): Promise<void> {
    const wanted = new Set([key]);
    for (const task of [...tasks].reverse())
      if (wanted.has(task.key)) for (const link of task.after) wanted.add(link.key);
    for (const task of tasks.filter((one) => wanted.has(one.key) && one.key !== key && one.state !== 'done')) {
      for (const act of ['start', 'done']) {
        const answer = await post(`tasks/${encodeURIComponent(task.id)}/acts`, { act, who: 'Osric Bell', note: '' });
        if (!answer.ok() && act === 'done') throw new Error(`${jobId}: ${await answer.text()}`);
        if (!answer.ok()) {
          await airByRequest();
          const again = { act, who: 'Osric Bell', note: '', goAheadBecause: 'the owner wants it' };
          await post(`tasks/${encodeURIComponent(task.id)}/acts`, again);
        }
      }
    }
  }

  /** Stops every clock that keeps sparks away. */
  async function airByRequest(): Promise<void> {
    const { timers } = (await (await test.page.request.get(`${test.bench.address}/api/timers`)).json()) as {
      timers: { id: string; kind: string }[];
    };
    for (const timer of timers.filter((one) => one.kind === 'airing')) await post(`timers/${timer.id}/acknowledge`, {});
  }
});

describe('the workshop', function () {
  this.timeout(60_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });

  it('reckons a bath: so much, so hot, in this order, and refuses what is too strong', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/workshop`);
    await page.getByText('Make up a bath').click();
    await page.getByRole('region', { name: 'Hazard: Caustic bath' }).waitFor();
    await page.getByText('38 g of pure sodium hydroxide; it may reach 28 °C.').waitFor();
    await page.getByText(/into the water, little by little, stirred: never water onto crystals/).waitFor();
    await page.getByLabel('Grams per litre').fill('200');
    await page.getByText('Not so.').waitFor();
    await page.getByText(/More than 100 g per litre is not made here/).waitFor();
    await page.getByLabel('Grams per litre').fill('some');
    await page.getByText(/The strength, in grams per litre, must be 1 to 500/).waitFor();
    await page.getByLabel('Grams per litre').fill('50');
    await page.getByLabel('Liquor, litres').fill('0.4');
    await choose(page.getByRole('combobox', { name: 'Vessel' }), 'Glass dish (glass)');
    await hold(page.getByRole('button', { name: /^It is made up/ }));
    await page.getByText(/Caustic stands in HDPE or polypropylene only/).waitFor();
    await choose(page.getByRole('combobox', { name: 'Vessel' }), 'Tall jar with lid (polypropylene)');
    await hold(page.getByRole('button', { name: /^It is made up/ }));
    await page.getByRole('heading', { name: '2 baths stand' }).waitFor();
  });

  it('keeps the state of tools, and a gun is cleaned with one press', async () => {
    const { page } = test;
    const gun = page.locator('li', { has: page.getByText('Dual-action airbrush') });
    await gun.getByRole('button', { name: /^Dual-action airbrush/ }).click();
    await gun.getByLabel('Colour in it').fill('Marlstone Black');
    await gun.getByLabel('Note').focus();
    await gun.getByText('holds Marlstone Black').waitFor();
    await gun.getByRole('button', { name: 'It is clean now' }).click();
    await gun.getByText('holds Marlstone Black').waitFor({ state: 'detached' });
  });

  it('streams a simulated oven that warms with its lag, and a real one behind the same interface', async () => {
    const { page } = test;
    const oven = page.getByRole('region', { name: 'Oven probe' });
    await oven.getByText('simulated', { exact: true }).first().waitFor();
    await oven.getByText('20.0 °C', { exact: true }).waitFor();
    await oven.getByLabel('Dial, °C').fill('120');
    await oven.getByRole('button', { name: 'Switch it on' }).click();
    await oven.getByText('dial at 120 °C, heating').waitFor();
    await oven.getByText(/^20\.[1-9] °C$/).waitFor();
    const probe = createServer((_request, answer) => answer.end('{"celsius": 61.5}')).listen(0);
    const url = `http://127.0.0.1:${(probe.address() as AddressInfo).port}/probe`;
    try {
      await oven.getByText('Where its readings come from').click();
      await oven.getByLabel('Address on this machine').fill('http://example.org/probe');
      await oven.getByLabel('Source').focus();
      await oven.getByText(/An address on this machine/).waitFor();
      await oven.getByLabel('Address on this machine').fill(url);
      await oven.getByLabel('Source').focus();
      await page.getByText('Saved').first().waitFor();
      await choose(oven.getByLabel('Source'), 'endpoint');
      await oven.getByLabel('Address on this machine').focus();
      await oven.locator('span.border', { hasText: /^simulated$/ }).waitFor({ state: 'detached' });
      await page.reload();
      await oven.getByText('61.5 °C', { exact: true }).waitFor();
    } finally {
      probe.closeAllConnections();
      probe.close();
    }
    expectNoFaults(page);
  });
});
