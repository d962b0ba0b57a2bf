import { checkDone, isSettled, listCoatsOf, listCoatsOn, refuseSoaking, TELLING_ACTS, type Task } from '@sardonyx/core';
import type { ActOnTask } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { StripPassRow } from '../../entities/workshop.ts';
import { badInput, refuseAll, refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { readDryTasks } from '../film/readDryTasks.ts';
import { findRow } from '../rows/versionedRows.ts';
import { putBackUsed } from '../stock/takeUsed.ts';
import { assertMayStart } from './assertMayStart.ts';
import { assertMayStrip } from './assertMayStrip.ts';
import { finishTask } from './finishTask.ts';
import { markGun } from './markGun.ts';
import { moveJobAlong } from './moveJobAlong.ts';
import { writeLog } from './writeLog.ts';
import { readEvidence } from './readEvidence.ts';
import { recompilePlan } from './recompilePlan.ts';

/** Starting, finishing, leaving out and taking back a task. Every act goes into the log. */
export async function actOnTask(manager: EntityManager, taskId: string, body: ActOnTask, now: Date): Promise<TaskRow> {
  const task = await findRow(manager, TaskRow, taskId, 'This task');
  await assertJobIsOpen(manager, task.jobId);
  await ACTS[body.act](manager, task, body, now);
  if (body.act !== 'note' && body.act !== 'looked') {
    if (body.act === 'take back') await bringUpToDate(manager, task);
    // What was done to a part is a fact that the rest of the plan follows from.
    if (body.act === 'take back' || TELLING_ACTS.includes(task.act) || task.act === 'take-off' || task.act === 'decal')
      await recompilePlan(manager, task.jobId, now, {
        because: body.act === 'take back' ? `“${task.title}” was taken back` : undefined,
      });
    await moveJobAlong(manager, task.jobId);
  }
  return findRow(manager, TaskRow, task.id, 'This task');
}

/** It is to be done again, and as is decided now: its tasks are no longer known to be in step with the plan. */
async function bringUpToDate(manager: EntityManager, { specimenId }: TaskRow): Promise<void> {
  await manager.update(SpecimenRow, { id: specimenId }, { planFingerprint: '' });
}

type Act = (manager: EntityManager, task: TaskRow, body: ActOnTask, now: Date) => Promise<void>;

const ACTS: Readonly<Record<ActOnTask['act'], Act>> = {
  start: async (manager, task, body, now) => {
    await assertMayStart(manager, task, now, body);
    await goAhead(manager, task, body, now);
    await setState(manager, task, 'doing');
    await writeLog(manager, task, { act: 'started', who: body.who, at: now, note: body.note });
    await markGun(manager, task);
  },
  done: async (manager, task, body, now) => {
    if (task.state !== 'doing') await assertMayStart(manager, task, now, body);
    await goAhead(manager, task, body, now);
    const evidence = await readEvidence(manager, task, body.measures);
    const refusals = checkDone(task, evidence);
    // A colour that is gone for good is given up with a reason of its own.
    if (body.goAheadBecause && refusals.every(({ code }) => code === 'no-colour') && refusals.length) {
      const note = `no colour kept: ${body.goAheadBecause}`;
      await finishTask(manager, task, now, { act: 'done otherwise', who: body.who, at: now, note });
      return;
    }
    refuseAll(refusals);
    const { who, note, measures = [] } = body;
    await finishTask(manager, task, now, {
      ...{ act: 'done', who, at: now, note, measures },
      coats: listCoatsOn(task, evidence),
    });
  },
  'done otherwise': async (manager, task, body, now) => {
    assertReason(body, 'Say how it was done: it goes into the record.');
    if (task.state !== 'doing') await assertMayStart(manager, task, now, body);
    await goAhead(manager, task, body, now);
    await assertNothingSoaks(manager, task);
    await finishTask(manager, task, now, { act: 'done otherwise', who: body.who, at: now, note: body.note });
  },
  'not needed': async (manager, task, body, now) => {
    assertReason(body, 'Say why it is not needed: it goes into the record.');
    if (isSettled(task)) throw refused('already-done', `"${task.title}" is ${task.state} already.`);
    await assertNothingSoaks(manager, task);
    await setState(manager, task, 'not needed');
    await writeLog(manager, task, { act: 'not needed', who: body.who, at: now, note: body.note });
  },
  'take back': async (manager, task, body, now) => {
    await assertNothingRestsOn(manager, task);
    await assertNoCoatIsOn(manager, task);
    await setState(manager, task, 'to do');
    await putBackUsed(manager, task, { who: body.who, now });
    await writeLog(manager, task, { act: 'taken back', who: body.who, at: now, note: body.note });
  },
  looked: async (manager, task, body, now) => {
    if (task.state !== 'done') throw refused('not-begun', `"${task.title}" is not done: there is nothing to look at.`);
    const { film } = (await readDryTasks(manager, task.specimenId)).find(({ id }) => id === task.id)!;
    if (film)
      throw refused(
        'coat-says',
        'A look does not dry a coat: its sheet, the room and what a finger finds say when. Touch it at Finish.',
      );
    await manager.update(TaskRow, { id: task.id }, { lookedAt: now.toISOString(), version: task.version + 1 });
    await writeLog(manager, task, { act: 'looked', who: body.who, at: now, note: body.note });
  },
  note: async (manager, task, body, now) => {
    const { who, note, measures = [] } = body;
    if (measures.length === 0) assertReason(body, 'Write the note.');
    await writeLog(manager, task, { act: 'note', who, at: now, note, measures });
  },
};

async function setState(manager: EntityManager, task: TaskRow, state: Task['state']): Promise<void> {
  await manager.update(TaskRow, { id: task.id }, { state, doneAt: null, lookedAt: null, version: task.version + 1 });
}

function assertReason({ note }: ActOnTask, message: string): void {
  if (note.trim() === '') throw badInput(message, { note: message }, 'reason');
}

/** The first irreversible step of a model that may be worth more as it is goes on only with a reason. */
async function goAhead(manager: EntityManager, task: TaskRow, body: ActOnTask, now: Date): Promise<void> {
  const note = await assertMayStrip(manager, task, body.goAheadBecause);
  if (note) await writeLog(manager, task, { act: 'went ahead', who: body.who, at: now, note });
}

async function assertNothingSoaks(manager: EntityManager, task: TaskRow): Promise<void> {
  refuseAll(refuseSoaking(task, await manager.findBy(StripPassRow, { taskId: task.id })));
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

/** A coat that is on the part is rejected with its reason, not forgotten. */
async function assertNoCoatIsOn(manager: EntityManager, task: TaskRow): Promise<void> {
  if (task.state !== 'done') return;
  const evidence = await readEvidence(manager, task);
  if (listCoatsOf(task, evidence).length > 0 && checkDone(task, evidence).length === 0)
    throw refused(
      'coat-on',
      `The coat of "${task.title}" is on the part. Reject the coat, with the reason, at Finish.`,
    );
}
