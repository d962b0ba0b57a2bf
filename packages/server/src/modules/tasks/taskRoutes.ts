import { randomUUID } from 'node:crypto';
import { AIRING_MIN, checkBenchHours, checkStart, checkTools, isVapour, STATIONS } from '@sardonyx/core';
import { ActOnTask } from '@sardonyx/contract';
import { Router } from 'express';
import { In, IsNull, type EntityManager } from 'typeorm';
import { ColourCaptureRow } from '../../entities/colour.ts';
import { JobRow, RestorerRow, TaskLogRow, TaskRow, TimerRow } from '../../entities/work.ts';
import { SpecimenPartRow, WantRow } from '../../entities/workpiece.ts';
import { StripPassRow, ToolRow } from '../../entities/workshop.ts';
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
  else if (!(body.act === 'done' && task.state === 'doing')) await assertMayStart(manager, task, now, body);
  const wentAhead =
    body.act === 'take back'
      ? null
      : ((await assertMayStrip(manager, task, body.goAheadBecause)) ??
        (body.act === 'done' ? await assertColourIsKept(manager, task, body.goAheadBecause) : null));
  if (body.act === 'done') {
    await assertWantIsSolved(manager, task);
    await assertNothingSoaks(manager, task);
  }
  const state = body.act === 'start' ? 'doing' : body.act === 'done' ? 'done' : 'to do';
  const act = body.act === 'start' ? 'started' : body.act === 'done' ? 'done' : 'taken back';
  await manager.update(TaskRow, { id: task.id }, { state, version: task.version + 1 });
  const entry = { taskId: task.id, jobId: task.jobId, who: body.who, at: now.toISOString() };
  if (wentAhead) await manager.insert(TaskLogRow, { id: randomUUID(), ...entry, act: 'went ahead', note: wentAhead });
  await manager.insert(TaskLogRow, { id: randomUUID(), ...entry, act, note: body.note });
  if (body.act !== 'take back') await markGun(manager, task);
  if (body.act === 'done' && isVapour(task)) await airTheRoom(manager, task, now);
  await moveJobAlong(manager, task.jobId);
  return findRow(manager, TaskRow, task.id, 'This task');
}

async function assertMayStart(manager: EntityManager, task: TaskRow, now: Date, body: ActOnTask): Promise<void> {
  const ofSpecimen = await manager.findBy(TaskRow, { specimenId: task.specimenId });
  const inRoom = await manager.findBy(TaskRow, { state: 'doing' });
  const timers = await manager.findBy(TimerRow, { acknowledgedAt: IsNull() });
  const usesGun = ofSpecimen.some((other) => other.tags.includes('gun cleaned'));
  const refusals = [
    ...checkStart(task, ofSpecimen, inRoom, timers, now),
    ...checkTools(task, await manager.find(ToolRow), usesGun),
    ...(body.staysUntilDone ? [] : checkBenchHours(task, await manager.find(RestorerRow), now)),
  ];
  const [first] = refusals;
  if (first) throw refused(first.code, refusals.map((one) => one.message).join(' '));
}

/** What a spray task leaves in the gun; cleaning takes it out. */
async function markGun(manager: EntityManager, task: TaskRow): Promise<void> {
  const isClean = task.tags.includes('gun cleaned') || task.tags.includes('gun ready');
  if (!isClean && !task.tags.includes('spray')) return;
  const gun = await manager.findOneBy(ToolRow, { kind: 'airbrush' });
  if (!gun) return;
  const holds = isClean ? '' : (task.colours[0] ?? gun.holds);
  if (holds !== gun.holds || (isClean && gun.state === 'needs cleaning'))
    await manager.update(ToolRow, { id: gun.id }, { holds, state: 'ready', version: gun.version + 1 });
}

/** O37: vapour hangs on after the work. One clock airs the room; it ends by itself, or when somebody says that it is aired. */
async function airTheRoom(manager: EntityManager, task: TaskRow, now: Date): Promise<void> {
  const endsAt = new Date(now.getTime() + AIRING_MIN * 60_000).toISOString();
  const running = await manager.findOneBy(TimerRow, { kind: 'airing', acknowledgedAt: IsNull() });
  if (running && Date.parse(running.endsAt) > now.getTime())
    await manager.update(TimerRow, { id: running.id }, { endsAt, label: task.title, version: running.version + 1 });
  else
    await manager.insert(TimerRow, {
      ...{ id: randomUUID(), version: 1, jobId: task.jobId, taskId: task.id, label: task.title, kind: 'airing' },
      ...{ startedAt: now.toISOString(), endsAt, acknowledgedAt: null },
    });
}

/** N4: the old colour is kept, or somebody says why not; the reason goes into the log. */
async function assertColourIsKept(manager: EntityManager, task: TaskRow, reason?: string): Promise<string | null> {
  if (!task.tags.includes('capture colour')) return null;
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: task.specimenId });
  if (await manager.existsBy(ColourCaptureRow, { specimenPartId: In(parts.map((part) => part.id)) })) return null;
  if (reason) return `no colour kept: ${reason}`;
  throw refused('no-colour', 'No colour of this model is kept yet, and once it is stripped there is none to keep.');
}

/** A part that is still in the bath is not done. */
async function assertNothingSoaks(manager: EntityManager, task: TaskRow): Promise<void> {
  if (await manager.existsBy(StripPassRow, { taskId: task.id, endedAt: IsNull() }))
    throw refused('soaking', `A pass of "${task.title}" is under way: take it out and say what came of it.`);
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
