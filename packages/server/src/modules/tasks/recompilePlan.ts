import { createHash } from 'node:crypto';
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
  const planFingerprint = createHash('sha1').update(JSON.stringify(planned)).digest('base64');
  if (await manager.existsBy(SpecimenRow, { id: specimenId, planFingerprint })) return;
  await manager.update(SpecimenRow, { id: specimenId }, { planFingerprint });
  const existing = await manager.findBy(TaskRow, { specimenId });
  const logged = new Set((await manager.findBy(TaskLogRow, { jobId })).map((entry) => entry.taskId));
  const { added, changed, dropped, keptAside } = reconcilePlan(existing, planned, logged);
  if (dropped.length)
    await manager.delete(
      TaskRow,
      dropped.map((task) => task.id),
    );
  for (const task of keptAside.filter((candidate) => candidate.state === 'to do'))
    await manager.update(TaskRow, { id: task.id }, { state: 'not needed' });
  for (const { task, planned: next } of changed) {
    const columns = createColumns(next);
    const isSame = Object.entries(columns).every(
      ([name, value]) => JSON.stringify(task[name as keyof typeof task]) === JSON.stringify(value),
    );
    const state = task.state === 'not needed' ? 'to do' : task.state;
    if (!isSame || state !== task.state)
      await manager.update(TaskRow, { id: task.id }, { ...columns, state, version: task.version + 1 });
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
  const { key, seq, station, title, how, handsOnMin, because } = task;
  return {
    key,
    seq,
    station,
    title,
    how,
    partKeys: [...task.partKeys],
    tags: [...task.tags],
    hazards: [...(task.hazards ?? [])],
    irreversible: (task.cannotBeUndone ?? '') !== '',
    cannotBeUndone: task.cannotBeUndone ?? '',
    handsOnMin,
    watchedMin: task.watchedMin ?? 0,
    passiveMin: task.passiveMin ?? 0,
    because,
    after: [...task.after],
  };
}
