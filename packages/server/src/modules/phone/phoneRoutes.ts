import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { OpenPhoneDoor, ShowToPhone, type PhoneDoorView } from '@sardonyx/contract';
import { Router } from 'express';
import { HttpError } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import type { Workroom } from '../../workroom.ts';
import { createPhoneApp } from './createPhoneApp.ts';
import { listOwnAddresses } from './ownAddresses.ts';
import { createPhoneDoor } from './phoneDoor.ts';
import { createPieces } from './pieces.ts';

/** Where phones are listened for while the door is open. */
export interface PhonePlace {
  readonly host: string;
  readonly port: number;
}

/** An evening ends by itself, looked at or not. */
const LOOK_MS = 30_000;

/** The door for phones, worked from the bench: off until it is opened, and on a port of its own while it is. */
export function createPhoneRoutes(room: Workroom, { host, port }: PhonePlace, webRoot: string | null): Router {
  const router = Router();
  const pieces = createPieces(room.folder);
  let server: Server | null = null;
  const stopListening = (): void => {
    server?.close();
    server?.closeAllConnections();
    server = null;
    void pieces.dropAll();
  };
  const door = createPhoneDoor(room.now, stopListening);
  const app = createPhoneApp({ room, door, pieces, webRoot });
  setInterval(() => void door.look(), LOOK_MS).unref();

  const describe = (): PhoneDoorView => {
    const own = server?.address() as AddressInfo | null | undefined;
    const names = host === '0.0.0.0' ? listOwnAddresses() : [host];
    return { ...door.describe(), addresses: own ? names.map((name) => `http://${name}:${own.port}/`) : [] };
  };

  let opening: Promise<void> | null = null;
  const open = async (hours: number): Promise<void> => {
    server = await listen(app, host, port);
    door.open(hours);
  };

  router.get('/phone', (_request, response) => {
    response.json(describe());
  });
  router.post('/phone/open', async (request, response) => {
    const { hours } = await validateBody(OpenPhoneDoor, request.body);
    // Pressed twice at once it is opened once.
    if (!door.look()) await (opening ??= open(hours).finally(() => (opening = null)));
    response.json(describe());
  });
  router.post('/phone/shut', (_request, response) => {
    door.shut('It was shut at the bench.');
    response.json(describe());
  });
  router.put('/phone/shown', async (request, response) => {
    const { jobId, station } = await validateBody(ShowToPhone, request.body);
    door.show({ jobId, station });
    response.status(204).end();
  });
  router.delete('/phone/devices/:id', (request, response) => {
    door.sendOut(request.params.id);
    response.json(describe());
  });
  return router;
}

function listen(app: ReturnType<typeof createPhoneApp>, host: string, port: number): Promise<Server> {
  return new Promise((done, fail) => {
    const server = createServer(app);
    // It must not keep a bench open that is ended.
    server.unref();
    server.once('error', (error: NodeJS.ErrnoException) =>
      fail(
        new HttpError(422, {
          code: 'no-port',
          message: `Phones cannot be listened for on port ${port} (${error.code}). Set SARDONYX_PHONE_PORT to a free one and start the bench again.`,
        }),
      ),
    );
    server.listen(port, host, () => done(server));
  });
}
