import { expect } from 'chai';
import { PLACING_WORDS } from '../packages/core/src/index.ts';
import { expectNoFaults } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** Somebody who never placed a long decal, on a bench with nothing on it. */
describe('Placing a long decal for practice', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  const acts = () => test.page.getByRole('region', { name: 'What comes next?' });
  const press = (words: string) => acts().getByRole('button', { name: words }).click();

  it('does nothing that cannot be done yet, tears what is pulled at once, and costs the piece when it is rescued wrongly', async () => {
    // A seed whose first chance is bad luck.
    await test.page.goto(`${test.bench.address}/practice/decals?seed=2`);
    await press(PLACING_WORDS['roll out']);
    await test.page.getByText('Nothing yet.').waitFor();
    let tears = 0;
    for (let pieces = 2; pieces > 0 && tears === 0; pieces--) {
      await press(PLACING_WORDS.soak);
      await acts()
        .getByText(/In the water for/)
        .waitFor();
      await press('Slide the decal off its paper, onto the panel.');
      const now = test.page.getByRole('region', { name: 'What now?' });
      if (await now.isVisible()) {
        tears++;
        await now.getByRole('button').first().waitFor();
        expect(await now.getByRole('button').count()).equal(3);
      }
    }
    expect(tears).equal(1);
    // The second rescue of a tear, and the first of all else, makes it worse.
    const isTorn = await test.page.getByText('It is torn.').isVisible();
    await test.page
      .getByRole('region', { name: 'What now?' })
      .getByRole('button')
      .nth(isTorn ? 1 : 0)
      .click();
    await test.page.getByText('This is the last piece.').waitFor();
  });

  it('lies when every step was done in its turn, whatever luck it had; the keys do it all', async () => {
    await test.page.goto(`${test.bench.address}/practice/decals?seed=4`);
    const result = test.page.getByRole('region', { name: 'How it came out' });
    const now = test.page.getByRole('region', { name: 'What now?' });
    const order = [
      ...(['cut close', 'dry-fit', 'set out the pad', 'wet the panel', 'soak', 'wait on the pad'] as const),
      ...(['slide the paper away', 'run the far end off the edge', 'look at the margins', 'roll out'] as const),
      'leave it' as const,
    ];
    for (let tries = 0; tries < 60 && !(await result.isVisible()); tries++) {
      if (await now.isVisible()) {
        await now.getByRole('button', { name: /^(Flood it|Keep both|Water along)/ }).focus();
        await test.page.keyboard.press('Enter');
        continue;
      }
      for (const step of order) {
        const button = acts().getByRole('button', { name: PLACING_WORDS[step] });
        if (!(await button.isVisible())) continue;
        if (step === 'slide the paper away')
          await acts()
            .getByText(/In the water for\s*(2[5-9]|[3-9]\d) s/)
            .waitFor({ timeout: 60_000 });
        await button.focus();
        await test.page.keyboard.press('Enter');
        break;
      }
    }
    await result.getByText(/^It lies|Both are lost/).waitFor();
    await result.getByText('No step was out of its order.').waitFor();
    expectNoFaults(test.page);
  });
});
