import { chromium, type Browser, type Page } from 'playwright-core';

/** Debian's Chromium, which may not look anything up outside this machine. */
export function openBrowser(): Promise<Browser> {
  return chromium.launch({
    executablePath: process.env.SARDONYX_CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

export interface WindowOptions {
  readonly theme?: 'day' | 'lamp';
  readonly width?: number;
  readonly height?: number;
  readonly who?: string;
}

/** A fresh window of its own profile. Faults of the page fail whoever reads `faults` at the end. */
export async function openWindow(
  browser: Browser,
  { theme = 'day', width = 1280, height = 800, who = 'Osric Bell' }: WindowOptions = {},
): Promise<Page & { faults: string[] }> {
  const context = await browser.newContext({
    viewport: { width, height },
    locale: 'en-GB',
    timezoneId: 'UTC',
    reducedMotion: 'reduce',
    acceptDownloads: true,
  });
  await context.addInitScript(
    ([kept, name]) => {
      localStorage.setItem('sardonyx.theme', localStorage.getItem('sardonyx.theme') ?? kept!);
      localStorage.setItem('sardonyx.who', name!);
    },
    [theme, who] as const,
  );
  // The test runner's compiler names functions with a helper that the page does not have.
  await context.addInitScript({ content: 'globalThis.__name = (value) => value' });
  const page = (await context.newPage()) as Page & { faults: string[] };
  page.faults = [];
  page.on('pageerror', (error) => page.faults.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) page.faults.push(message.text());
  });
  // How quick things are is the bench's business: here a wait only ends when nothing comes any more.
  page.setDefaultTimeout(25_000);
  return page;
}
