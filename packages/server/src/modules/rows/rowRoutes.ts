import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { badInput, refused, stale } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type TouchedJobs, type Workroom } from '../../workroom.ts';
import { recompileOpenJobs, recompilePlan } from '../tasks/recompilePlan.ts';
import type { RowKind } from './rowKind.ts';
import { assertJobIsOpen, ROW_KINDS } from './rowKinds.ts';
import { findRow, saveChange } from './versionedRows.ts';

/** POST, PATCH and DELETE for every noun that people edit, with versions, rules and the plan kept in step. */
export function createRowRoutes(room: Workroom): Router {
  const router = Router();
  for (const kind of ROW_KINDS) addRoutes(router, room, kind);
  return router;
}

function addRoutes(router: Router, room: Workroom, kind: RowKind): void {
  const { create: createType, change: changeType } = kind;
  if (createType) {
    router.post(`/${kind.path}`, async (request, response) => {
      // Taking back a deletion sends the old id along, so that what refers to it fits again.
      const { id = randomUUID(), ...fields } = (request.body ?? {}) as Record<string, unknown>;
      if (typeof id !== 'string' || !/^[\w.:-]{1,120}$/.test(id)) throw badInput('This id cannot be used.');
      const body = await validateBody(createType, fields);
      let touched: TouchedJobs = 'all';
      const row = await change(
        room,
        async (manager) => {
          const made = manager.create(kind.type, { ...kind.defaults, ...body, id, version: 1 });
          const jobId = await findOpenJob(manager, kind, made);
          await kind.check?.(manager, made as never, room.now());
          await manager.insert(kind.type, made);
          await kind.afterSave?.(manager, made as never, null as never);
          await bringPlansInStep(manager, kind, [jobId], room.now());
          touched = listTouched(kind, [jobId]);
          return made;
        },
        () => touched,
      );
      response.status(201).json(row);
    });
  }
  if (changeType) {
    router.patch(`/${kind.path}/:id`, async (request, response) => {
      const { version, ...changes } = await validateBody(changeType, request.body);
      let touched: TouchedJobs = 'all';
      const row = await change(
        room,
        async (manager) => {
          const before = await findRow(manager, kind.type, request.params.id, kind.what);
          const jobBefore = await findOpenJob(manager, kind, before);
          const after = { ...before, ...changes };
          const jobAfter = await kind.jobOf(manager, after as never);
          if (jobAfter !== jobBefore) await assertJobIsOpen(manager, jobAfter);
          await kind.check?.(manager, after as never, room.now());
          const saved = await saveChange(manager, kind.type, before, version, changes);
          await kind.afterSave?.(manager, saved as never, before as never);
          // A part that moved to another model changes the plans of both.
          await bringPlansInStep(manager, kind, [jobBefore, jobAfter], room.now());
          touched = listTouched(kind, [jobBefore, jobAfter]);
          return saved;
        },
        () => touched,
      );
      response.json(row);
    });
  }
  if (kind.mayDelete) {
    router.delete(`/${kind.path}/:id`, async (request, response) => {
      await change(room, async (manager) => {
        const before = await findRow(manager, kind.type, request.params.id, kind.what);
        const jobId = await findOpenJob(manager, kind, before);
        const { version } = request.query;
        if (version !== undefined && Number(version) !== before.version) throw stale({ ...before });
        await kind.checkDelete?.(manager, before as never);
        await manager.delete(kind.type, { id: request.params.id });
        await bringPlansInStep(manager, kind, [jobId], room.now());
      });
      response.status(204).end();
    });
  }
}

/** What belongs to no job may be shown in any. */
const listTouched = (kind: RowKind, jobIds: readonly (string | null)[]): TouchedJobs =>
  kind.movesAllPlans || kind.isSeenInAll || jobIds.every((id) => id === null) ? 'all' : jobIds;

/** The job of a row that may be changed; refuses what is signed off or stands as it was logged. */
async function findOpenJob(manager: EntityManager, kind: RowKind, row: object): Promise<string | null> {
  if (kind.isLogged?.(row as never)) throw refused('logged', `${kind.what} was logged; it stands as it is.`);
  const jobId = await kind.jobOf(manager, row as never);
  await assertJobIsOpen(manager, jobId);
  return jobId;
}

async function bringPlansInStep(
  manager: EntityManager,
  kind: RowKind,
  jobIds: readonly (string | null)[],
  now: Date,
): Promise<void> {
  if (kind.movesAllPlans) return recompileOpenJobs(manager, now);
  if (!kind.movesPlan) return;
  for (const jobId of new Set(jobIds)) if (jobId) await recompilePlan(manager, jobId, now);
}
