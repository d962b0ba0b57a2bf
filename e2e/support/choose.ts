import type { Locator } from 'playwright-core';

const SOON_MS = 6000;

/** Opens a list of the kit and chooses one of its lines; in a long one its first letters are typed. */
export async function choose(field: Locator, option: string | RegExp): Promise<void> {
  try {
    await chooseOnce(field, option, SOON_MS);
  } catch {
    // A plan that comes meanwhile moves the field out of sight, and its list with it: put away, the list opens where it is now.
    await field.page().keyboard.press('Escape');
    await chooseOnce(field, option);
  }
}

async function chooseOnce(field: Locator, option: string | RegExp, timeout?: number): Promise<void> {
  const page = field.page();
  const within = timeout === undefined ? {} : { timeout };
  await field.click();
  const list = page.locator('[data-radix-popper-content-wrapper]').getByRole('listbox');
  await list.waitFor();
  const name = typeof option === 'string' ? new RegExp(`^${escape(option)}(?:\\s|$)`) : option;
  const line = list.getByRole('option', { name }).first();
  const find = page.locator('[cmdk-input]');
  if (typeof option === 'string' && (await find.count())) await find.last().fill(option);
  await line.click(within);
  await list.waitFor({ state: 'detached' });
}

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
