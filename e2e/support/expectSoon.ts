import { setTimeout as wait } from 'node:timers/promises';

/** What the server is told a moment after a press. */
export async function expectSoon(isSo: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if (await isSo()) return;
    await wait(100);
  }
  throw new Error('It did not come about.');
}
