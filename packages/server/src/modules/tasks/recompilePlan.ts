import { createHash, randomUUID } from 'node:crypto';
import {
  compilePlan,
  explainChange,
  findDisagreements,
  reconcilePlan,
  type CompiledPlan,
  type HouseRows,
  type Opening,
  type PlannedTask,
  type SpecimenFacts,
  type Task,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';
import { PlanChangeRow } from '../../entities/workshop.ts';
import { chooseOpeningOf } from '../opening/chooseOpeningOf.ts';
import { readFacts, readHouseRows } from './readFacts.ts';

/** The facts and the opening that a specimen's plan was made from last, as they are stored with it. */
export interface StoredFacts {
  readonly facts: SpecimenFacts;
  readonly opening: Opening;
}

interface Occasion {
  /** Read already, where many plans are compiled at once. */
  readonly house?: HouseRows;
  /** What changed the plan beside its facts. */
  readonly because?: string | undefined;
}

/**
 * Compiles the plan of every specimen of a job again and brings its tasks in step, once for an edit. What is under way, done
 * or declared not needed stays as it is. What the compiler had to say is kept with the specimen; a contradiction leaves that
 * specimen's tasks as they were.
 */
export async function recompilePlan(
  manager: EntityManager,
  jobId: string,
  now: Date,
  { house, because }: Occasion = {},
): Promise<void> {
  // Asked at every edit: a few columns, without the mapper's work.
  const [job] = await manager.query<Pick<JobRow, 'id' | 'scope' | 'target' | 'signedOffAt'>[]>(
    'SELECT id, scope, target, signedOffAt FROM job WHERE id = ?',
    [jobId],
  );
  if (!job || job.signedOffAt) return;
  const rows = house ?? (await readHouseRows(manager));
  for (const specimen of await manager.query<StoredPlan[]>(
    'SELECT id, castingId, planInput, planFingerprint FROM specimen WHERE jobId = ? ORDER BY rowid',
    [jobId],
  ))
    await recompileSpecimen(manager, job, specimen, { house: rows, because }, now);
}

/** Compiles every open job though its facts are the same: this program may plan, or say, something else than the last one. */
export async function recompileAnew(manager: EntityManager, now: Date): Promise<void> {
  await manager.query(
    "UPDATE specimen SET planFingerprint = '' WHERE jobId IN (SELECT id FROM job WHERE signedOffAt IS NULL)",
  );
  await recompileOpenJobs(manager, now, 'this version of the program plans otherwise');
}

/** Compiles every open job again: what the house decides holds for all of them. */
export async function recompileOpenJobs(manager: EntityManager, now: Date, because?: string): Promise<void> {
  const house = await readHouseRows(manager);
  for (const { id } of await manager.findBy(JobRow, { signedOffAt: IsNull() }))
    await recompilePlan(manager, id, now, { house, because });
}

/** The stored facts of a specimen; worked out where there are none yet, as for a model without a job. */
export async function readStoredFacts(
  manager: EntityManager,
  job: Pick<JobRow, 'id' | 'scope' | 'target'>,
  specimen: Pick<SpecimenRow, 'id' | 'castingId'>,
): Promise<StoredFacts> {
  const [row] = await manager.query<{ planInput: string }[]>('SELECT planInput FROM specimen WHERE id = ?', [
    specimen.id,
  ]);
  if (row?.planInput) return JSON.parse(row.planInput) as StoredFacts;
  const facts = await readFacts(manager, job, specimen);
  return { facts, opening: await chooseOpeningOf(specimen.id, facts) };
}

/** A specimen with the plan that is stored for it. */
type StoredPlan = Pick<SpecimenRow, 'id' | 'castingId' | 'planInput' | 'planFingerprint'>;

async function recompileSpecimen(
  manager: EntityManager,
  job: Pick<JobRow, 'id' | 'scope' | 'target'>,
  last: StoredPlan,
  { house, because }: Occasion & { readonly house: HouseRows },
  now: Date,
): Promise<void> {
  const facts = await readFacts(manager, job, last, house);
  const opening = await chooseOpeningOf(last.id, facts);
  const planInput = JSON.stringify({ facts, opening } satisfies StoredFacts);
  // The plan follows from the facts alone: where they are the same, so is the plan, unless a task was taken back or the program is another.
  if (last.planInput === planInput && last.planFingerprint !== '') return;
  const plan = compilePlan({ ...facts, ...opening });
  const planFingerprint = plan.kind === 'plan' ? fingerprint(plan.tasks) : last.planFingerprint;
  if (plan.kind === 'plan' && planFingerprint !== last.planFingerprint) {
    const before = last.planInput ? (JSON.parse(last.planInput) as StoredFacts) : null;
    await storeTasks(manager, last.id, job.id, plan.tasks, now, { before, after: { facts, opening }, because });
  }
  const planNotices = [
    ...describeNotices(plan),
    ...(plan.kind === 'plan' ? await tellDisagreements(manager, last.id, plan.tasks) : []),
  ];
  await manager.query('UPDATE specimen SET planFingerprint = ?, planInput = ?, planNotices = ? WHERE id = ?', [
    ...[planFingerprint, planInput, JSON.stringify(planNotices), last.id],
  ]);
}

const fingerprint = (tasks: readonly PlannedTask[]) =>
  createHash('sha1').update(JSON.stringify(tasks)).digest('base64');

function describeNotices(plan: CompiledPlan): string[] {
  if (plan.kind === 'plan') return plan.notices.map((notice) => notice.words);
  return [`${plan.because}${plan.findings.length ? ` Found: ${plan.findings.join('; ')}.` : ''}`];
}

/** What was done otherwise than it would be asked for now. */
async function tellDisagreements(
  manager: EntityManager,
  specimenId: string,
  planned: readonly PlannedTask[],
): Promise<string[]> {
  const rows = await manager.query<(Pick<Task, 'key' | 'state' | 'title' | 'method'> & { way: string | null })[]>(
    "SELECT key, state, title, method, way FROM task WHERE specimenId = ? AND state IN ('doing', 'done')",
    [specimenId],
  );
  const history = rows.map((row) => ({ ...row, way: row.way ? (JSON.parse(row.way) as Task['way']) : null }));
  return findDisagreements(history, planned).map(
    ({ task, was, is }) =>
      `“${task.title}” was ${task.state === 'doing' ? 'begun' : 'done'} by: ${was}. Decided since: ${is}. What is done stands.`,
  );
}

/** Adds, changes and drops what is to do, and says why. */
async function storeTasks(
  manager: EntityManager,
  specimenId: string,
  jobId: string,
  planned: readonly PlannedTask[],
  now: Date,
  { before, after, because }: { readonly before: StoredFacts | null; readonly after: StoredFacts } & Occasion,
): Promise<void> {
  const existing = await manager.findBy(TaskRow, { specimenId });
  const logged = new Set(
    (
      await manager.find(TaskLogRow, { select: { taskId: true }, where: { taskId: In(existing.map(({ id }) => id)) } })
    ).map((entry) => entry.taskId),
  );
  const { added, changed, dropped, setAside } = reconcilePlan(existing, planned, logged);
  if (before && (added.length || dropped.length || setAside.length))
    await manager.insert(PlanChangeRow, {
      ...{ id: randomUUID(), jobId, specimenId, at: now.toISOString() },
      because: [
        ...(because ? [because] : []),
        ...explainChange({ ...before.facts, ...before.opening }, { ...after.facts, ...after.opening }),
      ],
      added: added.map((task) => task.title),
      dropped: dropped.map((task) => task.title),
      keptAside: setAside.map((task) => task.title),
    });
  if (dropped.length)
    await manager.delete(
      TaskRow,
      dropped.map((task) => task.id),
    );
  for (const { id, version } of setAside)
    await manager.update(TaskRow, { id }, { state: 'set aside', version: version + 1 });
  for (const { task, planned: next } of changed) {
    const columns = createColumns(next);
    const isSame =
      task.state === 'to do' &&
      Object.entries(columns).every(
        ([name, value]) => JSON.stringify(task[name as keyof typeof task]) === JSON.stringify(value),
      );
    if (!isSame)
      await manager.update(TaskRow, { id: task.id }, { ...columns, state: 'to do', version: task.version + 1 });
  }
  if (added.length) {
    // The path ".key" makes the id readable in logs and the same in every run.
    const rows = added.map((task) => ({
      ...createColumns(task),
      ...{ id: `${specimenId}.${task.key}`, version: 1, jobId, specimenId, state: 'to do' as const },
      ...{ doneAt: null, lookedAt: null },
    }));
    await manager.insert(TaskRow, rows);
  }
}

function createColumns(task: PlannedTask) {
  const { key, seq, act, of, rule, station, title, how, because, method, process, way } = task;
  const { cannotBeUndone, handsOnMin, watchedMin, passiveMin, needs } = task;
  return {
    ...{ key, seq, act, of, rule, station, title, how, because, method, process, way },
    ...{ cannotBeUndone, handsOnMin, watchedMin, passiveMin, needs },
    irreversible: cannotBeUndone !== '',
    partKeys: [...task.partKeys],
    tags: [...task.tags],
    hazards: [...task.hazards],
    colours: [...task.colours],
    uses: [...task.uses],
    after: [...task.after],
  };
}
