import { checkBenchHours, checkStart, checkTools, checkWeather } from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { HouseStyleRow } from '../../entities/house.ts';
import { RestorerRow, TaskRow, TimerRow } from '../../entities/work.ts';
import { ToolRow } from '../../entities/workshop.ts';
import { refuseAll } from '../../http/errors.ts';
import { readDryTasks, type DryTask } from '../film/readDryTasks.ts';
import { findRow } from '../rows/versionedRows.ts';

interface Circumstances {
  readonly staysUntilDone?: boolean;
  readonly isDryDay?: boolean;
  /** Of the specimen, where they are read already. */
  readonly tasks?: readonly DryTask[];
}

/** Throws every reason why a task may not start now. */
export async function assertMayStart(
  manager: EntityManager,
  task: TaskRow,
  now: Date,
  { staysUntilDone = false, isDryDay = false, tasks }: Circumstances = {},
): Promise<void> {
  const ofSpecimen = tasks ?? (await readDryTasks(manager, task.specimenId));
  const inRoom = await manager.findBy(TaskRow, { state: 'doing' });
  const timers = await manager.findBy(TimerRow, { acknowledgedAt: IsNull() });
  const { zone } = await findRow(manager, HouseStyleRow, 'house', 'The house style');
  refuseAll([
    ...checkStart(task, ofSpecimen, inRoom, timers, now),
    ...checkTools(task, await manager.find(ToolRow)),
    ...checkWeather(task, isDryDay),
    ...(staysUntilDone ? [] : checkBenchHours(task, await manager.find(RestorerRow), now, zone)),
  ]);
}
