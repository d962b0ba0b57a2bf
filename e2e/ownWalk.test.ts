import type { CastingView, JobView } from '@sardonyx/contract';
import type { Casting, Job, JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { OWN_LORRY, OWN_POT, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults, hold, holdWithPointer, makePhoto, openStation, workThrough } from './support/restorer.ts';
import { pressPlane } from './support/pressPlane.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** One post through body, seat and base; a load on the roof that is lost; a grille with a colour of its own. */
const WALKED = {
  ...OWN_LORRY,
  parts: [
    ...OWN_LORRY.parts.filter(({ key }) => key !== 'hook'),
    { key: 'crate', name: 'crate', role: 'load', material: 'hard plastic', count: 1 },
  ],
  joints: [
    { label: 'post', kind: 'rivet post', partKeys: ['body', 'seat', 'base'] },
    { label: 'window', kind: 'push fit', partKeys: ['body', 'window'] },
    { label: 'crate', kind: 'push fit', partKeys: ['body', 'crate'] },
    { label: 'axle ends', kind: 'formed axle', partKeys: ['base', 'axles', 'wheels'] },
  ],
};

/** An own casting through all seven stations of an empty bench, its drawing and a joint of it changed on the way. */
describe('an own casting, from the shelf to its signature', function () {
  this.timeout(240_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let castingId: string;
  let jobId: string;
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);
  const job = async () => (await send<JobView>('GET', `jobs/${jobId}`)).specimens[0]!;
  const press = (x: number, y: number) => pressPlane(test.page, x, y);
  const open = () => test.page.goto(`${test.bench.address}/jobs/${jobId}/survey`);

  before(async () => {
    castingId = (await send<Casting>('POST', 'castings', WALKED)).id;
    jobId = (await send<Job>('POST', 'jobs', ownJob(castingId))).id;
    for (const [kind, name] of [
      ['primer', 'Grey'],
      ['colour', 'Green'],
      ['colour', 'Silver'],
    ])
      await send('POST', 'shelf/pots', { ...OWN_POT, kind, name, gloss: kind === 'primer' ? 'matt' : 'gloss' });
  });

  it('gets its grille drawn as an area of its own, while it is in work', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}/trace/side`);
    const bound = async (part: string, area: string, left: number, top: number) => {
      const line = page.getByRole('region', { name: 'Line in hand' });
      await choose(line.getByLabel('Part'), part);
      await page.getByLabel(/^Area with a colour of its own/).fill(area);
      for (const [x, y] of [
        [left, top],
        [left + 6, top],
        [left + 6, top + 5],
        [left, top + 5],
      ] as const)
        await press(x, y);
    };
    await page.getByRole('button', { name: 'Begin a line' }).click();
    await bound('body', 'grille', 2, 16);
    await page.getByRole('button', { name: 'Begin another line' }).click();
    await bound('base', 'underside', 40, 26);
    await page.getByRole('button', { name: 'Draw the casting so' }).click();
    await page.getByText('The casting is drawn so.').waitFor();
    expect((await job()).areas.map(({ kind, name }) => `${kind} ${name}`)).include.members([
      'mask grille',
      'underside underside',
    ]);
  });

  it('is surveyed: old paint on body, underside and all, the load lost and let go', async () => {
    const { page } = test;
    await open();
    for (const side of ['left', 'right', 'front', 'rear', 'top', 'base']) {
      await page
        .getByLabel('Add a photo, or drop it here')
        .first()
        .setInputFiles(await makePhoto(`${side}.jpg`));
      await page.getByRole('img', { name: `${side}, before` }).waitFor();
    }
    for (const [part, area] of [
      ['body', 'outside'],
      ['base', 'underside'],
    ]) {
      await page.getByRole('option', { name: new RegExp(`^${part}`) }).click();
      await page.getByText(`Add a coating found on the ${area}`).click();
      const coating = page.getByRole('form', { name: `Coating found on the ${area}` });
      await coating.getByLabel('What is it?').fill('Old green');
      await coating.getByRole('button', { name: 'Add the coating' }).click();
      await page.getByText('Old green colour, 25 µm').first().waitFor();
    }
    await page.getByRole('option', { name: /^crate/ }).click();
    await choose(page.getByRole('region', { name: 'Part: crate' }).getByLabel('State'), 'missing');
    await page.getByRole('option', { name: /^crate \(missing\)/ }).waitFor();
    const wants = page.getByRole('region', { name: 'Wants' });
    await wants.getByText('crate: open').waitFor();
    await page.getByRole('button', { name: 'Change crate' }).click();
    await choose(wants.getByLabel('State'), 'waived');
    await page.getByLabel('Reason, for the record').fill('It stays without.');
    await page.getByRole('button', { name: 'Save the want' }).click();
    await wants.getByText(/crate: waived/).waitFor();
  });

  it('has coats planned on body, grille and underside', async () => {
    const { page } = test;
    await openStation(page, 'Finish');
    const plan = async (part: string, area: string, pots: readonly string[]) => {
      await page.getByRole('option', { name: new RegExp(`^${part}`) }).click();
      const coats = page.getByRole('region', { name: new RegExp(`^Coats: ${part}`, 'i') });
      await coats.getByRole('radio', { name: area, exact: true }).click();
      for (const pot of pots) {
        await choose(coats.getByLabel(`Plan a coat for the ${area}`), pot);
        const form = coats.getByLabel(`Plan a coat for the ${area}`);
        await form
          .locator('xpath=ancestor::*[.//button[normalize-space()="Plan it"]][1]')
          .getByRole('button', { name: 'Plan it' })
          .click();
        await coats
          .getByRole('list', { name: `Planned for the ${area}` })
          .getByText(pot.split(' (')[0]!)
          .waitFor();
      }
    };
    await plan('body', 'outside', ['Own Grey (primer)', 'Own Green (colour)']);
    await plan('body', 'grille', ['Own Silver (colour)']);
    await plan('base', 'underside', ['Own Grey (primer)', 'Own Silver (colour)']);
  });

  it('has its joint changed after all: the seat is not in the post', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
    await page.getByRole('button', { name: 'Change parts and joints' }).click();
    // Pressed on the drawing: the line with the first joint's number.
    await page.locator('svg[aria-label="Part map"] g[aria-hidden]', { hasText: /^1/ }).last().click();
    const form = page.getByRole('region', { name: 'Joints' });
    await form.getByRole('checkbox', { name: 'seat' }).first().uncheck();
    await form.getByText(/post \(rivet post\): body, base/).waitFor();
    await page.getByRole('button', { name: 'Add a joint' }).click();
    await page.getByRole('button', { name: 'Keep these parts and joints' }).click();
    await page.getByText(/Parts and joints are changed/).waitFor();
    const { joints } = await send<CastingView>('GET', `castings/${castingId}`);
    expect(joints.find(({ label }) => label === 'post')!.partKeys).have.members(['body', 'base']);
  });

  it('goes through all its stations', async () => {
    const { page } = test;
    await open();
    const done: string[] = [];
    for (const station of ['Identify', 'Survey', 'Open', 'Strip & mend', 'Finish', 'Close']) {
      await openStation(page, station);
      done.push(...(await workThrough(page)));
    }
    expect(done).include.members(['strip:body', 'prime:body', 'colour:body:outside', 'colour:body:grille']);
    expect(done.some((key) => key.startsWith('colour:base'))).equal(true);
    expect(done.findIndex((key) => key === 'colour:body:outside')).lessThan(
      done.findIndex((key) => key === 'colour:body:grille'),
    );
    await openStation(page, 'Sign off');
    await choose(page.getByLabel('Stage'), 'after');
    for (const side of ['left', 'right', 'front', 'rear', 'top', 'base']) {
      await page
        .getByLabel('Add a photo, or drop it here')
        .first()
        .setInputFiles(await makePhoto(`${side}-done.jpg`, '#2f5a3c'));
      await page.getByRole('img', { name: `${side}, after` }).waitFor();
    }
    await workThrough(page);
    await page.getByText('Everything is done. It can be signed.').waitFor();
    const lacks = page.getByRole('region', { name: 'What the record lacks' });
    await lacks.getByText(/^Nobody said where this comes from/).waitFor();
    expect(await lacks.getByRole('link', { name: 'To Survey' }).getAttribute('href')).match(/\/survey$/);
    const sign = page.getByRole('form', { name: 'Sign off' });
    await holdWithPointer(sign.getByRole('button', { name: /^Sign it off/ }));
    await sign.getByText('Say why it is signed without that, or put it right.').waitFor();
    await sign.getByLabel('Why it is signed without').fill('The owner fetches it tonight.');
    await holdWithPointer(sign.getByRole('button', { name: /^Sign it off/ }));
    await page
      .getByText(/^Signed off .* by Nell\.$/)
      .first()
      .waitFor();
    await page.getByText(/Because: The owner fetches it tonight\.$/).waitFor();
  });

  it('leaves a record of it', async () => {
    const { page } = test;
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Data (JSON)' }).click(),
    ]);
    const record = JSON.parse(await readFile(await download.path(), 'utf8')) as JobRecord;
    const partOf = (name: string) => record.models[0]!.parts.find((part) => part.name === name)!;
    expect(partOf('body').coatsApplied.map(({ name }) => name)).include.members([
      'Own Grey',
      'Own Green',
      'Own Silver',
    ]);
    expect(partOf('base').coatsApplied.map(({ name }) => name)).include('Own Silver');
    expect(partOf('crate').wants.map(({ state }) => state)).include('waived');
    expectNoFaults(page);
  });

  it('is opened again, with a reason; the first record stays, and it is signed once more', async () => {
    const { page } = test;
    await page.getByRole('button', { name: 'Open it again' }).click();
    const form = page.getByRole('form', { name: 'Open it again' });
    await form.getByRole('button', { name: 'Open the job again' }).click();
    await form.getByText('Say why: it goes into the record.').waitFor();
    await form.getByLabel('Why').fill('A wheel came off in the cabinet.');
    await form.getByRole('button', { name: 'Open the job again' }).click();
    await page.getByText(/^Opened again .* by Nell: A wheel came off in the cabinet\.$/).waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'The record as it was signed (JSON)' }).click(),
    ]);
    const first = JSON.parse(await readFile(await download.path(), 'utf8')) as JobRecord;
    expect(first.job.signedOffBy).equal('Nell');
    expect(first.signings[0]!.reopenedAt).equal(null);
    await page.getByText('Everything is done. It can be signed.').waitFor();
    const sign = page.getByRole('form', { name: 'Sign off' });
    await sign.getByLabel('Why it is signed without').fill('The same.');
    await hold(sign.getByRole('button', { name: /^Sign it off/ }));
    await page
      .getByRole('list', { name: 'How it was signed' })
      .getByText(/^Signed off/)
      .nth(1)
      .waitFor();
    expectNoFaults(page);
  });

  it('is found, with its coats and hours, when the next one of its casting comes in', async () => {
    const { page } = test;
    const { specimens } = (await (await page.request.get(`${test.bench.address}/api/jobs/${jobId}`)).json()) as JobView;
    const next = await send<Job>('POST', 'jobs', ownJob(specimens[0]!.specimen.castingId!, 'The next one'));
    await page.goto(`${test.bench.address}/jobs/${next.id}/identify`);
    const earlier = page.getByRole('region', { name: 'Earlier work on this casting' });
    await earlier.getByText(/^body, outside: Own Grey, Own Green/).waitFor();
    await earlier.getByText(/steps done, planned at/).waitFor();
    await earlier.getByRole('link').click();
    await page.getByRole('heading', { name: /: the record$/ }).waitFor();
    expectNoFaults(page);
  });
});
