import type { CastingView } from '@sardonyx/contract';
import type { Page } from 'playwright-core';
import { openBrowser, openWindow } from '../e2e/support/openBrowser.ts';
import { startBench } from '../e2e/support/startBench.ts';
import type { Topic } from './figure.ts';

/** A hand that counts what it does: a press, a key, or a field filled is one act. */
class Hand {
  acts = 0;
  constructor(readonly page: Page) {}

  async press(role: 'button' | 'link' | 'option', name: string | RegExp): Promise<void> {
    this.acts++;
    await this.page
      .getByRole(role, { name, exact: typeof name === 'string' })
      .first()
      .click();
  }

  async fill(label: string, text: string): Promise<void> {
    this.acts++;
    await this.page.getByLabel(label, { exact: true }).first().fill(text);
  }

  /** Opens a list and takes one of it. */
  async choose(label: string, option: string): Promise<void> {
    this.acts++;
    await this.page.getByLabel(label, { exact: true }).first().click();
    await this.press('option', option);
  }
}

const ISSUES = [
  ['First', '1958-60', 'Pale green', 'Cast metal', 'Bare', 'None'],
  ['Second', 'about 1962', 'Dark green', 'Grey plastic', 'Black', 'Clear'],
  ['Late', 'spring 1965 on', 'Red', 'Black plastic', 'Plated', 'Tinted'],
] as const;
const ROWS = ['Body colour', 'Wheels', 'Finish of the base', 'Glazing'] as const;

/** From the first screen of an empty bench: nine parts, six joints, four features, three issues, every cell typed. */
async function enterCasting(hand: Hand): Promise<void> {
  await hand.press('button', 'My bench');
  await hand.press('link', /^Catalogue/);
  await hand.press('link', 'Add a casting of your own');
  await hand.press('button', /^Two posts/);
  await hand.fill('Name', 'Attic Lorry');
  await hand.fill('Number', '7/1');
  await hand.choose('Kind of vehicle', 'lorry');
  await hand.fill('Length, mm', '92');
  await hand.fill('Wheelbase, mm', '51');
  await hand.press('button', 'Add a part');
  for (const name of ['Crate', 'Churns']) {
    await hand.choose('It looks like', 'load');
    await hand.fill('It is called', name);
    await hand.choose('It is held by the', 'nothing: it lies loose');
    await hand.press('button', 'Add it');
  }
  await hand.press('button', 'Add it to the catalogue');
  await hand.press('button', 'Edit what is known');
  for (const row of ROWS) await hand.press('button', `Add ${row.toLowerCase()}`);
  for (const [i, [name, years, ...cells]] of ISSUES.entries()) {
    if (i > 0) await hand.press('button', 'Add an issue');
    await hand.fill(`Issue, issue ${i + 1}`, name);
    await hand.fill(`Years, ${name}`, years);
    for (const [r, cell] of cells.entries()) await hand.fill(`${ROWS[r]}, ${name}`, cell);
  }
  await hand.press('button', 'Save the sheet');
  await hand.page.getByText('Saved.', { exact: true }).waitFor();
}

async function countActs(): Promise<number> {
  const bench = await startBench({ isDemo: false });
  const browser = await openBrowser();
  try {
    const page = await openWindow(browser);
    await page.goto(bench.address);
    const hand = new Hand(page);
    await enterCasting(hand);
    const id = page.url().split('/').pop()!;
    const { parts, joints, features, variants, variantStates } = (await (
      await fetch(`${bench.address}/api/castings/${id}`)
    ).json()) as CastingView;
    const made = [parts, joints, features, variants, variantStates].map((rows) => rows.length).join(' ');
    // Acts that did not bring about what they were for count for nothing.
    return made === '9 6 4 3 12' ? hand.acts : Infinity;
  } finally {
    await browser.close();
    await bench.clear();
  }
}

export const actsTopic: Topic = {
  names: ['catalogue.actsToEnter'],
  measure: async () => [
    {
      name: 'catalogue.actsToEnter',
      value: await countActs(),
      unit: 'acts',
      goal: { kind: 'at most', value: 60 },
      yardstick:
        'presses and filled fields on an empty bench to a casting of 9 parts, 6 joints, 4 features and 3 issues, every cell typed, nothing pasted',
    },
  ],
};
