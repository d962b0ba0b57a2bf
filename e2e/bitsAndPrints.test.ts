import type { JobView, PotLog, PrintsView, ShelfView, StockView } from '@sardonyx/contract';
import type { Casting, Job, JobCost, Want } from '@sardonyx/core';
import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { boxMesh, writeStlText } from '../packages/core/test/support/meshes.ts';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectSoon } from './support/expectSoon.ts';
import { expectNoFaults } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Most of what a binary STL file says along x, y and z, read here by hand. */
function readMost(bytes: Buffer): number[] {
  const most = [0, 0, 0];
  for (let i = 0; i < bytes.readUInt32LE(80); i++)
    for (let k = 0; k < 9; k++) most[k % 3] = Math.max(most[k % 3]!, bytes.readFloatLE(84 + 50 * i + 12 + 4 * k));
  return most;
}

/** A lorry of one's own with a hook that is gone, on a bench with nothing else on it, by somebody who changes her mind. */
describe('Small bits, printed parts and cost on an empty bench, clumsily', function () {
  this.timeout(150_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let jobId = '';
  const send = <T>(method: 'GET' | 'POST' | 'PATCH', path: string, body?: object) =>
    sendTo<T>(test.bench.address, method, path, body);
  const job = () => send<JobView>('GET', `jobs/${jobId}`);
  const wantOf = async (): Promise<Want> => (await job()).specimens[0]!.wants[0]!;
  const wants = () => test.page.getByRole('region', { name: 'Wants' });
  const open = async (station: string) => {
    await test.page.goto(`${test.bench.address}/jobs/${jobId}/${station}`);
  };
  const edit = async () => {
    await open('survey');
    await wants()
      .getByRole('button', { name: /^Change/ })
      .click();
  };
  const savedWant = async () => {
    await wants().getByRole('button', { name: 'Save the want' }).click();
    await wants().getByRole('button', { name: 'Save the want' }).waitFor({ state: 'detached' });
  };

  before(async () => {
    const { id } = await send<Casting>('POST', 'castings', OWN_LORRY);
    jobId = (await send<Job>('POST', 'jobs', ownJob(id))).id;
    const hook = (await job()).specimens[0]!.parts.find(({ key }) => key === 'hook')!;
    await send('POST', 'wants', {
      ...{ specimenPartId: hook.id, what: 'hook', state: 'open', solution: '', reason: '', dueOn: null },
    });
    const washer = { kind: 'washer', name: 'Brass washer', drawer: 'A1', sizes: {}, traits: {}, reorderAt: null };
    const more = { keepsDays: null, isLocked: false, supplierId: null, note: '' };
    const { id: thingId } = await send<{ id: string }>('POST', 'stock-things', { ...washer, ...more });
    const bought = { move: 'bought', amount: 3, jobId: null, price: 1.5, batch: '', who: 'Nell', note: '' };
    await send('POST', `stock-things/${thingId}/movements`, bought);
  });

  it('a bit without a name or with an amount that is none is told, and what was typed stays', async () => {
    await edit();
    await wants().getByRole('button', { name: 'Add a small bit' }).click();
    const bit = wants().getByRole('group', { name: 'a small bit' });
    await bit.getByLabel('How many').fill('some');
    await wants().getByRole('button', { name: 'Save the want' }).click();
    await wants().getByRole('alert').waitFor();
    expect(await bit.getByLabel('How many').inputValue()).equal('some');
    await bit.getByLabel('What').fill('washers');
    const named = wants().getByRole('group', { name: 'washers' });
    await named.getByLabel('How many').fill('2');
    await savedWant();
    await wants().getByText('out of a drawer: nobody said which yet').waitFor();
    await test.page.getByRole('region', { name: 'In hand before the first cut' }).getByText('Washers').waitFor();
  });

  it('is found in its drawer, taken with a tick, put back, taken again; and not typed away meanwhile', async () => {
    await edit();
    const named = wants().getByRole('group', { name: 'washers' });
    await choose(named.getByLabel('Which'), /^Brass washer/);
    await savedWant();
    const list = wants().getByRole('list', { name: 'Small bits for hook' });
    await list.getByText('in Brass washer, drawer A1').waitFor();
    const left = async () => (await send<StockView>('GET', 'stock')).things[0]!.onHand;
    for (const [isHere, rest] of [
      [true, 1],
      [false, 3],
      [true, 1],
    ] as const) {
      await list.getByRole('checkbox', { name: '2 washers' }).click();
      await list.getByText(isHere ? 'here' : 'in Brass washer, drawer A1', { exact: true }).waitFor();
      expect(await left()).equal(rest);
    }
    await edit();
    await wants().getByText('washers: here').waitFor();
    expect(await wants().getByRole('group', { name: 'washers' }).count()).equal(0);
    const { total, lines } = await send<JobCost>('GET', `jobs/${jobId}/cost`);
    expect([total, lines.map(({ what, amount }) => [what, amount])]).deep.equal([1, [['Brass washer', 2]]]);
  });

  it('a want is met out of a drawer, with more than there is refused; put back, it is open again', async () => {
    await edit();
    const drawer = wants().getByRole('group', { name: 'It lies in a drawer' });
    await choose(drawer.getByLabel('Which'), /^Brass washer/);
    await drawer.getByLabel('How many').fill('a few');
    await drawer.getByRole('button', { name: 'Take it' }).click();
    await drawer.getByText('Say how many: a number.').first().waitFor();
    await drawer.getByLabel('How many').fill('9');
    await drawer.getByRole('button', { name: 'Take it' }).click();
    await drawer.getByText('Only 1 piece is there for it.').first().waitFor();
    await drawer.getByLabel('How many').fill('1');
    await drawer.getByRole('button', { name: 'Take it' }).click();
    await wants()
      .getByText(/: solved, Brass washer, drawer A1/)
      .waitFor();
    expect(await wantOf()).deep.include({ origin: 'bought', price: null });
    // Opened by hand it would be forgotten there.
    await choose(wants().getByLabel('State'), 'open');
    await wants().getByRole('button', { name: 'Save the want' }).click();
    await wants().getByText('put it back there first', { exact: false }).first().waitFor();
    await wants().getByRole('button', { name: 'Put it back into its drawer' }).click();
    await wants()
      .getByText(/^\s*hook: open/)
      .waitFor();
    expect((await send<StockView>('GET', 'stock')).things[0]!.onHand).equal(1);
  });

  it('a thing of a drawer gets a picture, another, and none; and who sends it', async () => {
    const { page } = test;
    const [thing] = (await send<StockView>('GET', 'stock')).things;
    await send('POST', 'suppliers', { name: 'Own Supplies', promisedDays: 5, note: '' });
    await page.goto(`${test.bench.address}/drawers?thing=${thing!.id}`);
    const own = page.getByRole('region', { name: 'Brass washer', exact: true });
    await own.getByRole('button', { name: 'What it is and where it lies' }).click();
    const pick = (name: string) => own.getByLabel(name);
    const picture = (background: string) =>
      sharp({ create: { width: 60, height: 40, channels: 3, background } })
        .png()
        .toBuffer();
    const file = (buffer: Buffer, name = 'washer.png') => ({ name, mimeType: 'image/png', buffer });
    await pick('A picture of it').setInputFiles(file(Buffer.from('none'), 'none.png'));
    await own.getByRole('alert').waitFor();
    await own.getByRole('button', { name: 'Throw it away' }).click();
    await pick('A picture of it').setInputFiles(file(await picture('#886644')));
    await own.getByRole('img', { name: 'Brass washer' }).waitFor();
    const first = (await send<StockView>('GET', 'stock')).things[0]!.pictureHash;
    await pick('Another picture of it').setInputFiles(file(await picture('#446688')));
    await expectSoon(async () => (await send<StockView>('GET', 'stock')).things[0]!.pictureHash !== first);
    await own.getByRole('button', { name: 'Take the picture away' }).click();
    await own.getByRole('img', { name: 'Brass washer' }).waitFor({ state: 'detached' });
    await choose(own.getByLabel('Comes from'), 'Own Supplies');
    await expectSoon(async () => (await send<StockView>('GET', 'stock')).things[0]!.supplierId !== null);
  });

  it('a want that is to be printed leads to the printed parts: what is no mesh is told', async () => {
    await edit();
    await choose(wants().getByLabel('Come by it').first(), 'printed');
    await savedWant();
    await wants().getByRole('link', { name: 'Print it' }).click();
    const { page } = test;
    await page.getByRole('heading', { name: /^To be printed: hook/ }).waitFor();
    const file = page.getByLabel(/^Bring a mesh/);
    await file.setInputFiles({ name: 'hook.stl', mimeType: 'model/stl', buffer: Buffer.from('no mesh at all') });
    await page.getByText(/no STL file/).waitFor();
    await file.setInputFiles({
      name: 'hook.stl',
      mimeType: 'model/stl',
      buffer: Buffer.from(writeStlText(boxMesh([0, 0, 0], [8, 4, 2]))),
    });
    await page.getByRole('heading', { name: 'hook', exact: true }).waitFor();
    await page.getByText(/8\.00 × 4\.00 × 2\.00 mm/).waitFor();
    await page.getByText('Nobody said how large it is to be', { exact: false }).waitFor();
  });

  it('is turned by keys, scaled to what was measured, and written for what the resin loses', async () => {
    const { page } = test;
    const body = page.getByRole('img', { name: /^hook as a body/ });
    await page.getByRole('button', { name: 'As it lay', disabled: false }).waitFor();
    const before = await body.screenshot();
    await body.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    expect(Buffer.compare(before, await body.screenshot()), 'it was turned').not.equal(0);
    await page.getByLabel(/^along x/).fill('minus');
    await page.keyboard.press('Tab');
    await page.getByText('A length in mm, above 0', { exact: false }).waitFor();
    await page.getByLabel(/^along x/).fill('8,4');
    await page.keyboard.press('Tab');
    await page.getByText(/8\.40 ± 0\.03 × 4\.20/).waitFor();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Write the scaled file (STL)' }).click();
    const written = readMost(await readFile(await (await download).path()));
    [8.4, 4.2, 2.1].forEach((mm, axis) => expect(written[axis]).closeTo(mm / 0.994, 1e-3));
  });

  it('copies are logged: a measured one teaches the resin, one meets the want with its share of the cost', async () => {
    const { page } = test;
    const form = page.getByRole('form', { name: 'Copies of hook' });
    await form.getByLabel('Copies', { exact: true }).fill('none');
    await form.getByRole('button', { name: 'Write it down' }).click();
    await form.getByText('How many copies: a whole number', { exact: false }).first().waitFor();
    await form.getByLabel('Copies', { exact: true }).fill('3');
    await form.getByLabel('One measures, cured, mm').fill('8,3');
    await form.getByLabel('What all of it cost').fill('1,80');
    await choose(form.getByLabel('One is for'), /^hook/);
    await form.getByRole('button', { name: 'Write it down' }).click();
    await page.getByRole('list', { name: 'What was printed' }).getByText('3 copies').waitFor();
    await page.getByText('learned from 1 measured print', { exact: false }).waitFor();
    expect(await wantOf()).deep.include({ state: 'solved', origin: 'printed', price: 0.6 });
    expect((await send<PrintsView>('GET', 'prints')).prints[0]!.shrink.share).greaterThan(0.007);
  });

  it('a pot’s log and the cost of the job say what was taken, line by line', async () => {
    const { page } = test;
    const pot = { line: 'Own', name: 'Green', kind: 'colour', binder: 'acrylic', gloss: 'matt', colourHex: '#506070' };
    const { id } = await send<{ id: string }>('POST', 'shelf/pots', { ...pot, leftMl: 20, place: '' });
    await page.goto(`${test.bench.address}/shelf?q=Green`);
    await page.getByRole('button', { name: 'Green' }).first().click();
    const own = page.getByRole('region', { name: 'The pot of Green' });
    const write = async (what: string, ml: string, jobToo = false) => {
      await choose(own.getByLabel('What happens'), what);
      await own.getByLabel('How much, ml').fill(ml);
      if (jobToo) await choose(own.getByLabel('For which job'), /^J-|^SG|Own|lorry/i);
      await own.getByRole('button', { name: 'Write it down' }).click();
    };
    await write('taken', '200');
    await own.getByText('Only 20 ml are there for it.').first().waitFor();
    await write('wasted', '1,5', true);
    await own.getByText('18.5 ml').waitFor();
    await own.getByRole('button', { name: /^Its log, 2 lines/ }).click();
    await own.getByText('counted: so much is there').first().waitFor();
    const { pots } = await send<ShelfView>('GET', 'shelf');
    const log = await send<PotLog>('GET', `paint-pots/${pots.find(({ productId }) => productId === id)!.id}/movements`);
    expect(log.map(({ move, amount }) => [move, amount])).deep.equal([
      ['counted', 20],
      ['wasted', 1.5],
    ]);
    await open('sign-off');
    const cost = page.getByRole('region', { name: 'What it has cost' });
    await cost.getByRole('heading', { name: /^What it has cost: \d/ }).waitFor();
    await cost.getByText('Own Green').waitFor();
    await cost.getByText('came to nothing, by the usual price', { exact: false }).waitFor();
    await cost.getByText('Brass washer').waitFor();
    await cost.getByText('hook', { exact: true }).waitFor();
  });

  it('left no fault behind', () => expectNoFaults(test.page));
});
