import type { Browser, Page } from 'playwright-core';
import { openBrowser, openWindow, type WindowOptions } from './openBrowser.ts';
import { startBench, type BenchOptions, type RunningBench } from './startBench.ts';

export interface BenchInTest {
  bench: RunningBench;
  browser: Browser;
  page: Page & { faults: string[] };
  /** Ends the server and starts it again on the same folder and port. */
  restart(now?: string): Promise<void>;
}

/** A running bench with a window on it, for the tests of a describe block; cleared afterwards. */
export function useBench(options: BenchOptions, window: WindowOptions = {}): BenchInTest {
  const test = {} as BenchInTest;
  test.restart = async (now) => {
    await test.bench.stop();
    test.bench = await startBench({ ...options, again: test.bench, ...(now ? { now } : {}) });
  };
  before(async () => {
    test.bench = await startBench(options);
    test.browser = await openBrowser();
    test.page = await openWindow(test.browser, window);
  });
  afterEach(async function () {
    // What the page said instead of what was waited for: a test that fails now and then is known by nothing else.
    if (this.currentTest?.state === 'failed') console.log(`    the page says: ${await readSaid(test.page)}`);
  });
  after(async () => {
    await test.browser.close();
    await test.bench.clear();
  });
  return test;
}

const readSaid = async (page: Page): Promise<string> => {
  const said = await page.locator('[role="alert"], [role="status"], [aria-invalid="true"]').allInnerTexts();
  return `${page.url()} ${said.join(' | ')}`;
};
