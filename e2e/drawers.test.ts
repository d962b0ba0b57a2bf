import type { StockView, ThingLog } from '@sardonyx/contract';
import { expect } from 'chai';
import { choose } from './support/choose.ts';
import { expectNoFaults } from './support/restorer.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Drawers of one's own, from nothing, by somebody who repeats, overdoes it and counts again. */
describe('Drawers on an empty bench, clumsily', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  const stock = () => sendTo<StockView>(test.bench.address, 'GET', 'stock');
  const add = () => test.page.getByRole('form', { name: 'Something new' });
  const thing = () => test.page.getByRole('region', { name: 'Bright axle', exact: true });
  const write = async (what: string, amount: string) => {
    const form = thing().getByRole('form');
    await choose(form.getByLabel('What happens'), what);
    await form.getByLabel(/^How much/).fill(amount);
    await form.getByRole('button', { name: 'Write it down' }).click();
  };

  it('are empty, and say so', async () => {
    await test.page.goto(`${test.bench.address}/drawers`);
    await test.page.getByRole('heading', { name: 'Nothing in the drawers yet' }).waitFor();
    await test.page.getByText('The drawers are empty.').waitFor();
  });

  it('take a first thing: not without a name, not with a length that is none; what was typed stays', async () => {
    await add().getByLabel('Drawer').fill('B3');
    await add().getByLabel('diameter, mm').fill('1,2');
    await add().getByLabel('length, mm').fill('thirty');
    await choose(add().getByLabel('ends'), 'both bare');
    await add().getByRole('button', { name: 'Add it' }).click();
    await add().getByText('Name it.').first().waitFor();
    expect(await add().getByLabel('diameter, mm').inputValue()).equal('1,2');
    await add().getByLabel('Name').fill('Bright axle');
    await add().getByRole('button', { name: 'Add it' }).click();
    await add()
      .getByText(/Sizes are millimetres/)
      .first()
      .waitFor();
    await add().getByLabel('length, mm').fill('30');
    await add().getByRole('button', { name: 'Add it' }).click();
    await test.page.getByRole('heading', { name: '1 thing in 1 drawer' }).waitFor();
  });

  it('lie there to scale, and are taken in hand by pointer and by keys', async () => {
    const picture = test.page.getByRole('group', { name: 'What lies in drawer B3, to scale' });
    await picture.getByRole('button', { name: /Bright axle/ }).focus();
    await test.page.keyboard.press('Enter');
    await thing().waitFor();
    const box = (await picture
      .getByRole('button', { name: /Bright axle/ })
      .locator('path')
      .boundingBox())!;
    const [, , wide] = (await picture.getAttribute('viewBox'))!.split(' ').map(Number);
    const width = (await picture.boundingBox())!.width;
    expect(box.width / (width / wide!)).closeTo(30, 0.6);
    await thing().getByText('Nothing is written down of it yet.').waitFor();
  });

  it('hold what is written down: bought, too much taken, taken, counted again', async () => {
    await write('bought', '4');
    await thing().getByText('4 pieces').first().waitFor();
    await write('taken', '9');
    await thing().getByText('Only 4 pieces are there for it.').first().waitFor();
    expect(
      await thing()
        .getByLabel(/^How much/)
        .inputValue(),
    ).equal('9');
    await write('taken', '1,5');
    await thing()
      .getByText(/There are no parts of pieces/)
      .first()
      .waitFor();
    await write('taken', '1');
    await thing().getByText('3 pieces').first().waitFor();
    await write('put by for a job', '1');
    await thing().getByText('Say for which job.').first().waitFor();
    await write('counted: so much is there', '2');
    await thing().getByText('2 pieces').first().waitFor();
    await thing().getByRole('button', { name: 'Its log, 3 lines' }).click();
    const { things } = await stock();
    const log = await sendTo<ThingLog>(test.bench.address, 'GET', `stock-things/${things[0]!.id}/movements`);
    expect(log.map(({ move, amount, who }) => `${move} ${amount} ${who}`)).deep.equal([
      ...['bought 4 Nell', 'taken 1 Nell', 'counted 2 Nell'],
    ]);
    expect(await thing().getByRole('listitem').allInnerTexts()).length(3);
  });

  it('are found by the address that a label would hold, and a drawer that is not there says so', async () => {
    await test.page.goto(`${test.bench.address}/drawers?drawer=B3`);
    await test.page.getByRole('heading', { name: 'Drawer B3' }).waitFor();
    await test.page.goto(`${test.bench.address}/drawers?drawer=Z9`);
    await test.page.getByText('There is no drawer Z9: choose one above.').waitFor();
    await test.page.getByRole('button', { name: /^B3/ }).click();
    await test.page.getByRole('heading', { name: 'Drawer B3' }).waitFor();
  });

  it('say otherwise how their ends are, which is kept; what is half typed for a new one stays meanwhile', async () => {
    await add().getByLabel('Name').fill('Half typed');
    await test.page.getByRole('button', { name: /^Bright axle, 2 pieces/ }).click();
    await thing().getByRole('button', { name: 'What it is and where it lies' }).click();
    await choose(thing().getByLabel('ends'), 'one domed');
    await thing()
      .getByText(/one domed/)
      .first()
      .waitFor();
    await test.page.reload();
    await thing()
      .getByText(/length 30 mm; one domed/)
      .waitFor();
    expect((await stock()).things[0]!.traits).deep.equal({ ends: 'one domed' });
    await add().getByLabel('Name').fill('Half typed');
    await test.page.getByRole('button', { name: /^B3/ }).click();
    expect(await add().getByLabel('Name').inputValue()).equal('Half typed');
  });

  it('move to another drawer, and are not in the old one any more', async () => {
    await test.page.getByRole('button', { name: /^Bright axle, 2 pieces/ }).click();
    await thing().getByRole('button', { name: 'What it is and where it lies' }).click();
    await thing().getByLabel('Drawer').fill('B4');
    await thing().getByLabel('Drawer').blur();
    await thing().getByText('in B4').waitFor();
    expect((await stock()).things.map(({ drawer }) => drawer)).deep.equal(['B4']);
    expectNoFaults(test.page);
  });
});
