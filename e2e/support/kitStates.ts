import type { Browser, Page } from 'playwright-core';
import { openWindow } from './openBrowser.ts';
import { runAxe } from './runAxe.ts';

/** What can be opened on the page of the kit, and how to open it. */
const STATES: readonly (readonly [state: string, open: (page: Page) => Promise<void>])[] = [
  ['as it stands', async () => undefined],
  ['a list', (page) => page.getByLabel('Nothing chosen yet').click()],
  ['a chooser', (page) => page.getByLabel('Pot of 500').click()],
  ['an empty chooser', (page) => page.getByLabel('None there, refused').click()],
  ['a month', (page) => page.getByRole('button', { name: 'Choose the day in a month' }).first().click()],
  [
    'rails of a colour',
    (page) =>
      page
        .getByRole('button', { name: /^Set the colour/ })
        .first()
        .click(),
  ],
  ['a menu', (page) => page.getByRole('button', { name: 'More' }).click()],
  ['a context menu', (page) => page.getByText('Press me with the other').click({ button: 'right' })],
  ['a tooltip', (page) => page.getByRole('button', { name: 'Hover or focus' }).hover()],
  ['a sheet', (page) => page.getByRole('button', { name: 'Open a sheet' }).click()],
  ['a question', (page) => page.getByRole('button', { name: 'Throw the mix away' }).click()],
  ['news', (page) => page.getByRole('button', { name: 'Say something' }).click()],
  ['the twin of a chart', (page) => page.getByRole('button', { name: 'The same as a table' }).click()],
  ['columns of a table', (page) => page.getByRole('button', { name: 'Columns' }).first().click()],
];

/** What axe-core finds on the kit, of any weight: in every state and both themes, or in every state by turns in one of them. */
export async function findKitFaults(browser: Browser, address: string, which: 'all' | 'by turns'): Promise<string[]> {
  const found = await Promise.all(
    (['day', 'lamp'] as const).map((theme, turn) => {
      const states = STATES.filter((_, i) => which === 'all' || i === 0 || i % 2 === turn);
      return findIn(theme, states, browser, address);
    }),
  );
  return found.flat();
}

async function findIn(
  theme: 'day' | 'lamp',
  states: typeof STATES,
  browser: Browser,
  address: string,
): Promise<string[]> {
  const page = await openWindow(browser, { theme });
  const faults: string[] = [];
  for (const [state, open] of states) {
    await page.goto(`${address}/kit`);
    await page.getByRole('heading', { name: 'The kit' }).waitFor();
    await open(page);
    // What opens comes a moment later; a tooltip waits on purpose.
    await page.waitForTimeout(600);
    for (const fault of await runAxe(page, 'any')) faults.push(`${theme}, ${state}: ${fault}`);
  }
  await page.context().close();
  return faults;
}
