import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Router, type Request } from 'express';
import { runAside } from '../../aside/runAside.ts';
import { DRAFT_PREFIX } from '../../disk/folderNames.ts';
import { limitBytes } from '../../disk/limitBytes.ts';
import { badInput } from '../../http/errors.ts';
import { withDisk, type Workroom } from '../../workroom.ts';
import { refuseArchive } from './refuseArchive.ts';

const MOST_BYTES = 4 * 1024 ** 3;

/** Whole jobs out of a bench and into another, as an open archive. */
export function createArchiveRoutes(room: Workroom): Router {
  const router = Router();
  const draftPath = () => join(room.folder, `${DRAFT_PREFIX}${randomUUID()}.part`);
  router.get(['/jobs/:id/archive.zip', '/archive.zip'], async (request: Request<{ id?: string }>, response) => {
    const to = draftPath();
    const order = {
      ...{ jobIds: request.params.id ? [request.params.id] : readChosen(request.query), folder: room.folder, to },
      ...{
        benchName: room.benchName,
        base: `http://${request.headers.host ?? 'localhost'}`,
        at: room.now().toISOString(),
      },
    };
    const packing = runAside(room, 'pack', order);
    const stop = () => packing.stop();
    response.on('close', stop);
    try {
      const { name } = await packing.ended;
      response.off('close', stop).attachment(name).type('zip');
      await pipeline(createReadStream(to), response);
    } finally {
      await rm(to, { force: true });
    }
  });
  router.post('/archive.zip', async (request, response) => {
    if (!request.is('application/zip')) throw badInput('Nothing was taken: send the ZIP of an archive of jobs.');
    const { look, ...others } = request.query;
    if (Object.keys(others).length || (look !== undefined && look !== '1'))
      throw badInput('Say look=1 to look at it first, or nothing to take it in.');
    const path = draftPath();
    try {
      await withDisk(room, () =>
        pipeline(
          request,
          limitBytes(MOST_BYTES, refuseArchive('the file is larger than 4 GB')),
          createWriteStream(path),
        ),
      );
      response.json(await runAside(room, 'take', { folder: room.folder, path, isOnlyLook: look === '1' }).ended);
    } finally {
      await rm(path, { force: true });
    }
  });
  return router;
}

/** ?job=ID, once or more; without any, all jobs. */
function readChosen(query: Readonly<Record<string, unknown>>): string[] {
  const { job = [], ...others } = query;
  const ids = [job].flat();
  if (Object.keys(others).length || !ids.every((id): id is string => typeof id === 'string' && id !== ''))
    throw badInput('Name jobs by job=ID, or none for all of them.');
  return ids;
}
