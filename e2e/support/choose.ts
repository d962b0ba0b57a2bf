import type { Locator } from 'playwright-core';

/** Opens a list of the kit and chooses one of its lines; in a long one its first letters are typed. */
export async function choose(field: Locator, option: string | RegExp): Promise<void> {
  const page = field.page();
  await field.click();
  const list = page.locator('[data-radix-popper-content-wrapper]').getByRole('listbox');
  await list.waitFor();
  const name = typeof option === 'string' ? new RegExp(`^${escape(option)}(?:\\s|$)`) : option;
  const line = list.getByRole('option', { name }).first();
  const find = page.locator('[cmdk-input]');
  if (typeof option === 'string' && (await find.count())) await find.last().fill(option);
  await line.click();
  await list.waitFor({ state: 'detached' });
}

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
