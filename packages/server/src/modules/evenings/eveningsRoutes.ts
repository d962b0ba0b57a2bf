import { KeepEveningsPlan } from '@sardonyx/contract';
import { Router } from 'express';
import { sendKept } from '../../http/sendKept.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { keepPlan } from './keepPlan.ts';
import { readEvenings } from './readEvenings.ts';

/** What the evenings are planned from, and the plan that stands. */
export function createEveningsRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/evenings', async (_request, response) => {
    await sendKept(room, response, 'views', 'evenings', (manager) => readEvenings(manager, room));
  });
  router.put('/evenings/plan', async (request, response) => {
    const plan = await validateBody(KeepEveningsPlan, request.body);
    response.json(
      await change(
        room,
        (manager) => keepPlan(manager, plan, room.now()),
        () => [null],
      ),
    );
  });
  return router;
}
