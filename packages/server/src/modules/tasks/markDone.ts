import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { writeLog, type LogLine } from './writeLog.ts';

/** A task is done, and the log says so. */
export async function markDone(manager: EntityManager, task: TaskRow, doneAt: Date, line: LogLine): Promise<void> {
  await manager.update(
    TaskRow,
    { id: task.id },
    { state: 'done', doneAt: doneAt.toISOString(), lookedAt: null, version: task.version + 1 },
  );
  await writeLog(manager, task, line);
}
