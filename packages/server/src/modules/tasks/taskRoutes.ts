import { ActOnTask } from '@sardonyx/contract';
import { Router } from 'express';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { actOnTask } from './actOnTask.ts';

/** What is done about tasks. */
export function createTaskRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/tasks/:id/acts', async (request, response) => {
    const body = await validateBody(ActOnTask, request.body);
    const task = await change(
      room,
      (manager) => actOnTask(manager, request.params.id, body, room.now()),
      // What is rinsed out of the gun, or taken out of a drawer, is so for other jobs as well.
      ({ jobId, act, uses }) => (act === 'rinse-gun' || act === 'close' || uses.length ? 'all' : [jobId]),
    );
    response.json(task);
  });
  return router;
}
