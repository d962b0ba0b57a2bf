import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { BeginPicture, EnterByPhone, TickByPhone } from '@sardonyx/contract';
import { isGraveStep, selectNextOfJob, stageOfStation } from '@sardonyx/core';
import express, { type Express, type Request } from 'express';
import { TaskRow } from '../../entities/work.ts';
import { countOnce } from '../../http/countOnce.ts';
import { badInput, HttpError, notFound, refused, sendError } from '../../http/errors.ts';
import { logRequests } from '../../http/log.ts';
import { protectPage } from '../../http/protectPage.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, withDisk, type Workroom } from '../../workroom.ts';
import { keepPhoto } from '../photos/keepPhoto.ts';
import { actOnTask } from '../tasks/actOnTask.ts';
import { isOwnHost } from './ownAddresses.ts';
import type { PhoneDoor } from './phoneDoor.ts';
import { PIECE_BYTES, type createPieces } from './pieces.ts';
import { readPhoneView } from './readPhoneView.ts';

const COOKIE = 'sardonyx-phone';
/** Whoever guesses waits. */
const WRONG_WAIT_MS = 700;

export interface PhoneAppOptions {
  readonly room: Workroom;
  readonly door: PhoneDoor;
  readonly pieces: ReturnType<typeof createPieces>;
  readonly webRoot: string | null;
}

/** All that a phone can reach: its own page, the step in hand with its clocks, pictures in, one tick. Nothing else of the bench. */
export function createPhoneApp({ room, door, pieces, webRoot }: PhoneAppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  app.use(protectPage());
  app.use(logRequests(room.log));
  app.use(guardPhone);
  app.use('/phone', express.json({ limit: '16kb' }));
  app.use('/phone', countOnce());
  const deviceOf = (request: Request) => door.find(readCookie(request));

  app.post('/phone/enter', async (request, response) => {
    const { pin, who } = await validateBody(EnterByPhone, request.body);
    try {
      const { secret, device } = door.enter(pin, who);
      response.cookie(COOKIE, secret, { httpOnly: true, sameSite: 'strict', path: '/phone' });
      response.json({ mark: device.mark });
    } catch (error) {
      await wait(WRONG_WAIT_MS);
      throw error;
    }
  });
  app.get('/phone/now', async (request, response) => {
    const device = deviceOf(request);
    const { closesAt } = door.look()!;
    const now = room.now();
    response.json(await look(room, (manager) => readPhoneView(manager, door.shown(), device, closesAt, now)));
  });
  app.post('/phone/tick', async (request, response) => {
    const device = deviceOf(request);
    const { taskId } = await validateBody(TickByPhone, request.body);
    await change(room, async (manager) => {
      const { jobId } = door.shown();
      const tasks = jobId === null ? [] : await manager.findBy(TaskRow, { jobId });
      const { task } = selectNextOfJob(tasks, room.now());
      if (task?.id !== taskId) throw refused('not-shown', 'This is not the step in hand any more. Nothing was ticked.');
      // What is asked before such a step is asked where it can be answered.
      if (isGraveStep(task) && task.state === 'to do')
        throw refused('at-the-bench', 'This step is begun at the bench. Nothing was ticked.');
      const done = { act: 'done', who: device.who, note: '' } as const;
      return actOnTask(manager, taskId, done, room.now());
    });
    door.noteAct();
    response.status(204).end();
  });
  app.post('/phone/leave', (request, response) => {
    door.sendOut(deviceOf(request).id);
    response.clearCookie(COOKIE, { path: '/phone' }).status(204).end();
  });

  app.post('/phone/pictures', async (request, response) => {
    const device = deviceOf(request);
    const said = await validateBody(BeginPicture, request.body);
    const { jobId, station } = door.shown();
    // It belongs to what stood open when it was taken, whatever is opened while it comes.
    if (said.jobId !== jobId || said.stage !== stageOfStation(station))
      throw refused(
        'not-shown',
        'Something else stands open on the bench now. Nothing was sent: look, and take it again.',
      );
    const picture = pieces.begin(said, device.id);
    response.status(201).json({ id: picture.id, at: 0, pieceBytes: PIECE_BYTES });
  });
  app.get('/phone/pictures/:id', (request, response) => {
    response.json({ at: pieces.find(request.params.id, deviceOf(request).id).at });
  });
  const readPiece = express.raw({ type: 'application/octet-stream', limit: PIECE_BYTES });
  app.put('/phone/pictures/:id', readPiece, async (request, response) => {
    const picture = pieces.find(request.params.id as string, deviceOf(request).id);
    const at = Number(request.query.at);
    const piece: unknown = request.body;
    if (!Number.isInteger(at) || at < 0 || !Buffer.isBuffer(piece)) throw badInput('This is no piece of a picture.');
    await withDisk(room, () => pieces.add(picture, at, piece));
    response.json({ at: picture.at });
  });
  app.post('/phone/pictures/:id/done', async (request, response) => {
    const device = deviceOf(request);
    const picture = pieces.find(request.params.id, device.id);
    const { jobId, stage, side } = picture.said;
    const description = { jobId, stage, side, caption: '' };
    const bytes = await withDisk(room, () => pieces.read(picture));
    const photo = await keepPhoto(room, description, bytes).catch(async (error: unknown) => {
      // What is no picture will not become one.
      if (error instanceof HttpError && error.status === 400) await pieces.drop(picture);
      throw error;
    });
    await pieces.drop(picture);
    door.noteAct();
    response.status(201).json({ hash: photo.hash });
  });

  app.use('/phone', (request) => {
    throw notFound(`${request.method} ${request.originalUrl}`);
  });
  if (webRoot && existsSync(webRoot)) {
    app.use('/assets', express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
    app.get('/mark.svg', (_request, response) => response.sendFile(join(webRoot, 'mark.svg'), { dotfiles: 'allow' }));
    app.get('/', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'phone.html'), { dotfiles: 'allow' });
    });
  }
  app.use((request) => {
    throw notFound(`${request.method} ${request.originalUrl}`);
  });
  app.use(sendError);
  return app;
}

/** The bench is called by its address, and by its own page. */
function guardPhone(request: Request, _response: express.Response, next: express.NextFunction): void {
  const host = request.headers.host ?? '';
  const { origin } = request.headers;
  const isRead = request.method === 'GET' || request.method === 'HEAD';
  if (isOwnHost(host) && (isRead ? origin === undefined || origin === `http://${host}` : origin === `http://${host}`))
    return next();
  next(new HttpError(403, { code: 'foreign', message: 'This bench only listens to its own page.' }));
}

function readCookie(request: Request): string | null {
  const pairs = (request.headers.cookie ?? '').split(';').map((pair) => pair.trim().split('='));
  return pairs.find(([name]) => name === COOKIE)?.[1] ?? null;
}
