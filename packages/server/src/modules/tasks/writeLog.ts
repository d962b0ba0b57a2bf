import { randomUUID } from 'node:crypto';
import { createLoggedWork, type LogAct, type TaskLog, type TaskMeasure } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { TaskLogRow, type TaskRow } from '../../entities/work.ts';
import { SpecimenPartRow } from '../../entities/workpiece.ts';

/** One line for the log, with what was done in its own words and fields. */
export interface LogLine {
  readonly act: LogAct;
  readonly who: string;
  readonly at: Date;
  readonly note: string;
  readonly coats?: readonly string[];
  readonly measures?: readonly TaskMeasure[];
}

export async function writeLog(manager: EntityManager, task: TaskRow, line: LogLine): Promise<void> {
  const { act, who, at, note, coats = [], measures = [] } = line;
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: task.specimenId });
  await appendToLog(manager, {
    ...{ id: randomUUID(), taskId: task.id, jobId: task.jobId, who, at: at.toISOString(), act, note },
    work: createLoggedWork(task, { parts, coats, measures }),
  });
}

/** Behind all that is in the log, whatever the clock says. */
export async function appendToLog(manager: EntityManager, entry: Omit<TaskLog, 'seq'>): Promise<void> {
  const [{ seq }] = await manager.query<[{ seq: number }]>('SELECT coalesce(max(seq), 0) + 1 AS seq FROM task_log');
  await manager.insert(TaskLogRow, { ...entry, seq });
}
