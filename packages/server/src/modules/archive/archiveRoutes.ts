import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Router, type Request, type Response } from 'express';
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
  router.get('/jobs/:id/archive.zip', (request, response) => sendArchive(room, [request.params.id], request, response));
  router.get('/archive.zip', (request, response) => sendArchive(room, readChosen(request.query), request, response));
  router.post('/archive.zip', async (request, response) => {
    if (!request.is('application/zip')) throw badInput('Nothing was taken: send the ZIP of an archive of jobs.');
    const { look, ...others } = request.query;
    if (Object.keys(others).length || (look !== undefined && look !== '1'))
      throw badInput('Say look=1 to look at it first, or nothing to take it in.');
    const path = draftPath(room);
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

const draftPath = ({ folder }: Workroom) => join(folder, `${DRAFT_PREFIX}${randomUUID()}.part`);

async function sendArchive(
  room: Workroom,
  jobIds: readonly string[],
  request: Request<object>,
  response: Response,
): Promise<void> {
  const to = draftPath(room);
  const base = `http://${request.headers.host ?? 'localhost'}`;
  const order = { jobIds, folder: room.folder, to, benchName: room.benchName, base, at: room.now().toISOString() };
  const packing = runAside(room, 'pack', order);
  const stop = () => packing.stop();
  response.on('close', stop);
  try {
    const { name } = await packing.ended;
    response.off('close', stop).attachment(name).type('zip');
    await pipeline(createReadStream(to), response);
  } catch (error) {
    // Whoever asked has left: there is nobody to tell.
    if (!response.destroyed) throw error;
  } finally {
    await rm(to, { force: true });
  }
}

/** ?job=ID, once or more; without any, all jobs. */
function readChosen(query: Readonly<Record<string, unknown>>): string[] {
  const { job = [], ...others } = query;
  const ids = [job].flat();
  if (Object.keys(others).length || !ids.every((id): id is string => typeof id === 'string' && id !== ''))
    throw badInput('Name jobs by job=ID, or none for all of them.');
  return ids;
}
