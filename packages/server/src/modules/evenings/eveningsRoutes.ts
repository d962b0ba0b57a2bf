import { KeepEveningsPlan } from '@sardonyx/contract';
import { Router } from 'express';
import { sendKept } from '../../http/sendKept.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { keepPlan } from './keepPlan.ts';
import { notFound } from '../../http/errors.ts';
import { readEvenings } from './readEvenings.ts';
import { readHours } from './readHours.ts';
import { writeCalendar } from './writeCalendar.ts';

/** What the evenings are planned from, and the plan that stands. */
export function createEveningsRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/evenings', async (_request, response) => {
    await sendKept(room, response, 'views', 'evenings', (manager) => readEvenings(manager, room));
  });
  router.get('/evenings/hours', async (_request, response) => {
    response.json(await look(room, (manager) => readHours(manager, room)));
  });
  // Calendars look again by themselves: what they are shown is what is kept.
  router.get('/evenings/calendar.ics', async (request, response) => {
    const { restorer } = request.query;
    const restorerId = typeof restorer === 'string' ? restorer : null;
    const view = await look(room, (manager) => readEvenings(manager, room));
    if (restorerId !== null && !view.restorers.some(({ id }) => id === restorerId)) throw notFound('This restorer');
    const text = writeCalendar(view, { benchName: room.benchName, restorerId, now: room.now() });
    response.set('Content-Type', 'text/calendar; charset=utf-8').send(text);
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
