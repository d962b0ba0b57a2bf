import { createHash, randomUUID } from 'node:crypto';
import {
  compilePlan,
  explainChange,
  listSupplies,
  reconcilePlan,
  type PlanInput,
  type PlannedTask,
  type SupplyLine,
} from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { PlanChangeRow } from '../../entities/workshop.ts';
import { createPlanInput } from './createPlanInput.ts';

/**
 * Compiles the plan of every specimen of a job again and brings its tasks in step. What is under way, done or logged
 * stays. Returns what the compiler had to say; a contradiction leaves that specimen's tasks as they were.
 */
export async function recompilePlan(manager: EntityManager, jobId: string, now: Date): Promise<string[]> {
  const job = await manager.findOneByOrFail(JobRow, { id: jobId });
  if (job.signedOffAt) return [];
  const notices: string[] = [];
  for (const specimen of await manager.findBy(SpecimenRow, { jobId })) {
    const input = await createPlanInput(manager, job, specimen);
    const plan = compilePlan(input);
    if (plan.kind === 'contradiction') {
      notices.push(plan.because);
      continue;
    }
    notices.push(...plan.notices);
    await storePlan(manager, jobId, specimen.id, plan.tasks, input, now);
  }
  return notices;
}

/** Compiles every open job again: what the house decides holds for all of them. */
export async function recompileOpenJobs(manager: EntityManager, now: Date): Promise<void> {
  for (const { id } of await manager.findBy(JobRow, { signedOffAt: IsNull() })) await recompilePlan(manager, id, now);
}

export interface PlanSaying {
  readonly notices: readonly string[];
  readonly supplies: readonly SupplyLine[];
}

/** What compiling would say now, without touching the tasks. */
export async function readPlanSaying(
  manager: EntityManager,
  job: JobRow,
  specimens: readonly SpecimenRow[],
  tasks: readonly TaskRow[],
  now: Date,
): Promise<PlanSaying> {
  const notices: string[] = [];
  const supplies: SupplyLine[] = [];
  for (const specimen of specimens) {
    const input = await createPlanInput(manager, job, specimen);
    const plan = compilePlan(input);
    if (plan.kind === 'contradiction') {
      notices.push(`${plan.because}${plan.findings.length ? ` Found: ${plan.findings.join('; ')}.` : ''}`);
      continue;
    }
    notices.push(...plan.notices);
    const done = new Set(
      tasks
        .filter((task) => task.specimenId === specimen.id && (task.state === 'done' || task.state === 'not needed'))
        .map((task) => task.key),
    );
    supplies.push(...listSupplies(plan, input.parts, (key) => done.has(key), now));
  }
  return { notices, supplies };
}

async function storePlan(
  manager: EntityManager,
  jobId: string,
  specimenId: string,
  planned: readonly PlannedTask[],
  input: PlanInput,
  now: Date,
): Promise<void> {
  const planFingerprint = createHash('sha1').update(JSON.stringify(planned)).digest('base64');
  if (await manager.existsBy(SpecimenRow, { id: specimenId, planFingerprint })) return;
  const [last] = await manager.query<{ planInput: string }[]>('SELECT planInput FROM specimen WHERE id = ?', [
    specimenId,
  ]);
  await manager.update(SpecimenRow, { id: specimenId }, { planFingerprint, planInput: JSON.stringify(input) });
  const existing = await manager.findBy(TaskRow, { specimenId });
  const logged = new Set((await manager.findBy(TaskLogRow, { jobId })).map((entry) => entry.taskId));
  const { added, changed, dropped, keptAside } = reconcilePlan(existing, planned, logged);
  if (last?.planInput && (added.length || dropped.length || keptAside.some((task) => task.state !== 'not needed')))
    await manager.insert(PlanChangeRow, {
      ...{ id: randomUUID(), jobId, specimenId, at: now.toISOString() },
      because: explainChange(JSON.parse(last.planInput) as PlanInput, input),
      added: added.map((task) => task.title),
      dropped: dropped.map((task) => task.title),
      keptAside: keptAside.filter((task) => task.state !== 'not needed').map((task) => task.title),
    });
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
    colours: [...(task.colours ?? [])],
    after: [...task.after],
  };
}
