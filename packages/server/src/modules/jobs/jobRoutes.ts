import { randomUUID } from 'node:crypto';
import { AddSpecimen, CreateJob, TakePart } from '@sardonyx/contract';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { JobRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { badInput } from '../../http/errors.ts';
import { sendKept } from '../../http/sendKept.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { addSpecimen } from './addSpecimen.ts';
import { fitOutSpecimen } from './fitOutSpecimen.ts';
import { nextNumber } from './nextNumber.ts';
import { readJobView, readSpecimenView } from './readJobView.ts';
import { takePart } from './takePart.ts';

export function createJobRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id', async (request, response) => {
    const { id } = request.params;
    await sendKept(room, response, 'jobs', id, (manager) => readJobView(manager, id, room.now()));
  });
  router.get('/specimens/:id', async (request, response) => {
    const view = await look(room, async (manager) =>
      readSpecimenView(manager, await findRow(manager, SpecimenRow, request.params.id, 'This model')),
    );
    response.json(view);
  });
  router.post('/jobs', async (request, response) => {
    const body = await validateBody(CreateJob, request.body);
    const job = await change(room, (manager) => putOnBench(manager, body, room.now()));
    response.status(201).json(job);
  });
  router.post('/jobs/:id/specimens', async (request, response) => {
    const body = await validateBody(AddSpecimen, request.body);
    const specimen = await change(room, (manager) => addSpecimen(manager, request.params.id, body, room.now()));
    response.status(201).json(specimen);
  });
  router.post('/specimen-parts/:id/take', async (request, response) => {
    const { intoSpecimenId } = await validateBody(TakePart, request.body);
    const part = await change(room, (manager) => takePart(manager, request.params.id, intoSpecimenId, room.now()));
    response.json(part);
  });
  return router;
}

/** A new job with one specimen, its parts from the casting when that is known, and a first plan. */
async function putOnBench(manager: EntityManager, body: CreateJob, now: Date): Promise<JobRow> {
  const today = now.toISOString().slice(0, 10);
  if (body.castingId && !(await manager.existsBy(CastingRow, { id: body.castingId })))
    throw badInput('This casting is not in the catalogue.', { castingId: 'Choose one from the catalogue.' });
  if (body.dueOn && body.dueOn < today) throw badInput(`${body.dueOn} is past.`, { dueOn: 'The due day is past.' });
  const id = randomUUID();
  const job = manager.create(JobRow, {
    id,
    version: 1,
    number: await nextNumber(manager),
    title: body.title,
    scope: body.scope,
    target: body.target,
    why: body.why,
    station: 'identify',
    dueOn: body.dueOn,
    intakeOn: today,
    signedOffAt: null,
    signedOffBy: null,
  });
  await manager.insert(JobRow, job);
  const specimen = manager.create(SpecimenRow, {
    id: `${id}-1`,
    version: 1,
    castingId: body.castingId,
    jobId: id,
    name: body.title,
    note: '',
    isDonor: false,
    settledVariantId: null,
    settledBy: null,
  });
  await manager.insert(SpecimenRow, specimen);
  await fitOutSpecimen(manager, specimen);
  await recompilePlan(manager, id, now);
  return job;
}
