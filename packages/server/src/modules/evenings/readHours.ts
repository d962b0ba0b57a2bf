import type { HoursView } from '@sardonyx/contract';
import { sumHours } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow } from '../../entities/work.ts';
import type { Workroom } from '../../workroom.ts';
import { readKeptRows } from '../bench/readKeptRows.ts';

/** What the hours of the open jobs go into, by the plan and by the log. */
export async function readHours(manager: EntityManager, room: Workroom): Promise<HoursView> {
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const rows = await readKeptRows(manager, room, jobs);
  const log = await manager.find(TaskLogRow, {
    select: { taskId: true, jobId: true, seq: true, act: true, at: true },
    where: { jobId: In(jobs.map(({ id }) => id)) },
  });
  return {
    jobs: jobs.map(({ id, number }) => ({
      ...{ jobId: id, number },
      ...sumHours(
        rows.get(id)!.tasks,
        log.filter(({ jobId }) => jobId === id),
      ),
    })),
  };
}
