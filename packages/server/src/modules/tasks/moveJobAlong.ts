import { STATIONS } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { JobRow, TaskRow } from '../../entities/work.ts';

/** The job stands at the first station that still has something to do. */
export async function moveJobAlong(manager: EntityManager, jobId: string): Promise<void> {
  const tasks = await manager.find(TaskRow, {
    select: { station: true },
    where: { jobId, state: In(['to do', 'doing']) },
  });
  const open = new Set(tasks.map((task) => task.station));
  const station = STATIONS.find((candidate) => open.has(candidate)) ?? 'sign-off';
  await manager.update(JobRow, { id: jobId }, { station });
}
