import { compilePlan, reconcilePlan, type PlannedTask } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { createPlanInput } from './createPlanInput.ts';

/**
 * Compiles the plan of every specimen of a job again and brings its tasks in step. What is under way, done or logged
 * stays. Returns what the compiler had to say; a contradiction leaves that specimen's tasks as they were.
 */
export async function recompilePlan(manager: EntityManager, jobId: string): Promise<string[]> {
  const job = await manager.findOneByOrFail(JobRow, { id: jobId });
  if (job.signedOffAt) return [];
  const notices: string[] = [];
  for (const specimen of await manager.findBy(SpecimenRow, { jobId })) {
    const plan = compilePlan(await createPlanInput(manager, job, specimen));
    if (plan.kind === 'contradiction') {
      notices.push(plan.because);
      continue;
    }
    notices.push(...plan.notices);
    await storePlan(manager, jobId, specimen.id, plan.tasks);
  }
  return notices;
}

/** What compiling would say now, without touching the tasks. */
export async function readPlanNotices(
  manager: EntityManager,
  job: JobRow,
  specimens: readonly SpecimenRow[],
): Promise<string[]> {
  const notices: string[] = [];
  for (const specimen of specimens) {
    const plan = compilePlan(await createPlanInput(manager, job, specimen));
    notices.push(...(plan.kind === 'contradiction' ? [plan.because] : plan.notices));
  }
  return notices;
}

async function storePlan(
  manager: EntityManager,
  jobId: string,
  specimenId: string,
  planned: readonly PlannedTask[],
): Promise<void> {
  const existing = await manager.findBy(TaskRow, { specimenId });
  const logs = await manager.findBy(TaskLogRow, { jobId });
  const { added, changed, dropped, keptAside } = reconcilePlan(
    existing,
    planned,
    new Set(logs.map((entry) => entry.taskId)),
  );
  if (dropped.length)
    await manager.delete(
      TaskRow,
      dropped.map((task) => task.id),
    );
  for (const task of keptAside.filter((candidate) => candidate.state === 'to do'))
    await manager.update(TaskRow, { id: task.id }, { state: 'not needed' });
  for (const { task, planned: next } of changed) {
    const fields = createColumns(next);
    const isSame = Object.entries(fields).every(
      ([key, value]) => JSON.stringify(task[key as keyof typeof task]) === JSON.stringify(value),
    );
    const state = task.state === 'not needed' ? 'to do' : task.state;
    if (!isSame || state !== task.state)
      await manager.update(TaskRow, { id: task.id }, { ...fields, state, version: task.version + 1 });
  }
  if (added.length) {
    // The path ".key" makes the id readable in logs and the same in every run.
    const rows = added.map((task) => ({
      ...createColumns(task),
      id: `${specimenId}.${task.key}`,
      version: 1,
      jobId,
      specimenId,
      state: 'to do' as const,
    }));
    await manager.insert(TaskRow, rows);
  }
}

function createColumns(task: PlannedTask) {
  const {
    key,
    seq,
    station,
    title,
    how,
    partKeys,
    tags,
    hazards = [],
    cannotBeUndone = '',
    handsOnMin,
    watchedMin = 0,
    passiveMin = 0,
    because,
    after,
  } = task;
  return {
    key,
    seq,
    station,
    title,
    how,
    partKeys: [...partKeys],
    tags: [...tags],
    hazards: [...hazards],
    irreversible: cannotBeUndone !== '',
    cannotBeUndone,
    handsOnMin,
    watchedMin,
    passiveMin,
    because,
    after: [...after],
  };
}
