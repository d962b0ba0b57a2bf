import { ChangeBuild, CreateCasting, WriteIssueDown, WriteSheet, WriteTrace } from '@sardonyx/contract';
import { writeCatalogueCsv } from '@sardonyx/core';
import { Router, text } from 'express';
import { badInput, notFound } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { addCasting } from './addCasting.ts';
import { changeBuild } from './changeBuild.ts';
import { readCatalogueTables } from './catalogueFile.ts';
import { beginImport, cancel, carryOut, type RunningImport } from './runningImport.ts';
import { readCastingPhotos } from './readCastingPhotos.ts';
import { readCastingView } from './readCastingView.ts';
import { readCatalogue } from './readCatalogueView.ts';
import { readIdentifyCatalogue } from './readIdentifyCatalogue.ts';
import { writeSheet } from './writeSheet.ts';
import { writeIssueDown } from './writeIssueDown.ts';
import { writeTrace } from './writeTrace.ts';
import { readCatalogueJson } from './catalogueJson.ts';

export function createCatalogueRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/castings', async (_request, response) => {
    response.json(await look(room, readCatalogue));
  });
  router.get('/castings/:id', async (request, response) => {
    response.json(await look(room, (manager) => readCastingView(manager, request.params.id)));
  });
  router.get('/castings/:id/identify', async (request, response) => {
    const { id } = request.params;
    response.json(await look(room, (manager) => readIdentifyCatalogue(manager, id)));
  });
  router.post('/castings', async (request, response) => {
    const body = await validateBody(CreateCasting, request.body);
    const casting = await change(room, (manager) => addCasting(manager, body));
    response.status(201).json(casting);
  });
  router.put('/castings/:id/build', async (request, response) => {
    const body = await validateBody(ChangeBuild, request.body);
    response.json(await change(room, (manager) => changeBuild(manager, request.params.id, body, room.now())));
  });
  router.put('/castings/:id/traces/:view', async (request, response) => {
    const { id, view } = request.params;
    const body = await validateBody(WriteTrace, request.body);
    response.json(await change(room, (manager) => writeTrace(manager, id, view, body)));
  });
  router.get('/castings/:id/photos', async (request, response) => {
    response.json(await look(room, (manager) => readCastingPhotos(manager, request.params.id)));
  });
  router.put('/castings/:id/issues', async (request, response) => {
    const body = await validateBody(WriteSheet, request.body);
    response.json(await change(room, (manager) => writeSheet(manager, request.params.id, body)));
  });
  router.post('/specimens/:id/issue', async (request, response) => {
    const body = await validateBody(WriteIssueDown, request.body);
    response.status(201).json(await change(room, (manager) => writeIssueDown(manager, request.params.id, body)));
  });
  router.get('/catalogue.csv', async (_request, response) => {
    const csv = writeCatalogueCsv(await look(room, readCatalogueTables));
    response.attachment('catalogue.csv').type('text/csv').send(csv);
  });
  router.get('/catalogue.json', async (_request, response) => {
    const file = await look(room, readCatalogueJson);
    response.attachment('catalogue.json').json(file);
  });
  addImportRoutes(router, room);
  return router;
}

/** An import runs on while the page asks how it stands; the last few reports are kept. */
function addImportRoutes(router: Router, room: Workroom): void {
  const imports = new Map<string, RunningImport>();
  const find = (id: string) => {
    const running = imports.get(id);
    if (!running) throw notFound('This import');
    return running;
  };
  router.post(
    '/catalogue/imports',
    text({ type: ['text/csv', CATALOGUE_TYPE], limit: '80mb' }),
    (request, response) => {
      if (typeof request.body !== 'string')
        throw badInput(`Nothing was read: send the file as text/csv or ${CATALOGUE_TYPE}.`);
      const kind = request.is(CATALOGUE_TYPE) ? 'json' : 'csv';
      const running = beginImport(room, { text: request.body, kind }, { isOnlyLook: request.query.look === '1' });
      imports.set(running.report.id, running);
      if (imports.size > KEPT_IMPORTS) imports.delete(imports.keys().next().value!);
      response.status(202).json(running.report);
    },
  );
  router.get('/catalogue/imports/:id', (request, response) => {
    response.json(find(request.params.id).report);
  });
  router.post('/catalogue/imports/:id/carry-out', (request, response) => {
    const running = find(request.params.id);
    carryOut(room, running);
    response.status(202).json(running.report);
  });
  router.delete('/catalogue/imports/:id', (request, response) => {
    cancel(find(request.params.id));
    response.status(204).end();
  });
}

const KEPT_IMPORTS = 20;
/** Not application/json: whole catalogues are larger than other requests may be. */
const CATALOGUE_TYPE = 'application/vnd.sardonyx-catalogue+json';
