import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ColourView, JobView } from '@sardonyx/contract';
import { computeDe00, replayMix } from '@sardonyx/core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import type { ColourTruth } from '../packages/server/src/demo/colourPhoto.ts';
import { findHue } from './support/neutral.ts';
import { expectNoFaults, findCutText } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** From an old colour behind a flap to a pot that is planned on the part. */
describe('the colour lab', function () {
  this.timeout(180_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW }, { who: 'Imke Varga' });
  const ask = async <T>(path: string) => (await (await fetch(`${test.bench.address}/api/${path}`)).json()) as T;
  const go = (path: string) => test.page.goto(test.bench.address + path);
  const readTruth = async () =>
    JSON.parse(await readFile(join(test.bench.folder, 'truth', 'sg-03.colour.json'), 'utf8')) as ColourTruth;

  /** Sets the loupe on a place of the photograph. */
  async function setLoupe({ x, y }: { x: number; y: number }): Promise<void> {
    const canvas = test.page.getByRole('application');
    const [scale, left, top] = await canvas.evaluate((svg) => {
      const { a, e, f } = (svg as SVGSVGElement).getScreenCTM()!;
      return [a, e, f] as const;
    });
    await test.page.mouse.click(left + scale * x, top + scale * y);
  }

  /** Pours what the page asks for until it asks for a patch, or says that it is there. */
  async function pourRound(page: Page): Promise<void> {
    const pour = page.getByRole('button', { name: 'Pour (simulated hand)' });
    const patch = page.getByLabel('The patch is dry');
    for (let i = 0; i < 12; i++) {
      await page
        .locator('main button:enabled', { hasText: /^Pour \(sim/ })
        .or(patch)
        .first()
        .waitFor();
      if (await patch.count()) return;
      const lines = await page.getByRole('button', { name: /^Mislogged/ }).count();
      // Runs, drips, stops at its aim: then it can be logged. What stopped short is poured on, as a hand does.
      const isIn = page.locator('main button:disabled', { hasText: /^Pour \(sim/ });
      for (let press = 0; press < 4 && !(await isIn.count()); press++) {
        await pour.click({ timeout: 5_000 }).catch(() => null);
        await isIn.waitFor({ timeout: 10_000 }).catch(() => null);
      }
      await isIn.waitFor();
      const line = page.getByRole('button', { name: /^Mislogged/ }).nth(lines);
      const refusal = page.locator('main').getByRole('alert');
      const ready = page.locator('button:enabled', { hasText: /^Log \d/ });
      const answer = line.or(refusal);
      // A drip under the finger takes the press away: then it is pressed again.
      for (let press = 0; press < 6 && !(await answer.count()); press++) {
        await ready.click({ timeout: 20_000 });
        await answer.or(ready).first().waitFor();
      }
      await answer.first().waitFor();
      if (await refusal.count()) throw new Error(`The pour was refused: ${await refusal.first().innerText()}`);
    }
  }

  it('captures slate blue in a sheltered place of the photograph, and what light made of it outside', async () => {
    const { page } = test;
    const truth = await readTruth();
    await go('/jobs/sg-03/survey');
    await page.getByRole('link', { name: 'Colours' }).click();
    await page.getByText(/^Card found: 12 dots/).waitFor();
    for (const place of ['sheltered', 'exposed'] as const) {
      await page.getByRole('radio', { name: place }).check();
      await setLoupe(truth[place].at);
      await page.getByRole('region', { name: 'In hand' }).waitFor();
      await page.getByLabel('Where exactly').fill(place === 'sheltered' ? 'behind the flap' : 'side panel');
      await page.getByRole('button', { name: `Keep it as the ${place} colour` }).click();
      await page.getByRole('region', { name: 'Kept colours' }).getByText(place, { exact: true }).waitFor();
    }
    await page.getByText(/^The exposed place is .* it has faded/).waitFor();
    const { captures } = await ask<ColourView>('jobs/sg-03/colour');
    expect(captures.map((one) => [one.place, one.method, one.note])).deep.equal([
      ['sheltered', 'photo', 'behind the flap'],
      ['exposed', 'photo', 'side panel'],
    ]);
    for (const { place, lab } of captures) expect(computeDe00(lab, truth[place].lab)).lessThan(1.5);
    expect(await findHue(page, 'near swatches')).deep.equal([]);
  });

  it('takes the card’s corners by hand where it is covered or lies askew', async () => {
    const { page } = test;
    const { dots } = await readTruth();
    await page.getByRole('button', { name: 'Point at the card myself' }).click();
    for (const [i, dot] of dots.slice(0, 4).entries()) {
      await page.getByText(/next the/).waitFor();
      // Roughly: the dots are found from there.
      await setLoupe({ x: dot.x + (i % 2 ? 2 : -2), y: dot.y + 2 });
    }
    await page.getByText(/^Card found: 12 dots/).waitFor();
    // The other dots say where the card lies: a corner that was dragged off changes nothing.
    const corner = page.getByRole('button', { name: 'Point 1', exact: true });
    await corner.focus();
    for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowUp');
    await page.getByText(/^Card found: 12 dots/).waitFor();
    await page.reload();
    await page.getByText(/^Card found: 12 dots/).waitFor();
    await page.getByRole('button', { name: 'Drag the card’s corners' }).click();
    await page.getByRole('button', { name: 'Point 4', exact: true }).waitFor();
    await page.getByText(/^Card found: 12 dots/).waitFor();
  });

  it('reads with the instrument only when it has seen its white tile, and takes typed numbers', async () => {
    const { page } = test;
    await page.getByRole('radio', { name: 'sheltered' }).check();
    await page.getByRole('button', { name: 'Read the sheltered place' }).click();
    await page.getByText('It has not seen its white tile yet').waitFor();
    await page.getByRole('button', { name: 'Calibrate on the white tile' }).click();
    await page.getByRole('button', { name: 'Read the sheltered place' }).click();
    await page.getByText(/31 bands, Spectrophotometer \(simulated\)/).waitFor();
    await page.getByText('Type the numbers').click();
    await page.getByLabel('L*', { exact: true }).fill('140');
    expect(await page.getByRole('button', { name: 'Take these numbers' }).isDisabled()).equal(true);
    await page.getByLabel('L*', { exact: true }).fill('41,2');
    await page.getByLabel('a*', { exact: true }).fill('-3');
    await page.getByLabel('b*', { exact: true }).fill('−14');
    await page.getByRole('button', { name: 'Take these numbers' }).click();
    await page.getByText('L* 41.2 ± 0.5, a* −3.0 ± 0.5, b* −14.0 ± 0.5').waitFor();
  });

  it('finds recipes in whole doses while the page goes on, and shows nothing with a hue beside the swatches', async () => {
    const { page } = test;
    await page.getByRole('region', { name: 'Kept colours' }).getByRole('link', { name: 'Match it' }).first().click();
    await page.getByText(/Looking for recipes|Working through all mixes/).waitFor();
    // The solver works beside the page: typing is answered at once.
    await page.getByLabel('Needed, ml').fill('2.0');
    await page.getByText(/^Should come within 0\.\d dE00/).waitFor({ timeout: 30_000 });
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    await page.getByRole('button', { name: 'Switch to the lamp bench' }).click();
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    await page.getByRole('button', { name: 'Switch to the day bench' }).click();
    await page.getByLabel(/by a filament lamp/).check();
    expect(await page.getByRole('radiogroup', { name: 'Ways to it' }).getByRole('radio').count()).at.least(2);
    await page.getByText('Over each primer').waitFor();
    await page.getByText(/No number for .*Pearl white.*Signal orange/).waitFor();
    await choose(page.getByLabel('Dosed by'), 'drops');
    await page
      .getByText(/\d+ drops? \w/)
      .first()
      .waitFor({ timeout: 30_000 });
    await page.getByLabel('Needed, ml').fill('0');
    await page.getByText('How much is needed: 0.2 to 200 ml').waitFor();
    await page.getByLabel('Needed, ml').fill('2');
    await choose(page.getByLabel('Dosed by'), 'scales, 0.01 g');
    await page.getByText(/^Should come within/).waitFor({ timeout: 30_000 });
    expect(await findCutText(page)).deep.equal([]);
  });

  it('can be ended while it works, and begins again at the next wish', async () => {
    const { page } = test;
    await page.reload();
    await page.getByRole('button', { name: 'End it' }).click();
    await page.getByText('You ended the search').waitFor();
    await choose(page.getByLabel('At most'), '3 paints');
    await page.getByText(/^Should come within/).waitFor({ timeout: 30_000 });
  });

  it('leads through the mix with scales and instrument to within tolerance', async () => {
    const { page } = test;
    await page
      .getByText(/ml is enough nine times in ten .* for SG-03 body/)
      .first()
      .waitFor();
    await page.getByLabel('Needed, ml').fill('2');
    await page.getByText(/^Should come within/).waitFor({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Mix 2.00 ml of it' }).click();
    await page.getByText(/^First mix: 1\.3/).waitFor();
    await page.getByText('On 1.30 ml of the 2.00 ml needed').waitFor();
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    for (let patch = 0; patch < 4; patch++) {
      await pourRound(page);
      if (patch === 0) {
        await page.getByRole('button', { name: 'Calibrate on the white tile' }).click();
        await page.getByText(/^calibrated/).waitFor();
        await page.getByRole('button', { name: 'Read it while it is wet too' }).click();
        await page.getByText(/^Wet it is at L\*.*learned from 4 patches of M/).waitFor();
        // Whoever does not wait pours by what it should become.
        await page.getByText(/^As it should dry \d+\.\d dE00 off/).waitFor();
        await page.getByRole('region', { name: /^Pour / }).waitFor();
      }
      const lines = page.getByRole('button', { name: /^Mislogged/ });
      const before = await lines.count();
      await page.getByLabel('The patch is dry').check();
      await page.getByRole('button', { name: 'Measure it (simulated)' }).click();
      await lines.nth(before).waitFor();
      await page.getByRole('region', { name: 'Keep it' }).waitFor();
      // Until the solver has read the new line the answer before it stands there.
      await page.locator('section[aria-busy=false]', { hasText: /dE00/ }).first().waitFor();
      const there = page.getByText(/^It is there:/);
      if (await there.count()) break;
    }
    // What lies near the edge of the tolerance stays unsure, however often it is read: that is an end, too.
    await page.getByText(/^It (is|may be) there: 0\.\d dE00 off/).waitFor();
    const { mixes } = await ask<ColourView>('jobs/sg-03/colour');
    const state = replayMix(mixes[0]!.steps);
    expect(computeDe00(mixes[0]!.target, state.patches.at(-1)!.reading.lab)).lessThan(1);
    expect(state.totalMl).within(1.9, 2.3);
  });

  it('takes a mislogged pour out of the account and asks for the pot again', async () => {
    const { page } = test;
    await page
      .getByRole('button', { name: /^Mislogged: 0\.\d+ ml/ })
      .first()
      .click();
    await page.getByText('taken out').waitFor();
    const { mixes } = await ask<ColourView>('jobs/sg-03/colour');
    const { undone, totalMl } = replayMix(mixes[0]!.steps);
    expect(undone.size).equal(1);
    expect(totalMl).lessThan(2.2);
  });

  it('keeps it as a pot, plans it on the part, and it is there after a reload', async () => {
    const { page } = test;
    await page.getByLabel('Name of the pot').fill('Library slate');
    await page.getByRole('button', { name: 'Keep it as a pot' }).click();
    await page.getByText(/^Kept: \d\.\d\d ml of/).waitFor();
    await page.reload();
    await page.getByText(/^Kept: \d\.\d\d ml of/).waitFor();
    await page.getByRole('link', { name: 'What is planned for the parts' }).click();
    await page.getByText('Planned, the outermost on top').first().waitFor();
    const { specimens } = await ask<JobView>('jobs/sg-03');
    expect(
      specimens[0]!.layers.some((layer) => layer.stage === 'planned' && layer.name === 'Mixed here Library slate'),
    ).equal(true);
    await go('/shelf?q=library');
    await page.getByRole('button', { name: /^Library slate/ }).click();
    await page.getByText('Mixed here: from its recipe, with what the patches taught.').waitFor();
    expectNoFaults(page);
  });

  it('gives a restorer without an instrument as useful an answer, the whole frame grey while judging', async () => {
    const { page } = test;
    await go('/jobs/sg-03/colour/match');
    await page.getByLabel('Needed, ml').fill('2');
    await page.getByText(/^Should come within/).waitFor({ timeout: 30_000 });
    await choose(page.getByLabel('Dosed by'), 'drops');
    await page
      .getByText(/\d+ drops? \w/)
      .first()
      .waitFor({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Mix 2.00 ml of it' }).click();
    await page.getByText(/^First mix/).waitFor();
    const patch = page.getByLabel('The patch is dry');
    const log = page.getByRole('button', { name: /^Log \d+ drops?$/ });
    for (let i = 0; i < 8; i++) {
      await log.or(patch).first().waitFor();
      if (await patch.count()) break;
      const lines = await page.getByRole('button', { name: /^Mislogged/ }).count();
      await log.click();
      await page
        .getByRole('button', { name: /^Mislogged/ })
        .nth(lines)
        .waitFor();
    }
    await patch.check();
    await page.getByRole('button', { name: 'Judge it by eye' }).click();
    await page.getByText('Hold the dry patch to the old paint').waitFor();
    await page.getByRole('radio', { name: 'slightly darker' }).check();
    await page.getByLabel('How unsure').focus();
    await page.keyboard.press('ArrowRight');
    expect(await findHue(page, 'whole frame')).deep.equal([]);
    await page.getByRole('button', { name: 'Switch to the lamp bench' }).click();
    expect(await findHue(page, 'whole frame')).deep.equal([]);
    await page.getByRole('button', { name: 'Switch to the day bench' }).click();
    const logged = page.getByRole('button', { name: /^Mislogged/ });
    await page.getByRole('button', { name: 'That is how it looks' }).click();
    await page.getByRole('button', { name: /^Mislogged: patch .*by eye/ }).waitFor();
    await page.getByText(/dE00 off\. Add |^It may be there/).waitFor();
    expect(await findHue(page, 'near swatches')).deep.equal([]);
    const { mixes } = await ask<ColourView>('jobs/sg-03/colour');
    const { reading } = replayMix(mixes.at(-1)!.steps).patches[0]!;
    expect(reading.how).equal('by eye');
    expect(reading.words![0]).deep.equal({ step: 'slight', way: -1 });
    expect(reading.lab[0]).lessThan(mixes.at(-1)!.target[0]);
    // Seen clearly darker, and again: it is never called there, and what is added makes it lighter.
    for (let look = 0; look < 2; look++) {
      const before = await logged.count();
      const judge = page.getByRole('button', { name: 'Judge or measure it now' });
      await judge.or(patch).first().waitFor();
      if (await judge.count()) await judge.click();
      await patch.check();
      await page.getByRole('button', { name: 'Judge it by eye' }).click();
      await page.getByRole('radio', { name: 'clearly darker' }).check();
      await page.getByRole('button', { name: 'That is how it looks' }).click();
      await logged.nth(before).waitFor();
      await page
        .locator('section[aria-busy=false]', { hasText: /dE00 off\. Add |^Adding cannot/ })
        .first()
        .waitFor();
      expect(await page.getByText(/^It is there|^It may be there/).count()).equal(0);
    }
    // Another pot than was advised.
    await page.getByText('Pour from another pot', { exact: true }).first().click();
    const other = page.getByRole('region', { name: 'Pour from another pot' });
    const advised = await page
      .getByRole('region', { name: 'Pots of this mix' })
      .or(page.getByLabel('Pots of this mix'))
      .first()
      .innerText();
    await other.getByLabel('Which pot').click();
    // A pot of another binder stands there with its reason, and cannot be chosen.
    expect(await page.getByText(/these do not mix/).count()).at.least(1);
    const options = await page.getByRole('group', { name: 'Would do' }).getByRole('option').allInnerTexts();
    await page.keyboard.press('Escape');
    const names = options.map((one) => one.split('\n')[0]!);
    const unasked = names.find((one) => !advised.includes(one.replace(/ \(.*/, '').split(' ').slice(1).join(' ')))!;
    await choose(other.getByLabel('Which pot'), unasked);
    await other.getByLabel('Drops of it').fill('1');
    const lines = await logged.count();
    await other.getByRole('button', { name: /^Log 0\.\d+ ml of / }).click();
    await logged.nth(lines).waitFor();
    await page
      .locator('section[aria-busy=false]', { hasText: /ml in all|^Adding cannot/ })
      .first()
      .waitFor();
    const later = await ask<ColourView>('jobs/sg-03/colour');
    const poured = later.mixes.at(-1)!.steps.at(-1)!.body;
    expect(poured).deep.include({ kind: 'pour', source: 'counted' });
    // In the middle of a later round it is no first mix.
    expect(await page.getByText(/^First mix/).count()).equal(0);
    await page.getByRole('button', { name: 'Throw the mix away' }).click();
    await page.getByRole('button', { name: 'Throw it away' }).click();
    await page.getByText('Given up; its log stays.').waitFor();
    expectNoFaults(page);
  });
});
