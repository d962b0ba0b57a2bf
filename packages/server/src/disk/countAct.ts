import type { EntityManager } from 'typeorm';
import { CountedActRow } from '../entities/act.ts';
import { acts } from '../http/countOnce.ts';
import { HttpError } from '../http/errors.ts';

/** Keys are known for so long: a browser may have been shut with an edit that waits. */
const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

/**
 * Writes down, in the transaction of a change, that the act of this request counts now. Throws HttpError 409 `counted` where it
 * did already: whoever sent it did not get the answer.
 */
export async function countAct(manager: EntityManager, now: Date): Promise<void> {
  const act = acts.getStore();
  // A request may change several things; it is one act.
  if (!act || act.isCounted) return;
  const { key } = act;
  if (await manager.existsBy(CountedActRow, { key }))
    throw new HttpError(409, { code: 'counted', message: 'This was counted already: what stands is shown.' });
  await manager.insert(CountedActRow, { key, at: now.toISOString() });
  act.isCounted = true;
}

/** Keys that nobody sends any more. */
export async function forgetActs(manager: EntityManager, now: Date): Promise<void> {
  const since = new Date(now.getTime() - KEPT_DAYS * DAY_MS).toISOString();
  await manager.query('DELETE FROM counted_act WHERE at < ?', [since]);
}
