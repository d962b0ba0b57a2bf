import { readdir, readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { findKitFaults } from '../e2e/support/kitStates.ts';
import { openBrowser, openWindow } from '../e2e/support/openBrowser.ts';
import { startBench, type RunningBench } from '../e2e/support/startBench.ts';
import { startKit } from '../e2e/support/startKit.ts';
import { VIEWS } from '../e2e/support/views.ts';
import { percentile, type Topic } from './figure.ts';

const SOURCE = resolve(import.meta.dirname, '../packages/web/src');
/** What the browser brings itself, for which the kit has a part. */
const NATIVE =
  /<(?:select|details|dialog|progress)\b|<input[^>]*type="(?:date|datetime-local|time|color|range|radio|checkbox)"/g;
/** The same as it stands on the page; Radix keeps hidden twins of its own parts in forms. */
const ON_PAGE =
  'select:not([aria-hidden]), details, input:is([type=date], [type=datetime-local], [type=time], [type=color], [type=range], [type=radio], [type=checkbox]):not([aria-hidden])';

async function countInSource(): Promise<number> {
  const files = (await readdir(SOURCE, { recursive: true })).filter((name) => name.endsWith('.tsx'));
  const texts = await Promise.all(files.map((name) => readFile(join(SOURCE, name), 'utf8')));
  return texts.reduce((sum, text) => sum + (text.match(NATIVE)?.length ?? 0), 0);
}

async function countOnPages(browser: Browser, bench: RunningBench): Promise<number> {
  const page = await openWindow(browser);
  let count = 0;
  for (const { path, ready, act } of VIEWS) {
    await page.goto(bench.address + path);
    await page.getByText(ready).first().waitFor();
    await act?.(page);
    count += await page.locator(ON_PAGE).count();
  }
  await page.context().close();
  return count;
}

/** Whoever takes less than this is not reported by the browser; such a key counts as this much. */
const LEAST_MS = 16;

interface TimedWindow {
  readonly took: number[];
}

/** From every key to the paint that shows it, by the browser's own Event Timing. */
async function timeKeys(page: Page, text: string): Promise<number[]> {
  await page.evaluate((least) => {
    const took: number[] = [];
    (window as unknown as { took: number[] }).took = took;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'keydown') took.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: least } as PerformanceObserverInit);
  }, LEAST_MS);
  for (const letter of text) await page.keyboard.press(letter === ' ' ? 'Space' : letter, { delay: 30 });
  await page.waitForTimeout(500);
  const slow = await page.evaluate(() => (window as unknown as TimedWindow).took);
  return [...slow, ...Array.from({ length: Math.max(0, text.length - slow.length) }, () => LEAST_MS)];
}

async function measureInput(browser: Browser, bench: RunningBench, kit: string): Promise<number> {
  const page = await openWindow(browser);
  const all: number[] = [];
  await page.goto(bench.address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.keyboard.press('Control+K');
  await page.getByPlaceholder('Model, casting, part, paint, drawer or act').waitFor();
  all.push(...(await timeKeys(page, 'mobile library slate blue')));
  await page.goto(`${bench.address}/put-on-bench`);
  await page.getByLabel('What do you call it?').focus();
  all.push(...(await timeKeys(page, 'a grain lorry of long ago')));
  await page.getByLabel('Why this one?').focus();
  all.push(...(await timeKeys(page, 'it stood in the attic')));
  // All that can be seen of it is settled with single keys; each answer weighs the whole again.
  await page.goto(`${bench.address}/jobs/sg-01/identify`);
  await page.getByText('What speaks for and against').waitFor();
  await page.getByRole('button', { name: /^Next look/ }).focus();
  all.push(...(await timeKeys(page, '1sn2ln1un2sn1sn')));
  await page.goto(`${kit}/kit`);
  await page.getByLabel('Pot of 500').click();
  await page.getByPlaceholder('Type to find').waitFor();
  all.push(...(await timeKeys(page, 'pot 123 nearly empty')));
  await page.context().close();
  return percentile(all, 0.95);
}

const SCROLL_MS = 4000;
const FRAME_MS = 1000 / 60;

/** Share of frames that were not drawn while the long table scrolls as fast as a finger throws it. */
async function measureFrames(browser: Browser, kit: string): Promise<number> {
  const page = await openWindow(browser);
  await page.goto(`${kit}/kit`);
  await page.getByRole('region', { name: 'Ten thousand wheels, rows' }).scrollIntoViewIfNeeded();
  const share = await page.evaluate(
    async ([lasts, frame]) => {
      const rows = document.querySelector<HTMLElement>('[aria-label="Ten thousand wheels, rows"]')!;
      const times: number[] = [];
      await new Promise<void>((done) => {
        const step = (now: number) => {
          times.push(now);
          rows.scrollTop += 60;
          if (now - times[0]! < lasts!) requestAnimationFrame(step);
          else done();
        };
        requestAnimationFrame(step);
      });
      const lost = times
        .slice(1)
        .reduce((sum, now, i) => sum + Math.max(0, Math.round((now - times[i]!) / frame!) - 1), 0);
      return lost / (times.length - 1 + lost);
    },
    [SCROLL_MS, FRAME_MS] as const,
  );
  await page.context().close();
  return share;
}

export const kitTopic: Topic = {
  names: ['web.nativeSelects', 'web.kitAxe', 'web.inputDelayMs', 'web.tableFrames'],
  measure: async () => {
    const [bench, kit, browser] = await Promise.all([startBench({ isDemo: true }), startKit(), openBrowser()]);
    try {
      return [
        {
          name: 'web.nativeSelects',
          value: (await countInSource()) + (await countOnPages(browser, bench)),
          unit: '',
          goal: { kind: 'at most', value: 0 },
          yardstick: `native select, details, date, colour, range, radio, checkbox: in the sources and on ${VIEWS.length} views`,
        },
        {
          name: 'web.kitAxe',
          value: (await findKitFaults(browser, kit.address, 'all')).length,
          unit: '',
          goal: { kind: 'at most', value: 0 },
          yardstick: 'violations of any weight over /kit, every state, both themes (axe-core, WCAG 2.2 AA)',
        },
        {
          name: 'web.inputDelayMs',
          value: await measureInput(browser, bench, kit.address),
          unit: 'ms',
          goal: { kind: 'at most', value: 50 },
          yardstick: 'p95 from key to paint: find, a form, Identify by keys, a chooser of 500 (Event Timing)',
        },
        {
          name: 'web.tableFrames',
          value: await measureFrames(browser, kit.address),
          unit: '',
          goal: { kind: 'at most', value: 0.05 },
          yardstick: 'share of frames dropped while 10,000 rows scroll, 60 a second wanted',
        },
      ];
    } finally {
      await browser.close();
      await Promise.all([bench.clear(), kit.close()]);
    }
  },
};
