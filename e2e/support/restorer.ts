import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import sharp from 'sharp';
import { choose } from './choose.ts';
import { benchOf } from './startBench.ts';

/** What a restorer does with hands on the page, in words. */

/** Keeps a held button down, by keyboard, until it has acted; a slow machine is waited for. */
export async function hold(button: Locator): Promise<void> {
  const page = button.page();
  // Once it has acted the button may be gone: then it is not held any more.
  const isHeld = () =>
    button.innerText({ timeout: 300 }).then(
      (text) => text.includes('Keep holding'),
      () => false,
    );
  await button.focus();
  const began = Date.now();
  await page.keyboard.down('Space');
  await page.waitForTimeout(1600);
  while ((await isHeld()) && Date.now() - began < 25_000) await page.waitForTimeout(50);
  await page.keyboard.up('Space');
}

/** The same with the pointer. */
export async function holdWithPointer(button: Locator): Promise<void> {
  await button.scrollIntoViewIfNeeded();
  const box = (await button.boundingBox())!;
  const { mouse } = button.page();
  await mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await mouse.down();
  await button.page().waitForTimeout(2500);
  await mouse.up();
}

/** Waits until the worker has weighed what was seen last. */
export const isWeighed = (page: Page) => page.locator('[aria-busy="false"]').waitFor();

export const taskLine = (page: Page, key: string) => page.locator(`li[data-task="${key}"]`);

/** Goes to a station by its door. */
export async function openStation(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(name) })
    .click();
  await page.locator('[aria-current="step"]', { hasText: name }).waitFor();
}

/** Does every task of the open station that may be done, held ones held, until none is left. Returns their keys in order. */
export async function workThrough(
  page: Page,
  besides: (key: string) => Promise<void> = async () => undefined,
): Promise<string[]> {
  const done: string[] = [];
  for (;;) {
    const line = page
      .locator('li[data-task]:has(button[aria-expanded="true"]):is([data-state="to do"], [data-state="doing"])')
      .first();
    if (await lookAgain(page)) continue;
    if ((await line.count()) === 0) return done;
    const key = (await line.getAttribute('data-task'))!;
    const line0 = taskLine(page, key);
    await besides(key);
    // What was put right may have left the plan.
    if (!(await line0.count())) continue;
    if (await logCoats(line0, key)) {
      done.push(key);
      continue;
    }
    if (await line0.getByLabel('Length over both heads, mm').count()) {
      await line0.getByLabel('Length over both heads, mm').fill('31.2');
      await line0.getByLabel('Diameter, mm').fill('1,6');
      await line0.getByLabel('Over the wheels, outside, mm').fill('27.2');
    }
    const held = taskLine(page, key).getByRole('button', { name: /^Start: / });
    if (await held.count()) {
      await begin(page, key);
    }
    await taskLine(page, key).getByRole('button', { name: 'Done', exact: true }).click();
    const isDone = page.locator(`li[data-task="${key}"][data-state="done"]`);
    if (key === 'capture-colour') await keepFlakesInstead(page, key);
    await isDone.waitFor({ state: 'attached' });
    done.push(key);
  }
}

/** Time passes: the page reads the clock anew. */
export async function passTime(page: Page, minutes: number): Promise<void> {
  benchOf(page.url()).pass(minutes);
  await page.reload();
  await page.locator('li[data-task]').first().waitFor({ state: 'attached' });
}

/** What still sets is looked at, a coat is waited for. True when that was the case. */
async function lookAgain(page: Page): Promise<boolean> {
  const waiting = page.locator('li[data-task]', { hasText: /needs time until|lifts under another/ }).first();
  if (!(await waiting.count())) return false;
  const key = (await waiting.getAttribute('data-task'))!;
  const line = taskLine(page, key);
  const look = line.getByRole('button', { name: /^I have looked/ }).first();
  if (!(await look.count())) await line.locator('button[aria-expanded]').first().click();
  const coat = line.getByText(/by its sheet, the room and what was touched/);
  await look.or(coat).first().waitFor();
  if (await coat.count()) {
    await passTime(page, 12 * 60);
    return true;
  }
  const group = line.getByRole('group', { name: /^Wait: / }).first();
  const name = (await group.getAttribute('aria-label'))!;
  await look.click();
  await line.getByRole('group', { name, exact: true }).waitFor({ state: 'detached' });
  return true;
}

/** A step of painting ends with its coats, each with the pot that is planned for it. False for every other step. */
export async function logCoats(line: Locator, key: string): Promise<boolean> {
  const page = line.page();
  const isDone = page.locator(`li[data-task="${key}"][data-state="done"]`);
  const button = line.getByRole('button', { name: 'Log the coat' });
  // The form comes when the shelf is read.
  if (await line.getByText(/It is done when the coat is logged|done when its coats are logged/).count())
    await button.or(isDone).first().waitFor({ state: 'attached' });
  if (!(await button.count())) return false;
  for (let coats = 0; coats < 6; coats++) {
    const form = line.getByRole('form', { name: /^Log a coat on/ });
    const pot = form.getByLabel('Pot');
    if ((await pot.getAttribute('data-value')) === '') await choose(pot, 'Lanthorn Clear gloss (clear)');
    const held = form.getByRole('alert');
    // What the page reads after it shows whether another coat is to be logged.
    const reread = page
      .waitForResponse((response) => response.url().endsWith('/api/coats') && response.ok())
      .then(() => page.waitForResponse((response) => /\/api\/jobs\/[^/]+$/.test(response.url()) && response.ok()));
    await button.click();
    await Promise.race([
      reread.catch(() => undefined),
      held
        .first()
        .waitFor()
        .catch(() => undefined),
    ]);
    if (await held.count()) {
      const text = await held.first().innerText();
      if (text.includes('being aired')) await airTheRoom(page);
      else if (text.includes('still holds')) {
        await hold(line.getByRole('button', { name: /^Start: / }));
        await getGoing(page, key);
      } else if (/ more\.?$|lifts under another|takes another coat/.test(text)) {
        await passTime(page, 8 * 60);
        // The page was read anew: the line is folded.
        if (!(await button.count())) await line.locator('button[aria-expanded]').first().click();
        await button.waitFor();
      } else throw new Error(`The coat of ${key} was held back: ${text}`);
      continue;
    }
    await page.waitForTimeout(400);
    if (await isDone.count()) return true;
    if (!(await button.count())) break;
  }
  await isDone.waitFor({ state: 'attached' });
  return true;
}

/** Holds a step's start, and puts right what holds it back. */
export async function begin(page: Page, key: string): Promise<void> {
  const line = taskLine(page, key);
  const start = line.getByRole('button', { name: /^Start: / });
  const answer = page.locator(`li[data-task="${key}"][data-state="doing"]`).or(line.getByRole('alert')).first();
  // What is drawn anew under the finger takes the press away: then it is held again.
  for (let press = 0; press < 3 && !(await answer.count()); press++) {
    await hold(start);
    await answer.waitFor({ timeout: 8_000 }).catch(() => null);
  }
  await getGoing(page, key);
}

/** A step that was held back is put right as the page offers it: a reason, a clean gun, an aired room, somebody who stays. */
async function getGoing(page: Page, key: string): Promise<void> {
  const line = taskLine(page, key);
  const begun = page.locator(`li[data-task="${key}"][data-state="doing"]`);
  const held = line.getByRole('alert');
  await begun.or(held).first().waitFor();
  if (!(await held.count())) return;
  const text = await held.first().innerText();
  if (text.includes('Stop before you strip')) {
    // A model that may be worth more as it is goes on with a reason only.
    await line.getByLabel('Why it goes on').fill('The owner wants it on the road again.');
    await hold(line.getByRole('button', { name: /^Go on all the same/ }));
  } else if (text.includes('still holds')) await line.getByRole('button', { name: /^The gun is clean now/ }).click();
  else if (text.includes('never left alone')) await hold(line.getByRole('button', { name: /^I stay with it/ }));
  else if (text.includes('being aired')) {
    await page
      .getByRole('button', { name: /^Stop the clock .*/ })
      .first()
      .waitFor();
    await airTheRoom(page);
    await hold(line.getByRole('button', { name: /^Start: / }));
  } else throw new Error(`${key} was held back: ${text}`);
  await begun.waitFor();
}

/** A colour that nobody captured is asked for; the flakes in their bag are the reason to go on. */
async function keepFlakesInstead(page: Page, key: string): Promise<void> {
  const without = taskLine(page, key).getByLabel('Or why none is kept');
  await without
    .or(page.locator(`li[data-task="${key}"][data-state="done"]`))
    .first()
    .waitFor({ state: 'attached' });
  if (!(await without.count())) return;
  await without.fill('Flakes kept in a labelled bag.');
  await taskLine(page, key).getByRole('button', { name: 'Go on without' }).click();
}

/** Says on the clock shelf that the room is aired. */
async function airTheRoom(page: Page): Promise<void> {
  const clock = page.locator('aside span', { hasText: 'Airing the room' }).first();
  await clock.getByRole('button', { name: /^Stop/ }).click();
  await page.getByRole('button', { name: 'It is aired' }).click();
  await page.getByText('Airing the room').first().waitFor({ state: 'detached' });
}

/** A picture file as a camera would give it. */
export async function makePhoto(
  name: string,
  colour = '#b98a35',
): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const buffer = await sharp({ create: { width: 320, height: 200, channels: 3, background: colour } })
    .jpeg()
    .toBuffer();
  return { name, mimeType: 'image/jpeg', buffer };
}

/** Text that is cut by its box, or boxes of text that lie over each other, named by what they say. */
export function findCutText(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const isVisible = (element: Element) =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
    for (const element of document.querySelectorAll<HTMLElement>('body *')) {
      if (!isVisible(element) || element.closest('svg, .sr-only, select, option, [aria-hidden="true"]')) continue;
      const style = getComputedStyle(element);
      const clips = style.overflowX === 'hidden' || style.overflowX === 'clip' || style.textOverflow === 'ellipsis';
      if (clips && element.clientWidth > 1 && element.scrollWidth > element.clientWidth + 1 && element.innerText.trim())
        faults.push(`cut: ${element.innerText.slice(0, 60)}`);
    }
    if (document.documentElement.scrollWidth > window.innerWidth + 1)
      faults.push(`page is ${document.documentElement.scrollWidth} wide`);
    const main = document.querySelector('main')!;
    if (main.scrollWidth > main.clientWidth + 1)
      faults.push(`the work is ${main.scrollWidth} wide in ${main.clientWidth}`);
    // What a frame that scrolls keeps out of sight lies over nothing.
    const frameOf = (element: Element) => {
      const seen = { top: -Infinity, bottom: Infinity };
      for (let frame = element.parentElement; frame && frame !== main; frame = frame.parentElement) {
        if (getComputedStyle(frame).overflowY === 'visible') continue;
        const { top, bottom } = frame.getBoundingClientRect();
        seen.top = Math.max(seen.top, top);
        seen.bottom = Math.min(seen.bottom, bottom);
      }
      return seen;
    };
    // Leaves of text must not lie over each other.
    const leaves = [
      ...main.querySelectorAll<HTMLElement>('p, span, button, a, label, h1, h2, h3, th, td, li, dt, dd, strong'),
    ].filter(
      (element) =>
        isVisible(element) &&
        element.children.length === 0 &&
        element.innerText.trim() &&
        !element.closest('svg, .sr-only, [aria-hidden="true"]'),
    );
    // Line by line: an inline text that wraps has a box that covers its neighbours.
    const lines = leaves.flatMap((element) => {
      const frame = frameOf(element);
      return [...element.getClientRects()].map(({ left, right, top, bottom }) => ({
        element,
        box: { left, right, top: Math.max(top, frame.top), bottom: Math.min(bottom, frame.bottom) },
      }));
    });
    lines.forEach((a, i) => {
      for (const b of lines.slice(i + 1)) {
        if (a.element === b.element) continue;
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        if (wide > 3 && high > 3)
          faults.push(`over each other: ${a.element.innerText.slice(0, 40)} | ${b.element.innerText.slice(0, 40)}`);
      }
    });
    return faults;
  });
}

export function expectNoFaults(page: Page & { faults?: string[] }): void {
  expect(page.faults ?? []).deep.equal([]);
}
