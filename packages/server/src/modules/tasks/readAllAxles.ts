import { isSettled, planAllAxles, type AxleShare, type AxleTask } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { readAxles } from './readEvidence.ts';

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
    const measures = await readMeasures(manager, task.id);
    if (measures.length === 0) continue;
    const axles = await readAxles(manager, task);
    things = axles.things;
    const { number } = jobs.find(({ id }) => id === task.jobId)!;
    asked.push({ ...axles, taskId: task.id, jobNumber: number, measures });
  }
  return planAllAxles(asked, things);
}

/** As they were written down last. */
async function readMeasures(manager: EntityManager, taskId: string) {
  const log = await manager.find(TaskLogRow, { where: { taskId }, order: { seq: 'DESC' } });
  return log.find(({ work }) => work.measures.length > 0)?.work.measures ?? [];
}
