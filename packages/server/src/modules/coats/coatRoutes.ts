import { randomUUID } from 'node:crypto';
import { checkCoat } from '@sardonyx/core';
import { LogCoat } from '@sardonyx/contract';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { badInput, refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Logging a coat that was put on. */
export function createCoatRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/coats', async (request, response) => {
    const body = await validateBody(LogCoat, request.body);
    const layer = await change(room, (manager) => logCoat(manager, body, room.now()));
    response.status(201).json(layer);
  });
  return router;
}

async function logCoat(manager: EntityManager, body: LogCoat, now: Date): Promise<CoatingLayerRow> {
  const area = await findRow(manager, AreaRow, body.areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const specimen = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  const product = await findRow(manager, PaintProductRow, body.productId, 'This pot');
  if (!specimen.jobId) throw refused('no-job', 'Coats are logged on a model that has a job.');
  await assertJobIsOpen(manager, specimen.jobId);
  const job = await findRow(manager, JobRow, specimen.jobId, 'This job');
  const appliedAt = new Date(body.appliedAt);
  assertPossible(appliedAt, job, now);
  const layers = await manager.findBy(CoatingLayerRow, { areaId: area.id });
  const tasks = await manager.findBy(TaskRow, { specimenId: specimen.id });
  const refusals = checkCoat({
    partKey: part.key,
    partName: part.name,
    material: part.material,
    product,
    tempC: body.tempC,
    appliedAt,
    layers,
    tasks,
  });
  if (refusals.length) {
    throw refused(
      refusals[0]!.code,
      refusals.map((refusal) => refusal.message).join(' '),
      Object.fromEntries(refusals.map((refusal) => [refusal.field, refusal.message])),
    );
  }
  const applied = layers.filter((layer) => layer.stage === 'applied');
  const layer = manager.create(CoatingLayerRow, {
    id: randomUUID(),
    version: 1,
    areaId: area.id,
    stage: 'applied',
    seq: Math.max(-1, ...applied.map((one) => one.seq)) + 1,
    kind: product.kind === 'powder' ? 'colour' : product.kind,
    name: product.name,
    colourHex: product.colourHex,
    thicknessUm: product.dryFilmUm,
    thicknessOrigin: 'product sheet',
    productId: product.id,
    factory: false,
    tempC: body.tempC,
    appliedAt: appliedAt.toISOString(),
    appliedBy: body.who,
    note: body.note,
  });
  await manager.insert(CoatingLayerRow, layer);
  return layer;
}

/** A coat cannot have gone on in the future, nor before the model came in. A minute of clock difference is let pass. */
function assertPossible(appliedAt: Date, job: JobRow, now: Date): void {
  if (appliedAt.getTime() > now.getTime() + 60_000)
    throw badInput(
      'Not saved: this time has not come yet.',
      { appliedAt: 'This time has not come yet.' },
      'impossible-date',
    );
  if (appliedAt.toISOString().slice(0, 10) < job.intakeOn) {
    throw badInput(
      `Not saved: ${job.number} came in on ${job.intakeOn}, after this.`,
      { appliedAt: `The model came in on ${job.intakeOn}.` },
      'impossible-date',
    );
  }
}
