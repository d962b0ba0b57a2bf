import { randomUUID } from 'node:crypto';
import {
  checkCoat,
  checkDone,
  checkLinks,
  convertProductKind,
  convertProductToLayer,
  dryTasks,
  findCoatTask,
  isTold,
  meetCoats,
} from '@sardonyx/core';
import type { LogCoat } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { badInput, refuseAll, refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import type { DryTask } from '../film/readDryTasks.ts';
import { readStandingCoats } from '../film/readStandingCoats.ts';
import { findRow } from '../rows/versionedRows.ts';
import { BLANK_LAYER } from './blankRows.ts';
import { takeForLayer } from './takeForLayer.ts';
import { assertMayStart } from '../tasks/assertMayStart.ts';
import { finishTask } from '../tasks/finishTask.ts';
import { markGun } from '../tasks/markGun.ts';
import { moveJobAlong } from '../tasks/moveJobAlong.ts';
import { writeLog } from '../tasks/writeLog.ts';
import { readEvidence } from '../tasks/readEvidence.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';

/** Logged so soon after it went on, a coat is being put on now: the room and the gun are asked too. */
const JUST_NOW_MIN = 15;

/**
 * Logs a coat on an area. The step that asks for it must be ready for it, and ends with it: a coat that is logged is a step
 * that is done, and the other way round.
 */
export async function logCoat(manager: EntityManager, body: LogCoat, now: Date): Promise<CoatingLayerRow> {
  const area = await findRow(manager, AreaRow, body.areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const specimen = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  const product = await findRow(manager, PaintProductRow, body.productId, 'This pot');
  const { jobId } = specimen;
  if (!jobId) throw refused('no-job', 'Coats are logged on a model that has a job.');
  await assertJobIsOpen(manager, jobId);
  const appliedAt = new Date(body.appliedAt);
  assertPossible(appliedAt, await findRow(manager, JobRow, jobId, 'This job'), now);
  const evidence = await readEvidence(manager, { jobId, specimenId: specimen.id, id: '' });
  const areas = evidence.areas.filter(({ specimenPartId }) => specimenPartId === part.id);
  const onPart = evidence.layers.filter(({ areaId }) => areas.some(({ id }) => id === areaId));
  const standing = await readStandingCoats(manager, evidence.layers);
  const tasks = dryTasks(await manager.findBy(TaskRow, { specimenId: specimen.id }), evidence, standing);
  const kind = convertProductKind(product.kind);
  const met = meetCoats(area, areas, onPart, kind);
  const isMist = body.isMist ?? false;
  const task = findCoatTask(tasks, { areaId: area.id, kind, isMist }, evidence) as DryTask | null;
  refuseAll(
    checkCoat({
      ...{ partKey: part.key, partName: part.name, material: part.material, product },
      ...{ tempC: body.tempC, appliedAt, ...met, tasks },
      ...{ standing, products: await readProductsOf(manager, onPart) },
      ...{ isMist, reliefUm: area.reliefUm, overBecause: body.overBecause ?? '' },
    }),
  );
  if (task && task.state !== 'doing') await assertReadyFor(manager, task, tasks, appliedAt, now);
  const applied = met.layers.filter((layer) => layer.stage === 'applied');
  const layer = manager.create(CoatingLayerRow, {
    ...BLANK_LAYER,
    ...convertProductToLayer(product, isMist),
    isMist,
    how: body.how && isTold(body.how) ? body.how : null,
    ...{ id: randomUUID(), version: 1, areaId: area.id, stage: 'applied', whose: 'restorer' },
    seq: Math.max(-1, ...applied.map((one) => one.seq)) + 1,
    tempC: body.tempC,
    appliedAt: appliedAt.toISOString(),
    appliedBy: body.who,
    note: [body.note, ...(body.overBecause ? [`over the relief: ${body.overBecause}`] : [])].filter(Boolean).join('; '),
  });
  await manager.insert(CoatingLayerRow, layer);
  await takeForLayer(
    manager,
    layer,
    { area, part, specimen, product, ml: body.ml ?? null, taskId: task?.id ?? null },
    now,
  );
  if (task) await moveStepOn(manager, task, layer, body, now);
  await recompilePlan(manager, jobId, now);
  await moveJobAlong(manager, jobId);
  return layer;
}

/** The pots that the coats of a part came out of. */
const readProductsOf = (manager: EntityManager, layers: readonly CoatingLayerRow[]) =>
  manager.findBy(PaintProductRow, { id: In([...new Set(layers.flatMap(({ productId }) => productId ?? []))]) });

/** What comes before the coat is done and dry when it goes on. */
async function assertReadyFor(
  manager: EntityManager,
  task: TaskRow,
  tasks: readonly DryTask[],
  appliedAt: Date,
  now: Date,
): Promise<void> {
  if (now.getTime() - appliedAt.getTime() < JUST_NOW_MIN * 60_000) return assertMayStart(manager, task, now, { tasks });
  refuseAll(checkLinks(task, tasks, appliedAt));
}

/** The step ends when nothing of it is missing any more; until then it is under way. */
async function moveStepOn(
  manager: EntityManager,
  task: TaskRow,
  layer: CoatingLayerRow,
  { who, note }: LogCoat,
  now: Date,
): Promise<void> {
  const missing = checkDone(task, await readEvidence(manager, task));
  const line = { who, at: now, note, coats: [layer.name] };
  if (missing.length === 0) return finishTask(manager, task, new Date(layer.appliedAt!), { ...line, act: 'done' });
  if (task.state === 'doing') return writeLog(manager, task, { ...line, act: 'note', note: `${layer.name} on` });
  await manager.update(TaskRow, { id: task.id }, { state: 'doing', version: task.version + 1 });
  await writeLog(manager, task, { ...line, act: 'started' });
  await markGun(manager, task);
}

/** A coat cannot have gone on in the future, nor before the model came in. A minute of clock difference is let pass. */
function assertPossible(appliedAt: Date, job: JobRow, now: Date): void {
  if (appliedAt.getTime() > now.getTime() + 60_000)
    throw badInput(
      'This time has not come yet. Nothing was saved.',
      { appliedAt: 'This time has not come yet.' },
      'impossible-date',
    );
  if (appliedAt.toISOString().slice(0, 10) < job.intakeOn)
    throw badInput(
      `${job.number} came in on ${job.intakeOn}, after this. Nothing was saved.`,
      { appliedAt: `The model came in on ${job.intakeOn}.` },
      'impossible-date',
    );
}
