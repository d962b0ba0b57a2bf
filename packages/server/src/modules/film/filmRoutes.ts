import { ReadRoom } from '@sardonyx/contract';
import { Router } from 'express';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { createInstruments } from '../instruments/readInstrument.ts';
import { readColourNeeds } from './readColourNeeds.ts';
import { readGun } from './readGun.ts';
import { readSizesElsewhere } from './readSizesElsewhere.ts';
import { logRoom, readThermometer } from './roomLog.ts';

/** What the workroom is like, typed or read off its thermometer; over all jobs, what paint they need and where the gun goes. */
export function createFilmRoutes(room: Workroom): Router {
  const router = Router();
  const { readNow } = createInstruments(() => room.source.manager);
  router.post('/room', async (request, response) => {
    const body = await validateBody(ReadRoom, request.body);
    const reading = { ...body, at: room.now().toISOString(), origin: 'typed' } as const;
    response.status(201).json(await change(room, (manager) => logRoom(manager, reading)));
  });
  router.post('/room/read', async (_request, response) => {
    const reading = await look(room, (manager) => readThermometer(manager, readNow, room.now()));
    if (!reading) throw refused('no-thermometer', 'There is no thermometer of the room: add one in the workshop.');
    response.status(201).json(await change(room, (manager) => logRoom(manager, reading)));
  });
  router.get('/gun', async (_request, response) => {
    response.json(await look(room, (manager) => readGun(manager, room.now())));
  });
  router.get('/colour-needs', async (_request, response) => {
    response.json(await look(room, readColourNeeds));
  });
  router.get('/areas/:id/elsewhere', async (request, response) => {
    response.json(await look(room, (manager) => readSizesElsewhere(manager, request.params.id)));
  });
  return router;
}
