import { randomUUID } from 'node:crypto';
import { CreateCapture, CreateMix, KeepMix, LogPatch, LogPour, LogWet, UndoStep } from '@sardonyx/contract';
import { alignObservations } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { ColourCaptureRow, MixRow } from '../../entities/colour.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { FeatureRow } from '../../entities/catalogue.ts';
import { ObservationRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { readStatedCatalogue } from '../catalogue/readStatedCatalogue.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow, saveChange } from '../rows/versionedRows.ts';
import { giveUpMix, keepMix } from './endMix.ts';
import { readColour } from './readColour.ts';
import { logPour, logStep, undoStep } from './logStep.ts';

/** Colours of a job: captured before the work, mixed for it. */
export function createColourRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id/colour', async (request, response) => {
    response.json(await look(room, (manager) => readColour(manager, request.params.id)));
  });
  router.post('/captures', async (request, response) => {
    const body = await validateBody(CreateCapture, request.body);
    response.status(201).json(await change(room, (manager) => addCapture(manager, body, room.now())));
  });
  router.post('/mixes', async (request, response) => {
    const body = await validateBody(CreateMix, request.body);
    response.status(201).json(await change(room, (manager) => startMix(manager, body, room.now())));
  });
  router.post('/mixes/:id/pours', async (request, response) => {
    const { who, ...pour } = await validateBody(LogPour, request.body);
    const step = await change(room, (manager) => logPour(manager, request.params.id, pour, who, room.now()));
    response.status(201).json(step);
  });
  router.post('/mixes/:id/patches', async (request, response) => {
    const { who, ...patch } = await validateBody(LogPatch, request.body);
    const body = { kind: 'patch', ...patch } as const;
    const step = await change(room, (manager) => logStep(manager, request.params.id, body, who, room.now()));
    response.status(201).json(step);
  });
  router.post('/mixes/:id/wet', async (request, response) => {
    const { who, ...wet } = await validateBody(LogWet, request.body);
    const body = { kind: 'wet', ...wet } as const;
    const step = await change(room, (manager) => logStep(manager, request.params.id, body, who, room.now()));
    response.status(201).json(step);
  });
  router.post('/mixes/:id/undo', async (request, response) => {
    const { who, stepId } = await validateBody(UndoStep, request.body);
    const step = await change(room, (manager) => undoStep(manager, request.params.id, stepId, who, room.now()));
    response.status(201).json(step);
  });
  router.post('/mixes/:id/keep', async (request, response) => {
    const body = await validateBody(KeepMix, request.body);
    response.json(await change(room, (manager) => keepMix(manager, request.params.id, body, room.now())));
  });
  router.post('/mixes/:id/give-up', async (request, response) => {
    response.json(await change(room, (manager) => giveUpMix(manager, request.params.id, room.now())));
  });
  return router;
}

async function addCapture(
  manager: EntityManager,
  { answersId = null, ...body }: CreateCapture,
  now: Date,
): Promise<ColourCaptureRow> {
  const part = await findRow(manager, SpecimenPartRow, body.specimenPartId, 'This part');
  const { jobId } = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  if (!jobId) throw refused('no-job', 'Colours are captured on a model that has a job.');
  await assertJobIsOpen(manager, jobId);
  if (body.photoId) await findRow(manager, PhotoRow, body.photoId, 'This photograph');
  const row = manager.create(ColourCaptureRow, { ...body, id: randomUUID(), jobId, takenAt: now.toISOString() });
  await manager.insert(ColourCaptureRow, row);
  if (answersId) await answerByCapture(manager, part.specimenId, answersId, row.id);
  return row;
}

/** What the eye said of the feature stands beside it. */
async function answerByCapture(
  manager: EntityManager,
  specimenId: string,
  featureId: string,
  captureId: string,
): Promise<void> {
  await findRow(manager, FeatureRow, featureId, 'This feature');
  const { castingId } = await findRow(manager, SpecimenRow, specimenId, 'This model');
  const answers = await manager.findBy(ObservationRow, { specimenId });
  const asked = alignObservations(answers, await readStatedCatalogue(manager, castingId));
  const given = asked.find((one) => one.featureId === featureId);
  if (given) {
    const before = answers.find(({ id }) => id === given.id)!;
    const captureIds = [...before.captureIds, captureId];
    await saveChange(manager, ObservationRow, before, before.version, { captureIds });
    return;
  }
  await manager.insert(ObservationRow, {
    ...{ id: randomUUID(), version: 1, specimenId, featureId },
    ...{ stateId: null, certainty: 'cannot see', captureIds: [captureId], size: null },
  });
}

async function startMix(manager: EntityManager, body: CreateMix, now: Date): Promise<MixRow> {
  await assertJobIsOpen(manager, body.jobId);
  const row = manager.create(MixRow, {
    ...body,
    ...{ id: randomUUID(), version: 1, startedAt: now.toISOString(), endedAt: null, productId: null },
  });
  await manager.insert(MixRow, row);
  return row;
}
