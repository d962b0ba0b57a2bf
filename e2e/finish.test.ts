import { expect } from 'chai';
import type { JobView } from '@sardonyx/contract';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { passTime } from './support/restorer.ts';
import { runAxe } from './support/runAxe.ts';
import { useBench } from './support/useBench.ts';

describe('Finish', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const trolley = (part?: string) =>
    test.page.goto(`${test.bench.address}/jobs/sg-07/finish?specimen=sg-07-2${part ? `&part=sg-07-2.${part}` : ''}`);
  const layersOf = async (part: string, stage = 'applied') => {
    const view = (await (await test.page.request.get(`${test.bench.address}/api/jobs/sg-07`)).json()) as JobView;
    const { areas, layers } = view.specimens[1]!;
    const own = areas.filter(({ specimenPartId }) => specimenPartId === `sg-07-2.${part}`).map(({ id }) => id);
    return layers.filter((layer) => own.includes(layer.areaId) && layer.stage === stage);
  };
  const ruler = () => test.page.getByRole('figure', { name: 'Drying' });
  const coats = (part: string) => test.page.getByRole('region', { name: `Coats: ${part}` });

  it('says first what goes on next, and shows what dries, what may, and what lifts', async () => {
    await trolley();
    await test.page.getByText('Suitcases: first wet coat of Quay Leather brown now.').waitFor();
    await ruler()
      .getByRole('button', { name: /^Suitcases: first wet coat .* now/ })
      .waitFor();
    await ruler()
      .getByRole('button', { name: /^Base: not now: Marlstone Bright white lifts until/ })
      .waitFor();
    await ruler()
      .getByRole('button', { name: /^Wheels: first “Judge the wheels in primer”/ })
      .waitFor();
    expect(await ruler().getByText('lifts', { exact: true }).count()).greaterThan(0);
    await test.page.getByText(/The room:.*%, simulated/).waitFor();
    await runAxe(test.page, 'serious');
  });

  it('refuses a coat in the gap and names the time; then takes it, and the ruler goes on', async () => {
    const { page } = test;
    await trolley('base');
    const region = coats('Base');
    await region.getByRole('button', { name: 'Log a coat on the base' }).click();
    const form = region.getByRole('form', { name: 'Log a coat on the Base' });
    await choose(form.getByLabel('Pot'), 'Marlstone Bright white (colour)');
    await form.getByRole('button', { name: 'Log the coat' }).click();
    await form
      .getByText(/lifts under another coat now.*more/)
      .first()
      .waitFor();
    expect((await layersOf('base')).length).equal(3);
    await passTime(page, 60 * 40);
    await ruler()
      .getByRole('button', { name: /^Base: second wet coat of Marlstone Bright white now/ })
      .waitFor();
    await coats('Base').getByRole('button', { name: 'Log a coat on the base' }).click();
    const again = coats('Base').getByRole('form', { name: 'Log a coat on the Base' });
    await choose(again.getByLabel('Pot'), 'Marlstone Bright white (colour)');
    await again.getByRole('button', { name: 'Log the coat' }).click();
    await again.getByText('Logged.').waitFor();
    expect((await layersOf('base')).length).equal(4);
    await ruler()
      .getByRole('button', { name: /^Base: all its coats are on/ })
      .waitFor();
  });

  it('edits coats on the band: more or fewer, moved, taken off, with what to pour and how much film it makes', async () => {
    const { page } = test;
    await trolley('body');
    const region = coats('Body');
    await region.getByText(/pour/).first().waitFor();
    await region.getByText(/When all is on/).waitFor();
    const counted = region.getByRole('group', { name: 'Wet coats of Quay Chalk white' });
    await counted.getByText('3', { exact: true }).waitFor();
    for (let i = 0; i < 3; i++) await counted.getByRole('button', { name: 'One coat more' }).click();
    await counted.getByText('6', { exact: true }).waitFor();
    await region.getByText(/letters fill in/).waitFor();
    await page.locator('li[data-task="colour:body:outside:6"]').waitFor({ state: 'attached' });
    await region.getByRole('button', { name: 'As many as hide it' }).click();
    await counted.getByText('3', { exact: true }).waitFor();
    await page.locator('li[data-task="colour:body:outside:6"]').waitFor({ state: 'detached' });
    const pots = region.getByLabel('Plan a coat for the outside');
    await choose(pots, 'Lanthorn Clear gloss (clear)');
    await region.getByRole('button', { name: 'Plan it' }).click();
    const list = region.getByRole('list', { name: 'Planned for the outside' });
    await list.getByText('Lanthorn Clear gloss').waitFor();
    expect((await list.getByRole('listitem').allInnerTexts())[0]).include('Clear gloss');
    await region.getByRole('button', { name: 'Remove Lanthorn Clear gloss' }).click();
    await list.getByText('Lanthorn Clear gloss').waitFor({ state: 'detached' });
  });

  it('reckons with what is measured: relief and size', async () => {
    const region = coats('Body');
    await region.getByRole('button', { name: 'Measured on it' }).click();
    await region.getByLabel('Finest relief that must be seen, µm').fill('80');
    await region.getByLabel('Finest relief that must be seen, µm').blur();
    await region.getByText(/over relief of 80 µm \(measured\): letters fill in/).waitFor();
    await region.getByRole('button', { name: 'Reckon with it' }).click();
    await region.getByText('Numbers above 0 are wanted.').waitFor();
    await region.getByLabel('Bare, grams').fill('21,5');
    await region.getByLabel('Walls, mm, with spaces between').fill('1.2 1.4 1.3');
    await region.getByRole('button', { name: 'Reckon with it' }).click();
    // 21.5 g / 6.6 = 3.26 cm3 over 0.13 cm: 25 cm2 on each face.
    await region.getByText(/25 ± \d+ cm²/).waitFor();
    await region.getByText('by weighing').waitFor();
    await region.getByRole('radio', { name: 'by a mesh' }).click();
    const file = region.getByLabel('STL file of the part, in mm');
    await file.setInputFiles({ name: 'list.stl', mimeType: 'model/stl', buffer: Buffer.from('a list of parts') });
    await region.getByText(/list\.stl: This is no STL file/).waitFor();
    // One triangle of 80 by 50 mm: 20 cm2, so 10 on each face.
    const facet = 'facet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 80 0 0\nvertex 0 50 0\nendloop\nendfacet';
    const mesh = Buffer.from(`solid body\n${facet}\nendsolid`);
    await file.setInputFiles({ name: 'body.stl', mimeType: 'model/stl', buffer: mesh });
    await region.getByText(/10 ± 0 cm²/).waitFor();
    await region.getByText('by its mesh').waitFor();
    await region.getByRole('button', { name: 'By the drawing again' }).click();
    await region.getByText('by the drawing.').waitFor();
  });

  it('asks a finger: still tacky moves the time back, and it is remembered', async () => {
    const { page } = test;
    await trolley('wheels');
    const region = coats('Wheels');
    const clocks = region.getByRole('group', { name: /what a finger finds/ });
    // The night has passed: the primer is dry.
    expect(await clocks.getByRole('button', { name: 'Still tacky now' }).count()).equal(0);
    await page.request.post(`${test.bench.address}/api/tasks/sg-07-2.judge:wheels/acts`, {
      data: { act: 'not needed', who: 'Osric Bell', note: 'seen' },
    });
    await trolley('base');
    const wet = coats('Base').getByRole('group', { name: /what a finger finds/ });
    await wet.getByRole('button', { name: 'Still tacky now' }).click();
    await page.waitForResponse((response) => /\/api\/jobs\/sg-07$/.test(response.url()));
    const view = (await (await page.request.get(`${test.bench.address}/api/jobs/sg-07`)).json()) as JobView;
    const top = (await layersOf('base')).at(-1)!;
    const found = coats('Base').getByRole('list', { name: /^What fingers found/ });
    await found.getByRole('button', { name: /^Take it back/ }).click();
    await found.waitFor({ state: 'detached' });
    expect(view.specimens[1]!.film.some(({ layerId }) => layerId === top.id)).equal(true);
    expect(test.page.faults).deep.equal([]);
  });

  it('remembers what went wrong with a pot when it is planned again', async () => {
    const { page } = test;
    await trolley('base');
    const region = coats('Base');
    await region.getByRole('button', { name: 'Coats in words' }).click();
    await region.getByRole('button', { name: 'Reject Marlstone Bright white' }).last().click();
    const reject = region.getByRole('group', { name: 'Reject Marlstone Bright white' });
    await reject.getByLabel(/^What is wrong with it/).fill('skin like a prune');
    await choose(reject.getByLabel('Which kind of failure', { exact: true }), 'wrinkled');
    await reject.getByLabel(/^What helped/).fill('a day more');
    await reject.getByRole('button', { name: 'Reject the coat' }).click();
    await page.locator('li[data-task^="take-off:"]').first().waitFor({ state: 'attached' });
    await choose(region.getByLabel('Plan a coat for the outside'), 'Marlstone Bright white (colour)');
    const note = region.getByRole('note', { name: 'What went wrong before' });
    await note.getByText('wrinkled').waitFor();
    await note.getByText(/What helped: a day more/).waitFor();
  });
});
