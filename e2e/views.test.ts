import { expect } from 'chai';
import type { Browser, Page } from 'playwright-core';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { openBrowser, openWindow } from './support/openBrowser.ts';
import { runAxe } from './support/runAxe.ts';
import { expectNoFaults, findCutText } from './support/restorer.ts';
import { startBench, type RunningBench } from './support/startBench.ts';
import { VIEWS } from './support/views.ts';

describe('every view', function () {
  this.timeout(60_000);
  let bench: RunningBench;
  let browser: Browser;
  const windows = new Map<string, Page & { faults: string[] }>();
  before(async () => {
    bench = await startBench({ isDemo: true, now: DEMO_NOW });
    browser = await openBrowser();
    windows.set('day at 1280', await openWindow(browser));
    windows.set('lamp at 1280', await openWindow(browser, { theme: 'lamp' }));
    windows.set('day at 820', await openWindow(browser, { width: 820, height: 1100 }));
  });
  after(async () => {
    await browser.close();
    await bench.clear();
  });

  for (const { name, path, ready, act } of VIEWS) {
    for (const look of ['day at 1280', 'lamp at 1280', 'day at 820']) {
      it(`${name}, ${look}: nothing cut or overlapping, no serious fault for those who cannot see or point`, async () => {
        const page = windows.get(look)!;
        await page.goto(bench.address + path);
        await page.getByText(ready).first().waitFor();
        await act?.(page);
        expect(await findCutText(page)).deep.equal([]);
        // Codes of rules, needs and schools are ours.
        expect(await page.locator('body').innerText()).not.match(/\b[OSN]\d{1,2}\b/);
        if (look === 'day at 820') return;
        expect(await runAxe(page, 'serious')).deep.equal([]);
      });
    }
  }

  it('draws the chrome in true greys: no hue but the one accent', async () => {
    for (const look of ['day at 1280', 'lamp at 1280']) {
      const page = windows.get(look)!;
      const tinted = await page.evaluate(() => {
        const style = getComputedStyle(document.documentElement);
        const names = ['--bench', '--sheet', '--sunk', '--paper', '--hairline', '--strong-line', '--ink', '--soft-ink'];
        return names.filter((name) => {
          const hex = style.getPropertyValue(name).trim();
          return !(hex.slice(1, 3) === hex.slice(3, 5) && hex.slice(3, 5) === hex.slice(5, 7));
        });
      });
      expect(tinted, look).deep.equal([]);
    }
  });

  it('runs without a fault on the page', () => {
    for (const page of windows.values()) expectNoFaults(page);
  });
});
