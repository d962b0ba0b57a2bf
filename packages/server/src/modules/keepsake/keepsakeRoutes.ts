import express, { Router } from 'express';
import { keepCopy, listCopies } from '../../disk/keepCopies.ts';
import { badInput } from '../../http/errors.ts';
import { withDisk, type Workroom } from '../../workroom.ts';
import { restoreCopy } from './restoreCopy.ts';
import { restoreEverything } from './restoreEverything.ts';
import { saveEverything } from './saveEverything.ts';

const MAX_BYTES = 2 * 1024 ** 3;

export function createKeepsakeRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/everything.zip', async (_request, response) => {
    const zip = await saveEverything(room);
    response
      .attachment(`sardonyx-${room.now().toISOString().slice(0, 10)}.zip`)
      .type('zip')
      .send(Buffer.from(zip));
  });
  router.post(
    '/everything.zip',
    express.raw({ type: 'application/zip', limit: MAX_BYTES }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body))
        throw badInput('Nothing was replaced: send the ZIP that "Save everything" made.');
      const isGone = () => response.destroyed;
      response.json({ keptIn: await restoreEverything(room, request.body, isGone) });
    },
  );
  router.get('/copies', async (_request, response) => {
    response.json(await listCopies(room.folder));
  });
  router.post('/copies', async (_request, response) => {
    await withDisk(room, () => keepCopy(room.folder, 'a day', room.now()));
    response.status(201).json(await listCopies(room.folder));
  });
  router.post('/copies/:name/restore', async (request, response) => {
    response.json({ keptIn: await restoreCopy(room, request.params.name) });
  });
  return router;
}
