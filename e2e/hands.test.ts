import { expect } from 'chai';
import type { CDPSession, Locator, Page } from 'playwright-core';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { openStation } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

const MOST_TABS = 250;
const STATIONS = ['Identify', 'Survey', 'Open', 'Strip & mend', 'Finish', 'Close', 'Sign off'] as const;

/** The same page by keyboard alone, by fingers alone, and by ear. */
describe('without a mouse', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });

  /** Goes there with Tab as somebody does who has no pointer; fails where Tab never comes. */
  async function tabTo(target: Locator): Promise<void> {
    const { page } = test;
    await target.first().waitFor();
    for (let i = 0; i < MOST_TABS; i++) {
      if (await target.evaluateAll((all) => all.includes(document.activeElement as HTMLElement))) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`Tab never comes to ${String(target)}`);
  }
  const press = (key: string) => test.page.keyboard.press(key, { delay: 60 });
  const focused = () => test.page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

  describe('by keyboard alone, through all seven stations', () => {
    before(async () => {
      const { page } = test;
      await page.goto(test.bench.address);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await press('Control+K');
      await page.getByRole('dialog').getByRole('combobox').waitFor();
      await page.keyboard.type('snowplough');
      await page
        .getByRole('option', { name: /SG-06 Snowplough/ })
        .first()
        .waitFor();
      await press('Enter');
      await page.getByRole('heading', { name: /SG-06 Snowplough/ }).waitFor();
    });
    // What is in hand stays in hand; the way back leads past every door.
    const open = async (at: number) => {
      await press(`Alt+${at + 1}`);
      await test.page.locator('[aria-current="step"]', { hasText: STATIONS[at]! }).waitFor();
    };

    it('asks another question at Identify', async () => {
      await open(0);
      const asked = test.page.getByRole('radiogroup', { name: 'Which question to settle first' });
      await tabTo(asked.getByRole('radio'));
      await press('ArrowRight');
      await asked.getByRole('radio', { name: 'When was it made?', checked: true }).waitFor();
    });

    it('takes another part in hand at Survey and writes a finding down', async () => {
      const { page } = test;
      await open(1);
      await tabTo(page.getByRole('listbox', { name: 'Part map' }).getByRole('option'));
      await press('ArrowRight');
      const name = (await page.getByRole('option', { selected: true }).getAttribute('data-part'))!.split('.')[1]!;
      const panel = page.getByRole('region', { name: /^Part: / });
      await panel.waitFor();
      expect((await panel.getAttribute('aria-label'))!.toLowerCase()).include(name.slice(0, 4));
      await tabTo(panel.getByLabel('Finding', { exact: true }));
      await press('Enter');
      const scuffed = page.getByRole('option', { name: 'scuffed' });
      await scuffed.waitFor();
      for (let i = 0; i < 30 && (await scuffed.getAttribute('data-highlighted')) === null; i++)
        await press('ArrowDown');
      await press('Enter');
      expect(await panel.getByLabel('Finding', { exact: true }).innerText()).equal('scuffed');
      await tabTo(panel.getByRole('button', { name: 'Add the finding' }));
      await press('Enter');
      await panel
        .getByRole('list', { name: /^Findings on/ })
        .getByText('Scuffed', { exact: true })
        .waitFor();
    });

    it('wishes a joint closed at Open, and takes the wish back', async () => {
      await open(2);
      const wish = test.page.getByRole('radiogroup', { name: /^What you want for the/ }).first();
      await tabTo(wish.getByRole('radio'));
      await press('ArrowDown');
      await wish.getByRole('radio', { name: 'open it', checked: true }).waitFor();
      await press('ArrowUp');
      await wish.getByRole('radio', { name: 'as planned', checked: true }).waitFor();
    });

    it('unfolds at Strip & mend what a part must never meet', async () => {
      await open(3);
      const never = test.page.getByRole('button', { name: /^Never:/ });
      await tabTo(never);
      expect(await never.getAttribute('aria-expanded')).equal('false');
      await press('Enter');
      expect(await never.getAttribute('aria-expanded')).equal('true');
    });

    it('plans a coat at Finish from the pots, and Esc gives the focus back', async () => {
      const { page } = test;
      await open(4);
      const pot = page.getByLabel(/^Plan a coat for the/).first();
      await tabTo(pot);
      await press('Enter');
      await page.getByPlaceholder('Type to find').waitFor();
      await page.keyboard.type('light grey primer');
      await page.getByRole('option', { name: /Light grey primer/ }).waitFor();
      await press('Escape');
      expect(await pot.evaluate((own) => own === document.activeElement)).equal(true);
      await press('Enter');
      await page.keyboard.type('light grey primer');
      await page.getByRole('option', { name: /Light grey primer/, selected: true }).waitFor();
      await press('Enter');
      expect(await pot.innerText()).match(/Light grey primer/);
    });

    it('reads at Close what waits for what', async () => {
      const { page } = test;
      await open(5);
      const line = page.locator('li[data-task] button[aria-expanded]').first();
      await tabTo(line);
      const was = await line.getAttribute('aria-expanded');
      await press('Enter');
      await page.waitForFunction(([key]) => document.activeElement?.getAttribute('aria-expanded') !== key, [
        was,
      ] as const);
    });

    it('reads the log at Sign off, row by row', async () => {
      const { page } = test;
      await open(6);
      const log = page.getByRole('button', { name: /entries in the log$/ });
      await tabTo(log);
      await press('Enter');
      await page.getByRole('table', { name: 'Log' }).waitFor();
      const who = page.getByRole('columnheader', { name: 'Who' });
      await tabTo(who.getByRole('button'));
      await press('Enter');
      expect(await who.getAttribute('aria-sort')).match(/ascending|descending/);
    });
  });

  describe('by fingers alone', () => {
    let page: Page;
    let hand: CDPSession;
    before(async () => {
      const context = await test.browser.newContext({
        viewport: { width: 820, height: 1100 },
        hasTouch: true,
        locale: 'en-GB',
      });
      await context.addInitScript(() => localStorage.setItem('sardonyx.who', 'Osric Bell'));
      page = await context.newPage();
      hand = await context.newCDPSession(page);
      await page.goto(`${test.bench.address}/jobs/sg-03/photos/sg-03.before-left`);
      await page.getByText('Point at one end.').waitFor();
    });
    after(() => page.context().close());

    const plane = () => page.locator('[data-plane]');
    const scaleOf = async () => Number(/scale\(([\d.]+)\)/.exec((await plane().getAttribute('transform'))!)![1]);
    const middle = async () => {
      const box = (await page.getByRole('application').boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    type Finger = { readonly x: number; readonly y: number };
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', fingers: readonly Finger[]) =>
      hand.send('Input.dispatchTouchEvent', { type, touchPoints: fingers.map((one, id) => ({ ...one, id })) });
    const draw = async (path: (t: number) => readonly Finger[]) => {
      await touch('touchStart', path(0));
      for (let t = 1; t <= 8; t++) await touch('touchMove', path(t / 8));
      await touch('touchEnd', []);
      // The library waits whether a second tap follows.
      await page.waitForTimeout(600);
    };

    it('two fingers apart come closer, together go back', async () => {
      const { x, y } = await middle();
      expect(await scaleOf()).equal(1);
      await draw((t) => [
        { x: x - 40 - 80 * t, y },
        { x: x + 40 + 80 * t, y },
      ]);
      expect(await scaleOf()).within(2.4, 3.6);
      await draw((t) => [
        { x: x - 120 + 60 * t, y },
        { x: x + 120 - 60 * t, y },
      ]);
      expect(await scaleOf()).within(1.2, 1.9);
    });

    it('one finger moves the picture and sets no point by it', async () => {
      const { x, y } = await middle();
      const before = await plane().getAttribute('transform');
      await draw((t) => [{ x: x - 50 * t, y: y - 20 * t }]);
      expect(await plane().getAttribute('transform')).not.equal(before);
      expect(await page.locator('[data-point]').count()).equal(0);
    });

    it('a tap sets a point where the finger was, and a finger moves it', async () => {
      const { x, y } = await middle();
      await page.touchscreen.tap(x, y);
      const point = page.getByRole('button', { name: 'Point 1', exact: true });
      await point.waitFor();
      const box = (await point.boundingBox())!;
      expect(Math.hypot(box.x + box.width / 2 - x, box.y + box.height / 2 - y)).below(25);
      const before = await point.getAttribute('transform');
      await draw((t) => [{ x: x + 60 * t, y: y + 30 * t }]);
      const moved = (await point.boundingBox())!;
      expect(moved.x - box.x).within(45, 75);
      expect(await point.getAttribute('transform')).not.equal(before);
      expect(await page.locator('[data-point]').count()).equal(1);
    });
  });

  describe('by ear', () => {
    it('says what lies on a part, from the metal outwards, with how thick it is', async () => {
      const { page } = test;
      await page.goto(`${test.bench.address}/jobs/sg-07/finish`);
      const band = page.getByRole('img', { name: /as found, from the metal outwards: / }).first();
      expect(await band.getAttribute('aria-label')).match(
        /^.+, outside, as found, from the metal outwards: zinc alloy, .+ \d+ µm/,
      );
    });

    it('names every part of the map with what it is of, its state and its marks', async () => {
      const { page } = test;
      await page.goto(`${test.bench.address}/jobs/sg-06/open`);
      const map = page.getByRole('listbox', { name: 'Part map' });
      await map.waitFor();
      const parts = map.getByRole('option');
      expect(await parts.count()).at.least(6);
      for (const one of await parts.all()) {
        expect((await one.textContent())!.trim()).match(/\w/);
        expect(await one.getAttribute('aria-description')).match(/^[a-z ]+, (sound|worn|damaged|missing|[a-z ]+)/);
      }
    });

    it('reads the date ruler as a sentence', async () => {
      const { page } = test;
      await openAt('/jobs/sg-01/identify', 'What speaks for and against');
      const ruler = page.getByRole('img', { name: /\d{4}.*\d{2} %/ }).first();
      expect(await ruler.getAttribute('aria-label')).match(/19\d\d.* to .*19\d\d/);
    });

    it('tells the clocks with the model they belong to, and what to press', async () => {
      const { page } = test;
      const shelf = page.getByRole('complementary', { name: 'Clock shelf' });
      await shelf.getByText('Trolley primer hardening').waitFor();
      expect(await shelf.getByRole('link', { name: 'SG-07' }).count()).at.least(1);
      await shelf.getByRole('button', { name: 'Stop the clock Trolley primer hardening' }).waitFor();
      // No sign is read out, and none stands without words.
      expect(await page.locator('svg.lucide:not([aria-hidden])').count()).equal(0);
    });

    it('leads past the frame to the work', async () => {
      const { page } = test;
      await page.goto(test.bench.address);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await press('Tab');
      await press('Enter');
      expect(await page.evaluate(() => document.activeElement?.id)).equal('work');
      expect(await focused()).equal('');
    });
  });

  async function openAt(path: string, ready: string): Promise<void> {
    await test.page.goto(test.bench.address + path);
    await test.page.getByText(ready).first().waitFor();
    await openStation(test.page, 'Identify');
  }
});
