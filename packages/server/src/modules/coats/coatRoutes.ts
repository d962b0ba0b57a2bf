import { KeyCoat, LogCoat, RejectCoat } from '@sardonyx/contract';
import { Router } from 'express';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { keyCoat } from './keyCoat.ts';
import { logCoat } from './logCoat.ts';
import { rejectCoat } from './rejectCoat.ts';

/** Coats that were put on and keyed, and coats that do not stay. */
export function createCoatRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/coats', async (request, response) => {
    const body = await validateBody(LogCoat, request.body);
    response.status(201).json(await change(room, (manager) => logCoat(manager, body, room.now())));
  });
  router.post('/coats/:id/reject', async (request, response) => {
    const body = await validateBody(RejectCoat, request.body);
    response.json(await change(room, (manager) => rejectCoat(manager, request.params.id, body, room.now())));
  });
  router.post('/coats/:id/key', async (request, response) => {
    const body = await validateBody(KeyCoat, request.body);
    response.json(await change(room, (manager) => keyCoat(manager, request.params.id, body, room.now())));
  });
  return router;
}
