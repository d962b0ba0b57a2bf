import sharp from 'sharp';
import { openBrowser, openWindow } from './support/openBrowser.ts';
import { startBench } from './support/startBench.ts';
import { VIEWS } from './support/views.ts';
const only = process.argv[2] ? new RegExp(process.argv[2]) : /./;
const bench = await startBench({ isDemo: true, now: '2026-11-25T18:30:00Z' });
const browser = await openBrowser();
const looks = [
  ['day', 1280, 800],
  ['lamp', 1280, 800],
  ['tablet', 820, 1100],
] as const;
const shots: Record<string, string[]> = {};
for (const [look, width, height] of looks) {
  const page = await openWindow(browser, { theme: look === 'lamp' ? 'lamp' : 'day', width, height });
  for (const { name, path, ready, act } of VIEWS) {
    if (!only.test(name)) continue;
    try {
      await page.goto(bench.address + path);
      await page.getByText(ready).first().waitFor({ timeout: 8000 });
      await act?.(page);
      await page.waitForTimeout(500);
      const file = `/tmp/look/v-${name.replace(/\W+/g, '_')}-${look}.png`;
      await page.screenshot({ path: file });
      (shots[look] ??= []).push(file);
    } catch (e) {
      console.log('FAIL', name, look, String(e).slice(0, 150));
    }
  }
}
await browser.close();
await bench.clear();
for (const look of Object.keys(shots)) {
  const files = shots[look]!;
  const w = look === 'tablet' ? 615 : 960,
    h = look === 'tablet' ? 825 : 600;
  const per = look === 'tablet' ? 3 : 4;
  const cols = look === 'tablet' ? 3 : 2;
  for (let i = 0; i < files.length; i += per) {
    const group = files.slice(i, i + per);
    const parts = await Promise.all(
      group.map(async (f, k) => ({
        input: await sharp(f).resize(w, h).toBuffer(),
        left: (k % cols) * w,
        top: Math.floor(k / cols) * h,
      })),
    );
    await sharp({ create: { width: w * cols, height: h * Math.ceil(per / cols), channels: 3, background: '#fff' } })
      .composite(parts)
      .png()
      .toFile(`/tmp/look/m-${look}-${i / per}.png`);
    console.log(`m-${look}-${i / per}`, group.map((f) => f.split('/').pop()).join(' '));
  }
}
