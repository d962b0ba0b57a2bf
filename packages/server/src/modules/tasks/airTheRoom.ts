import { randomUUID } from 'node:crypto';
import { AIRING_MIN } from '@sardonyx/core';
import { IsNull, MoreThan, type EntityManager } from 'typeorm';
import { TimerRow, type TaskRow } from '../../entities/work.ts';

/**
 * Vapour hangs on after the work. One clock airs the room, until the last vapour is gone; it ends by itself, or when somebody
 * says that it is aired.
 */
export async function airTheRoom(manager: EntityManager, task: TaskRow, now: Date): Promise<void> {
  const endsAt = new Date(now.getTime() + AIRING_MIN * 60_000).toISOString();
  const running = await manager.findOneBy(TimerRow, {
    ...{ kind: 'airing' as const, acknowledgedAt: IsNull() },
    endsAt: MoreThan(now.toISOString()),
  });
  if (running)
    await manager.update(TimerRow, { id: running.id }, { endsAt, label: task.title, version: running.version + 1 });
  else
    await manager.insert(TimerRow, {
      ...{ id: randomUUID(), version: 1, jobId: task.jobId, taskId: task.id, label: task.title, kind: 'airing' },
      ...{ startedAt: now.toISOString(), endsAt, acknowledgedAt: null },
    });
}
