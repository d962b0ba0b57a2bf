import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';
import { countOnce } from './http/countOnce.ts';
import { notFound, sendError } from './http/errors.ts';
import { logRequests } from './http/log.ts';
import { guardOrigin } from './http/guardOrigin.ts';
import { protectPage } from './http/protectPage.ts';
import { createBenchRoutes } from './modules/bench/benchRoutes.ts';
import { createCatalogueRoutes } from './modules/catalogue/catalogueRoutes.ts';
import { createColourRoutes } from './modules/colour/colourRoutes.ts';
import { createCoatRoutes } from './modules/coats/coatRoutes.ts';
import { createFilmRoutes } from './modules/film/filmRoutes.ts';
import { createFindRoutes } from './modules/find/findRoutes.ts';
import { createHouseRoutes } from './modules/house/houseRoutes.ts';
import { createInstrumentRoutes } from './modules/instruments/instrumentRoutes.ts';
import { createJobRoutes } from './modules/jobs/jobRoutes.ts';
import { createKeepsakeRoutes } from './modules/keepsake/keepsakeRoutes.ts';
import { createPassRoutes } from './modules/passes/passRoutes.ts';
import { createPhoneRoutes, type PhonePlace } from './modules/phone/phoneRoutes.ts';
import { createPhotoRoutes } from './modules/photos/photoRoutes.ts';
import { createEveningsRoutes } from './modules/evenings/eveningsRoutes.ts';
import { createDecalRoutes } from './modules/decals/decalRoutes.ts';
import { createPrintRoutes } from './modules/prints/printRoutes.ts';
import { createRecordRoutes } from './modules/record/recordRoutes.ts';
import { createArchiveRoutes } from './modules/archive/archiveRoutes.ts';
import { createSigningRoutes } from './modules/signing/signingRoutes.ts';
import { createRowRoutes } from './modules/rows/rowRoutes.ts';
import { createShelfRoutes } from './modules/shelf/shelfRoutes.ts';
import { createLabelRoutes } from './modules/labels/labelRoutes.ts';
import { createCostRoutes } from './modules/cost/costRoutes.ts';
import { createOrderRoutes } from './modules/orders/orderRoutes.ts';
import { createStockRoutes } from './modules/stock/stockRoutes.ts';
import { createTaskRoutes } from './modules/tasks/taskRoutes.ts';
import { createTimerRoutes } from './modules/timers/timerRoutes.ts';
import { createWorkshopRoutes } from './modules/workshop/workshopRoutes.ts';
import type { Workroom } from './workroom.ts';

export interface AppOptions {
  readonly room: Workroom;
  /** Folder of the built page; null serves the interface only. */
  readonly webRoot: string | null;
  /** A host name besides loopback under which the bench may be reached. */
  readonly allowedHost?: string | null;
  /** Where phones are listened for, once they are let in; loopback on a free port when left out. */
  readonly phones?: PhonePlace;
}

const NO_PHONES: PhonePlace = { host: '127.0.0.1', port: 0 };

/** The whole server without listening. */
export function createApp({ room, webRoot, allowedHost = null, phones = NO_PHONES }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  app.use(protectPage());
  app.use(logRequests(room.log));
  app.use(guardOrigin(allowedHost));
  // A shelf comes as one text.
  app.use(['/api/shelf/files', '/api/stock/files'], express.json({ limit: '8mb' }));
  app.use('/api', express.json({ limit: '1mb' }));
  app.use('/api', countOnce());
  const modules = [
    createBenchRoutes,
    createJobRoutes,
    createTaskRoutes,
    createCoatRoutes,
    createFilmRoutes,
    createColourRoutes,
    createShelfRoutes,
    createStockRoutes,
    createOrderRoutes,
    createCostRoutes,
    createLabelRoutes,
    createPrintRoutes,
    createDecalRoutes,
    createEveningsRoutes,
    createPhotoRoutes,
    createTimerRoutes,
    createPassRoutes,
    createWorkshopRoutes,
    createInstrumentRoutes,
    createRecordRoutes,
    createSigningRoutes,
    createArchiveRoutes,
    createCatalogueRoutes,
    createHouseRoutes,
    createKeepsakeRoutes,
    createFindRoutes,
    createRowRoutes,
  ];
  for (const createRoutes of modules) app.use('/api', createRoutes(room));
  app.use('/api', createPhoneRoutes(room, phones, webRoot));
  app.use('/api', (request) => {
    throw notFound(`${request.method} ${request.originalUrl}`);
  });
  if (webRoot && existsSync(webRoot)) servePage(app, webRoot);
  app.use(sendError);
  return app;
}

/** The built page; every address that is not a file is one of its views. */
function servePage(app: Express, webRoot: string): void {
  app.use('/assets', express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(webRoot, { index: false }));
  app.get('/{*splat}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'), { dotfiles: 'allow' });
  });
}
