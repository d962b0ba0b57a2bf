import { randomUUID } from 'node:crypto';
import { checkStart, STATIONS } from '@sardonyx/core';
import { ActOnTask } from '@sardonyx/contract';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow, TimerRow } from '../../entities/work.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { assertMayStrip } from './assertMayStrip.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Starting, finishing and taking back tasks. Every act goes into the log. */
export function createTaskRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/tasks/:id/acts', async (request, response) => {
    const body = await validateBody(ActOnTask, request.body);
    const task = await change(room, (manager) => actOnTask(manager, request.params.id, body, room.now()));
    response.json(task);
  });
  return router;
}

async function actOnTask(manager: EntityManager, taskId: string, body: ActOnTask, now: Date): Promise<TaskRow> {
  const task = await findRow(manager, TaskRow, taskId, 'This task');
  await assertJobIsOpen(manager, task.jobId);
  if (body.act === 'take back') await assertNothingRestsOn(manager, task);
  else if (!(body.act === 'done' && task.state === 'doing')) await assertMayStart(manager, task, now);
  const wentAhead = body.act === 'take back' ? null : await assertMayStrip(manager, task, body.goAheadBecause);
  if (body.act === 'done') await assertWantIsSolved(manager, task);
  const state = body.act === 'start' ? 'doing' : body.act === 'done' ? 'done' : 'to do';
  const act = body.act === 'start' ? 'started' : body.act === 'done' ? 'done' : 'taken back';
  await manager.update(TaskRow, { id: task.id }, { state, version: task.version + 1 });
  const entry = { taskId: task.id, jobId: task.jobId, who: body.who, at: now.toISOString() };
  if (wentAhead) await manager.insert(TaskLogRow, { id: randomUUID(), ...entry, act: 'went ahead', note: wentAhead });
  await manager.insert(TaskLogRow, { id: randomUUID(), ...entry, act, note: body.note });
  await moveJobAlong(manager, task.jobId);
  return findRow(manager, TaskRow, task.id, 'This task');
}

async function assertMayStart(manager: EntityManager, task: TaskRow, now: Date): Promise<void> {
  const ofSpecimen = await manager.findBy(TaskRow, { specimenId: task.specimenId });
  const inRoom = await manager.findBy(TaskRow, { state: 'doing' });
  const [refusal, ...more] = checkStart(task, ofSpecimen, inRoom, await manager.find(TimerRow), now);
  if (refusal) throw refused(refusal.code, [refusal, ...more].map((one) => one.message).join(' '));
}

/** What later tasks were done on the strength of cannot be taken from under them. */
async function assertNothingRestsOn(manager: EntityManager, task: TaskRow): Promise<void> {
  if (task.state === 'to do') throw refused('not-begun', `"${task.title}" has not been begun.`);
  const later = await manager.findBy(TaskRow, { specimenId: task.specimenId });
  const resting = later.find(
    (other) => (other.state === 'done' || other.state === 'doing') && other.after.some((link) => link.key === task.key),
  );
  if (resting) throw refused('rests-on', `"${resting.title}" was begun after it: take that back first.`);
}

async function assertWantIsSolved(manager: EntityManager, task: TaskRow): Promise<void> {
  if (!task.key.startsWith('get:')) return;
  const want = await manager.findOneBy(WantRow, { id: task.key.slice('get:'.length) });
  if (want && want.state !== 'solved')
    throw refused('want-open', `"${want.what}" is ${want.state}: mark the want solved when it lies on the bench.`);
}

/** The job stands at the first station that still has something to do. */
async function moveJobAlong(manager: EntityManager, jobId: string): Promise<void> {
  const tasks = await manager.findBy(TaskRow, { jobId });
  const open = new Set(
    tasks.filter((task) => task.state === 'to do' || task.state === 'doing').map((task) => task.station),
  );
  const station = STATIONS.find((candidate) => open.has(candidate)) ?? 'sign-off';
  const job = await manager.findOneByOrFail(JobRow, { id: jobId });
  if (job.station !== station) await manager.update(JobRow, { id: jobId }, { station });
}
