import { randomUUID } from 'node:crypto';
import { createLoggedWork, type LogAct, type TaskMeasure } from '@sardonyx/core';
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
  await manager.insert(TaskLogRow, {
    ...{ id: randomUUID(), taskId: task.id, jobId: task.jobId, who, at: at.toISOString(), act, note },
    work: createLoggedWork(task, { parts, coats, measures }),
  });
}
