/** `npm run screenshots`: a picture of every main view from the demo data, in docs/screenshots. */
import { join, resolve } from 'node:path';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { comeIn, openDoor } from './support/letPhoneIn.ts';
import { openBrowser, openWindow } from './support/openBrowser.ts';
import { startBench } from './support/startBench.ts';
import { VIEWS } from './support/views.ts';

const FOLDER = resolve(import.meta.dirname, '../docs/screenshots');
/** One picture shows the other theme. */
const LAMP = new Set(['strip']);

const bench = await startBench({ isDemo: true, now: DEMO_NOW });
const browser = await openBrowser();
for (const { picture, path, ready, act } of VIEWS) {
  if (!picture) continue;
  const page = await openWindow(browser, { theme: LAMP.has(picture) ? 'lamp' : 'day' });
  await page.goto(bench.address + path);
  await page.getByText(ready).first().waitFor();
  await act?.(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(FOLDER, `${picture}.png`) });
  await page.context().close();
  console.log(`docs/screenshots/${picture}.png`);
}
await showPhone();
await browser.close();
await bench.clear();

/** What a phone shows of the step in hand. */
async function showPhone(): Promise<void> {
  const page = await openWindow(browser);
  await page.goto(`${bench.address}/jobs/sg-04/survey`);
  await page.getByRole('button', { name: 'Let a phone in' }).first().click();
  const phone = await comeIn(browser, await openDoor(page, bench.address), 'Imke Varga');
  await phone.getByRole('button', { name: 'It is done' }).waitFor();
  await phone.screenshot({ path: join(FOLDER, 'phone.png') });
  console.log('docs/screenshots/phone.png');
}
