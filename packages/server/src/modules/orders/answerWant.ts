import type { Origin } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { HttpError } from '../../http/errors.ts';
import { jobOfPart } from '../rows/rowKind.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { actOnTask } from '../tasks/actOnTask.ts';
import { changeWant } from './placeOrder.ts';

interface Came {
  readonly origin: Origin;
  /** Of whom, as it goes into the record. */
  readonly from: string;
  readonly who: string;
  /** What it cost; null where nobody said. */
  readonly price: number | null;
  readonly taken?: WantRow['taken'];
}

/** A want that is met knows where from, and the step that gets it is done. */
export async function answerWant(
  manager: EntityManager,
  wantId: string,
  { origin, from, who, price, taken = null }: Came,
  now: Date,
): Promise<void> {
  const want = await findOpenWant(manager, wantId);
  await changeWant(manager, want, { state: 'solved', origin, solution: from, price, taken }, now);
  const task = await findGetting(manager, wantId);
  if (!task || task.state === 'done') return;
  try {
    await actOnTask(manager, task.id, { act: 'done', who, note: from }, now);
  } catch (error) {
    // What must be done before it is still open: then it is ticked by hand, as everything else.
    if (!(error instanceof HttpError)) throw error;
  }
}

/** The step that gets what is wanted; null where the plan has none. */
export const findGetting = (manager: EntityManager, wantId: string): Promise<TaskRow | null> =>
  manager
    .createQueryBuilder(TaskRow, 'task')
    .where("task.act = 'get' AND json_extract(task.of, '$.wantId') = :wantId", { wantId })
    .getOne();

/** What came for it was not it. */
export async function reopenWant(manager: EntityManager, wantId: string, now: Date): Promise<void> {
  await changeWant(manager, await findOpenWant(manager, wantId), { state: 'open', dueOn: null }, now);
}

async function findOpenWant(manager: EntityManager, wantId: string): Promise<WantRow> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  await assertJobIsOpen(manager, await jobOfPart(manager, want.specimenPartId));
  return want;
}
