import { dryTasks, type Task } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import type { JobRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import type { Workroom } from '../../workroom.ts';
import { readStandingCoats } from '../film/readStandingCoats.ts';
import type { LaneRows, LaneTask } from './laneRows.ts';
import { readSpecimenParts } from './readSpecimenParts.ts';

/** What is done waits for nothing. */
const TASK_COLUMNS = `id, jobId, specimenId, key, seq, station, title, handsOnMin, watchedMin, passiveMin, colours, state, doneAt, lookedAt, needs, method, act,
  tags, partKeys, "of",
  CASE WHEN act = 'get' THEN json_extract("of", '$.wantId') END AS getsWant,
  CASE WHEN state = 'to do' THEN "after" ELSE '[]' END AS "after"`;

/** Stored as JSON. */
type Listed = 'after' | 'needs' | 'tags' | 'partKeys' | 'of' | 'colours';

/** Read as they are stored: the mapper's work was half of the time of the bench. */
async function readLaneTasks(manager: EntityManager, jobIds: readonly string[]): Promise<LaneTask[]> {
  const rows = await manager.query<(Omit<LaneTask, Listed> & Record<Listed, string>)[]>(
    `SELECT ${TASK_COLUMNS} FROM task WHERE jobId IN (${jobIds.map(() => '?').join(', ')})`,
    [...jobIds],
  );
  return rows.map((row) => ({
    ...row,
    after: JSON.parse(row.after) as Task['after'],
    tags: JSON.parse(row.tags) as Task['tags'],
    partKeys: JSON.parse(row.partKeys) as Task['partKeys'],
    of: JSON.parse(row.of) as Task['of'],
    needs: JSON.parse(row.needs) as Task['needs'],
    colours: JSON.parse(row.colours) as Task['colours'],
  }));
}

/** The rows of jobs; those of open ones are kept until something of the job is written. */
export async function readKeptRows(
  manager: EntityManager,
  room: Workroom,
  jobs: readonly JobRow[],
): Promise<Map<string, LaneRows>> {
  const rows = new Map<string, LaneRows>();
  for (const job of jobs) {
    const kept = room.kept.lanes.get(job.id);
    if (kept) rows.set(job.id, kept);
  }
  const fresh = await readLaneRows(
    manager,
    jobs.filter(({ id }) => !rows.has(id)),
  );
  for (const job of jobs) {
    const own = fresh.get(job.id);
    if (!own) continue;
    rows.set(job.id, own);
    if (job.signedOffAt === null) room.kept.lanes.set(job.id, own);
  }
  return rows;
}

async function readLaneRows(manager: EntityManager, jobs: readonly JobRow[]): Promise<Map<string, LaneRows>> {
  if (jobs.length === 0) return new Map();
  const ids = jobs.map(({ id }) => id);
  const open = new Set(jobs.filter(({ signedOffAt }) => signedOffAt === null).map(({ id }) => id));
  const specimens = await manager.find(SpecimenRow, { where: { jobId: In(ids) }, order: { id: 'ASC' } });
  const tasks = await readLaneTasks(manager, ids);
  const parts = await readSpecimenParts(
    manager,
    specimens.map((specimen) => specimen.id),
  );
  const standing = await readStandingCoats(
    manager,
    specimens.flatMap(({ id, jobId }) => (open.has(jobId!) ? parts.of(id).layers : [])),
  );
  return new Map(
    ids.map((jobId) => {
      const own = specimens.filter((specimen) => specimen.jobId === jobId);
      const dried = own.flatMap(({ id }) =>
        dryTasks(
          tasks.filter(({ specimenId }) => specimenId === id),
          parts.of(id),
          standing,
        ),
      );
      return [jobId, { specimens: own, tasks: dried, parts }];
    }),
  );
}
