import { expect } from 'chai';
import { expectNoFaults } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** What may touch what: asked of the part in hand, before anything is opened or poured. */
describe('what a part stands', function () {
  this.timeout(60_000);
  const test = useBench({ isDemo: true, now: '2026-11-25T18:30:00Z' });

  const open = (jobId: string, part: string) =>
    test.page.goto(`${test.bench.address}/jobs/${jobId}/strip?part=${jobId}-1.${part}`);
  const group = (heading: string) =>
    test.page.locator('details', { has: test.page.locator('summary', { hasText: new RegExp(`^.?\\s*${heading}:`) }) });

  it('refuses every heat on the lead alloy of SG-08, with the reason', async () => {
    await open('sg-08', 'body');
    await test.page.getByRole('heading', { name: 'Body: what may touch it' }).waitFor();
    const never = group('Never');
    for (const process of ['heat gun', 'oven', 'powder bake', 'torch anneal', 'caustic bath'])
      expect(await never.locator('summary').innerText()).include(process);
    await never.locator('summary').click();
    await never.getByText(/Oven: it melts from 183 °C/).waitFor();
    await never.getByText(/Caustic bath: caustic dissolves lead and tin/).waitFor();
  });

  it('takes the plating off the bumpers of SG-09 in caustic, with care, and keeps glazing and tyres out of it', async () => {
    await open('sg-09', 'trim');
    await group('With care')
      .getByText(/Caustic bath: the plating comes off within minutes/)
      .waitFor();
    for (const part of ['glazing', 'tyres']) {
      await open('sg-09', part);
      await test.page.getByRole('heading', { name: new RegExp(`^${part}: what may touch it`, 'i') }).waitFor();
      expect(await group('Never').locator('summary').innerText(), part).include('caustic bath');
    }
  });

  it('follows the part that is chosen on the map, by keyboard too', async () => {
    await open('sg-09', 'trim');
    await test.page.getByRole('option', { name: /^Body/ }).focus();
    await test.page.keyboard.press('Enter');
    await test.page.getByRole('heading', { name: 'Body: what may touch it' }).waitFor();
    await test.page.getByText(/^Zinc alloy/).waitFor();
  });

  it('reckons a bath: so much, so hot, in this order, and refuses what is too strong', async () => {
    await test.page.getByText('Reckon a caustic bath').click();
    await test.page.getByRole('region', { name: 'Hazard: Caustic bath' }).waitFor();
    await test.page.getByText('38 g of pure sodium hydroxide; it may reach 28 °C.').waitFor();
    await test.page.getByText(/into the water, little by little, stirred: never water onto crystals/).waitFor();
    await test.page.getByLabel('Grams per litre').fill('200');
    await test.page.getByText('Not so.').waitFor();
    await test.page.getByText(/More than 100 g per litre is not made here/).waitFor();
    expect(await test.page.getByText(/never water onto crystals/).count()).equal(0);
    await test.page.getByLabel('Grams per litre').fill('some');
    await test.page.getByText(/The strength, in grams per litre, must be 1 to 500/).waitFor();
    expectNoFaults(test.page);
  });
});
