import type { PhoneDoorView } from '@sardonyx/contract';
import type { Browser, Page } from 'playwright-core';
import { openWindow, type WindowOptions } from './openBrowser.ts';

/** Opens the door from the sheet that is shown, and waits for the way in. */
export async function openDoor(page: Page, bench: string): Promise<PhoneDoorView> {
  await page.getByRole('button', { name: 'Open the door' }).click();
  await page.getByText('No phone is in yet.').waitFor();
  return (await (await fetch(`${bench}/api/phone`)).json()) as PhoneDoorView;
}

/** A browser on this machine: a phone would come by the address in the house. */
export const addressOf = (door: PhoneDoorView): string => door.addresses[0]!.replace(/\/\/[^:]+/, '//127.0.0.1');

/** A phone that comes in as the picture on the screen leads it: the number comes along. */
export async function comeIn(
  browser: Browser,
  door: PhoneDoorView,
  who: string,
  window: WindowOptions = {},
): Promise<Page & { faults: string[] }> {
  const phone = await openWindow(browser, { width: 390, height: 844, ...window });
  await phone.goto(`${addressOf(door)}#${door.pin}`);
  await phone.getByLabel('Whose phone is this?').fill(who);
  await phone.getByRole('button', { name: 'Come in' }).click();
  await phone.getByText('On the bench').waitFor();
  return phone;
}
