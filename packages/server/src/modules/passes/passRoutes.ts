import { randomUUID } from 'node:crypto';
import { BeginPass, EndPass } from '@sardonyx/contract';
import { isBathFor, judgePart, listMaterials, STRIP_METHOD_FACTS, type StripMethod } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { TaskRow, TimerRow } from '../../entities/work.ts';
import { FindingRow, SpecimenPartRow } from '../../entities/workpiece.ts';
import { BathRow, StripPassRow } from '../../entities/workshop.ts';
import { notFound, refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Strip passes: one clock each, several in one bath; what came of each is logged and teaches how many to expect. */
export function createPassRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/passes', async (request, response) => {
    const body = await validateBody(BeginPass, request.body);
    response.status(201).json(await change(room, (manager) => beginPass(manager, body, room.now())));
  });
  router.post('/passes/:id/end', async (request, response) => {
    const { result } = await validateBody(EndPass, request.body);
    response.json(await change(room, (manager) => endPass(manager, request.params.id, result, room.now())));
  });
  return router;
}

async function beginPass(manager: EntityManager, body: BeginPass, now: Date): Promise<StripPassRow> {
  const task = await findRow(manager, TaskRow, body.taskId, 'This task');
  const part = await findRow(manager, SpecimenPartRow, body.specimenPartId, 'This part');
  await assertJobIsOpen(manager, task.jobId);
  if (task.state !== 'doing')
    throw refused('not-begun', `Start "${task.title}" first: its hazards come before the pass.`);
  if (!task.partKeys.includes(part.key)) throw refused('part', `"${task.title}" is not about the ${part.name}.`);
  const open = await manager.findBy(StripPassRow, { taskId: task.id });
  if (open.some((pass) => pass.endedAt === null && pass.specimenPartId === part.id))
    throw refused('soaking', `A pass on the ${part.name.toLowerCase()} is under way: say first what came of it.`);
  await assertStands(manager, part, body.method);
  if (body.bathId) await assertBathFits(manager, body.bathId, body.method);
  const timer = manager.create(TimerRow, {
    ...{ id: randomUUID(), version: 1, jobId: task.jobId, taskId: task.id },
    label: `Look at the ${part.name.toLowerCase()} again: pass ${open.length + 1}`,
    kind: STRIP_METHOD_FACTS[body.method].isImmersed ? 'bath' : 'soak',
    startedAt: now.toISOString(),
    endsAt: new Date(now.getTime() + body.minutes * 60_000).toISOString(),
    acknowledgedAt: null,
  });
  await manager.insert(TimerRow, timer);
  const { taskId, specimenPartId, method, layers, bathId, who, size } = body;
  const pass = manager.create(StripPassRow, {
    ...{ id: randomUUID(), jobId: task.jobId, taskId, specimenPartId, method, layers, bathId, who },
    ...{ timerId: timer.id, startedAt: now.toISOString(), endedAt: null, result: null, size: size && { ...size } },
  });
  await manager.insert(StripPassRow, pass);
  return pass;
}

/** The table is asked once more where it counts: nothing in the part may meet what it never stands. */
async function assertStands(manager: EntityManager, part: SpecimenPartRow, method: StripMethod): Promise<void> {
  const findings = await manager.findBy(FindingRow, { specimenPartId: part.id });
  // Layers come off with the paint, an earlier bond too; what the part is made of stays.
  const [own] = listMaterials(part, [], findings);
  const { verdict, reason } = judgePart([own!], STRIP_METHOD_FACTS[method].process);
  if (verdict === 'never')
    throw refused('never', `${part.name}, ${own!}: never ${STRIP_METHOD_FACTS[method].process}. Because ${reason}.`);
}

async function assertBathFits(manager: EntityManager, bathId: string, method: StripMethod): Promise<void> {
  const bath = await findRow(manager, BathRow, bathId, 'This bath');
  if (bath.endedAt) throw refused('bath', 'This bath was poured away already.');
  if (!isBathFor(bath.kind, method)) throw refused('bath', `This is a ${bath.kind} bath; the step says ${method}.`);
}

async function endPass(
  manager: EntityManager,
  id: string,
  result: EndPass['result'],
  now: Date,
): Promise<StripPassRow> {
  const pass = await manager.findOneBy(StripPassRow, { id });
  if (!pass) throw notFound('This pass');
  await assertJobIsOpen(manager, pass.jobId);
  if (pass.endedAt) throw refused('ended', 'What came of this pass is logged already.');
  await manager.update(StripPassRow, { id }, { endedAt: now.toISOString(), result });
  if (pass.timerId) await manager.update(TimerRow, { id: pass.timerId }, { acknowledgedAt: now.toISOString() });
  return { ...pass, endedAt: now.toISOString(), result };
}

/** Parts that were stripped bare: layers and passes, by method. */
export async function readStrippedBefore(manager: EntityManager) {
  return manager.query<{ method: StripMethod; layers: number; passes: number }[]>(
    `SELECT method, MAX(layers) AS layers, COUNT(*) AS passes FROM strip_pass
     WHERE endedAt IS NOT NULL GROUP BY specimenPartId, method HAVING SUM(result = 'bare') > 0`,
  );
}
