import { readdir, readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { openBrowser, openWindow } from '../e2e/support/openBrowser.ts';
import { startBench } from '../e2e/support/startBench.ts';
import { median, type Topic } from './figure.ts';

const DIST = resolve(import.meta.dirname, '../packages/web/dist');
const LOADS = 15;

/** gzip size of every script that the first page asks for by itself. */
async function measureInitialJs(): Promise<number> {
  const html = await readFile(join(DIST, 'index.html'), 'utf8');
  const entry = /src="\/(assets\/[^"]+\.js)"/.exec(html)![1]!;
  const wanted = new Set([
    entry,
    ...[...html.matchAll(/modulepreload"[^>]+href="\/(assets\/[^"]+\.js)"/g)].map((match) => match[1]!),
  ]);
  const known = new Set((await readdir(join(DIST, 'assets'))).map((name) => `assets/${name}`));
  for (const file of wanted) {
    const code = await readFile(join(DIST, file), 'utf8');
    for (const match of code.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g))
      if (known.has(`assets/${match[1]}`)) wanted.add(`assets/${match[1]}`);
  }
  let bytes = 0;
  for (const file of wanted) bytes += gzipSync(await readFile(join(DIST, file))).length;
  return bytes / 1024;
}

/** From the start of the navigation, with an empty cache, until the bench's verdict is painted: by the page's own clock. */
async function measureFirstView(): Promise<number> {
  const bench = await startBench({ isDemo: true });
  const browser = await openBrowser();
  const times: number[] = [];
  for (let i = 0; i < LOADS; i++) {
    const page = await openWindow(browser);
    await page.addInitScript(() => {
      const marks = window as unknown as { usableMs?: number };
      const watch = new MutationObserver(() => {
        if (!document.querySelector('main h1')) return;
        watch.disconnect();
        requestAnimationFrame(() => requestAnimationFrame(() => (marks.usableMs = performance.now())));
      });
      watch.observe(document, { childList: true, subtree: true });
    });
    await page.goto(bench.address);
    await page.waitForFunction(() => (window as unknown as { usableMs?: number }).usableMs !== undefined);
    times.push(await page.evaluate(() => (window as unknown as { usableMs: number }).usableMs));
    await page.context().close();
  }
  await browser.close();
  await bench.clear();
  return median(times);
}

export const web: Topic = {
  names: ['web.firstViewMs', 'web.initialJsGzipKb'],
  measure: async () => [
    {
      name: 'web.firstViewMs',
      value: await measureFirstView(),
      unit: 'ms',
      goal: { kind: 'at most', value: 1000 },
      yardstick: `median of ${LOADS} loads of the built page from loopback, empty cache, until the bench can be read and used`,
    },
    {
      name: 'web.initialJsGzipKb',
      value: await measureInitialJs(),
      unit: 'kB',
      goal: { kind: 'at most', value: 230 },
      yardstick: 'gzip of all scripts that the first view asks for',
    },
  ],
};
