import { selectOpenLinks } from '@sardonyx/core';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { markDone } from './markDone.ts';
import { moveJobAlong } from './moveJobAlong.ts';
import type { LogLine } from './writeLog.ts';

/**
 * There is one gun: what was rinsed out of it for this model is out of it for every other that has had its coats of the colour. A
 * model that still waits for some keeps its own rinsing.
 */
export async function rinseForAll(manager: EntityManager, rinsed: TaskRow, line: LogLine): Promise<void> {
  const open = await manager.findBy(JobRow, { signedOffAt: IsNull() });
  const others = (
    await manager.findBy(TaskRow, {
      act: 'rinse-gun',
      state: 'to do',
      jobId: In(open.map(({ id }) => id)),
      id: Not(rinsed.id),
    })
  ).filter(({ of }) => of.colour === rinsed.of.colour);
  const { number } = open.find(({ id }) => id === rinsed.jobId)!;
  for (const task of others) {
    const tasks = await manager.findBy(TaskRow, { specimenId: task.specimenId });
    if (selectOpenLinks(task, tasks, line.at).some(({ kind }) => kind === 'open')) continue;
    await markDone(manager, task, line.at, { ...line, note: `rinsed once for all, with ${number}` });
    await moveJobAlong(manager, task.jobId);
  }
}
