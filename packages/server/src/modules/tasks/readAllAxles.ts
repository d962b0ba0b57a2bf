import { isSettled, planAllAxles, readLastMeasures, type AxleShare, type AxleTask } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { readAxles } from './readAxles.ts';

/** Which axles of the drawers go to which joint, over all open jobs, by what was measured and written down at their steps. */
export async function readAllAxles(manager: EntityManager): Promise<AxleShare[]> {
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const tasks = await manager.find(TaskRow, {
    where: { act: 'axle-in-hand', jobId: In(jobs.map(({ id }) => id)) },
    order: { jobId: 'ASC', seq: 'ASC' },
  });
  const asked: AxleTask[] = [];
  let things: Parameters<typeof planAllAxles>[1] = [];
  for (const task of tasks.filter((one) => !isSettled(one))) {
    const log = await manager.find(TaskLogRow, { where: { taskId: task.id }, order: { seq: 'ASC' } });
    const measures = readLastMeasures(log);
    if (measures.length === 0) continue;
    const axles = await readAxles(manager, task);
    things = axles.things;
    const { number } = jobs.find(({ id }) => id === task.jobId)!;
    asked.push({ ...axles, jobNumber: number, measures });
  }
  return planAllAxles(asked, things);
}
