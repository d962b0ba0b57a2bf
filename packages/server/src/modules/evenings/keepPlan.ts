import type { KeepEveningsPlan, KeptPlan } from '@sardonyx/contract';
import { isSettled } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { EveningsPlanRow } from '../../entities/evenings.ts';
import { RestorerRow, TaskRow } from '../../entities/work.ts';
import { refused, stale } from '../../http/errors.ts';

/**
 * Keeps a plan that a page made, of the one that it was made from. What was closed meanwhile falls out of it.
 *
 * Throws a refusal for somebody who is not down at the bench, and where another window kept one meanwhile.
 */
export async function keepPlan(manager: EntityManager, plan: KeepEveningsPlan, now: Date): Promise<KeptPlan> {
  const before = await manager.findOneBy(EveningsPlanRow, { id: 'evenings' });
  if ((before?.version ?? 0) !== plan.version) throw stale({ ...before });
  const restorers = new Set((await manager.find(RestorerRow)).map(({ id }) => id));
  if ([...plan.starts, ...plan.pins].some(({ restorerId }) => !restorers.has(restorerId)))
    throw refused('restorer', 'Somebody in this plan is not down at the bench any more: plan it anew.');
  const rows = await manager.find(TaskRow, { select: { id: true, state: true } });
  const open = new Set(rows.filter((task) => !isSettled(task)).map(({ id }) => id));
  const row = {
    ...{ id: 'evenings', version: plan.version + 1, madeAt: now.toISOString() },
    starts: plan.starts.filter(({ taskId }) => open.has(taskId)),
    late: plan.late.filter((id) => open.has(id)),
    pins: plan.pins.filter(({ taskId }) => open.has(taskId)),
    moves: plan.moves.filter(({ taskId }) => open.has(taskId)),
  };
  return manager.save(EveningsPlanRow, row);
}
