import { listLacks } from '@sardonyx/core';
import { ReopenJob, SignOff } from '@sardonyx/contract';
import { Router } from 'express';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { composeRecord } from '../record/composeRecord.ts';
import { reopenJob } from './reopenJob.ts';
import { signOff } from './signOff.ts';

/** A job is signed off, and may be opened again. */
export function createSigningRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id/lacks', async (request, response) => {
    const record = await look(room, (manager) => composeRecord(manager, request.params.id, room.now()));
    response.json(listLacks(record));
  });
  router.post('/jobs/:id/sign-off', async (request, response) => {
    const body = await validateBody(SignOff, request.body);
    response.json(await change(room, (manager) => signOff(manager, request.params.id, body, room.now())));
  });
  router.post('/jobs/:id/reopen', async (request, response) => {
    const body = await validateBody(ReopenJob, request.body);
    response.json(await change(room, (manager) => reopenJob(manager, request.params.id, body, room.now())));
  });
  return router;
}
