import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { DRAFT_PREFIX } from '../../disk/folderNames.ts';
import { limitBytes } from '../../disk/limitBytes.ts';
import { keepCopy, listCopies } from '../../disk/keepCopies.ts';
import { badInput, HttpError } from '../../http/errors.ts';
import { withDisk, type Workroom } from '../../workroom.ts';
import { restoreCopy } from './restoreCopy.ts';
import { restoreEverything } from './restoreEverything.ts';
import { saveEverything } from './saveEverything.ts';

const MOST_BYTES = 8 * 1024 ** 3;
const TOO_BIG = new HttpError(413, { code: 'too-big', message: 'Nothing was replaced: the file is larger than 8 GB.' });

export function createKeepsakeRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/everything.zip', async (_request, response) => {
    response.attachment(`sardonyx-${room.now().toISOString().slice(0, 10)}.zip`).type('zip');
    try {
      await saveEverything(room, response);
      response.end();
    } catch (error) {
      if (!response.headersSent) throw error;
      // Half a ZIP must not look like a whole one.
      room.log.error({ err: error }, 'save everything');
      response.destroy();
    }
  });
  router.post('/everything.zip', async (request, response) => {
    if (!request.is('application/zip'))
      throw badInput('Nothing was replaced: send the ZIP that "Save everything" made.');
    const zip = join(room.folder, `${DRAFT_PREFIX}${randomUUID()}.part`);
    try {
      await withDisk(room, () => pipeline(request, limitBytes(MOST_BYTES, TOO_BIG), createWriteStream(zip)));
      const isGone = () => response.destroyed;
      response.json({ keptIn: await restoreEverything(room, zip, isGone) });
    } finally {
      await rm(zip, { force: true });
    }
  });
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
