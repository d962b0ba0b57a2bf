import { TakeUsualThings, type WorkshopView } from '@sardonyx/contract';
import { estimateStrippedDm2 } from '@sardonyx/core';
import { Router } from 'express';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TimerRow } from '../../entities/work.ts';
import { SpecimenPartRow } from '../../entities/workpiece.ts';
import { BathRow, InstrumentRow, StripPassRow, ToolRow, VesselRow } from '../../entities/workshop.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { addUsualThings } from './addUsualThings.ts';

/** Tools with their state, vessels, the baths that stand with what is in them, and the instruments. */
export function createWorkshopRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/workshop', async (_request, response) => {
    response.json(await look(room, (manager) => readWorkshop(manager, room.now())));
  });
  router.post('/workshop/usual', async (request, response) => {
    const body = await validateBody(TakeUsualThings, request.body);
    response.status(201).json(await change(room, (manager) => addUsualThings(manager, body, room.now())));
  });
  return router;
}

async function readWorkshop(manager: EntityManager, now: Date): Promise<WorkshopView> {
  const passes = await manager.findBy(StripPassRow, { endedAt: IsNull() });
  const parts = await manager.findBy(SpecimenPartRow, { id: In(passes.map((pass) => pass.specimenPartId)) });
  const jobs = await manager.findBy(JobRow, { id: In(passes.map((pass) => pass.jobId)) });
  const baths = await manager.find(BathRow, { where: { endedAt: IsNull() }, order: { madeAt: 'ASC' } });
  const bathed = await manager.findBy(StripPassRow, { bathId: In(baths.map((bath) => bath.id)) });
  const timers = await manager.findBy(TimerRow, { id: In(passes.flatMap((pass) => pass.timerId ?? [])) });
  return {
    now: now.toISOString(),
    tools: await manager.find(ToolRow, { order: { name: 'ASC' } }),
    vessels: await manager.find(VesselRow, { order: { name: 'ASC' } }),
    baths: baths.map((bath) => ({
      ...bath,
      strippedDm2: estimateStrippedDm2(bathed.filter((pass) => pass.bathId === bath.id)),
    })),
    soaking: passes.map((pass) => ({
      ...pass,
      partName: parts.find((part) => part.id === pass.specimenPartId)?.name ?? '',
      jobNumber: jobs.find((job) => job.id === pass.jobId)?.number ?? '',
      endsAt: timers.find((timer) => timer.id === pass.timerId)?.endsAt ?? null,
    })),
    instruments: await manager.find(InstrumentRow, { order: { name: 'ASC' } }),
  };
}
