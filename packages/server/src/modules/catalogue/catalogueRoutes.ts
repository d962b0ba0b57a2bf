import { randomUUID } from 'node:crypto';
import { CreateCasting, RecordStates } from '@sardonyx/contract';
import { createBodyTypeDrawing, usualWayOf, writeCatalogueCsv, type PartRole } from '@sardonyx/core';
import { Router, text } from 'express';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow, JointRow, MakerRow, ToyRangeRow } from '../../entities/catalogue.ts';
import { badInput, notFound } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { readCatalogueTables } from './catalogueFile.ts';
import { beginImport, type RunningImport } from './importCatalogue.ts';
import { readCastingView } from './readCastingView.ts';
import { readCatalogue } from './readCatalogueView.ts';
import { readIdentifyCatalogue } from './readIdentifyCatalogue.ts';
import { recordStates } from './recordStates.ts';
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
  router.put('/variants/:id/recorded', async (request, response) => {
    const body = await validateBody(RecordStates, request.body);
    await change(room, (manager) => recordStates(manager, request.params.id, body));
    response.status(204).end();
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
      const running = beginImport(room, request.body, request.is(CATALOGUE_TYPE) ? 'json' : 'csv');
      imports.set(running.report.id, running);
      if (imports.size > KEPT_IMPORTS) imports.delete(imports.keys().next().value!);
      response.status(202).json(running.report);
    },
  );
  router.get('/catalogue/imports/:id', (request, response) => {
    response.json(find(request.params.id).report);
  });
  router.delete('/catalogue/imports/:id', (request, response) => {
    find(request.params.id).isCancelled = true;
    response.status(204).end();
  });
}

const KEPT_IMPORTS = 20;
/** Not application/json: whole catalogues are larger than other requests may be. */
const CATALOGUE_TYPE = 'application/vnd.sardonyx-catalogue+json';

async function addCasting(manager: EntityManager, body: CreateCasting): Promise<CastingRow> {
  if (!(await manager.existsBy(ToyRangeRow, { id: body.rangeId }))) await addOwnRange(manager, body.rangeId);
  const keys = new Set(body.parts.map((part) => part.key));
  if (keys.size < body.parts.length)
    throw badInput('Two parts have the same key.', { parts: 'Each part needs its own key.' });
  body.joints.forEach((joint, i) => {
    const unknown = joint.partKeys.find((key) => !keys.has(key));
    if (unknown)
      throw badInput(`The joint "${joint.label}" names a part "${unknown}" that is not on the list.`, {
        [`joints.${i}.partKeys`]: 'Choose parts of this casting.',
      });
  });
  if (await manager.existsBy(CastingRow, { rangeId: body.rangeId, number: body.number }))
    throw badInput(`Number ${body.number} is in this range already.`, { number: 'This number is taken.' });
  const { rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction } = body;
  const drawing = createBodyTypeDrawing(bodyType, lengthMm, wheelbaseMm);
  const casting = manager.create(CastingRow, {
    id: randomUUID(),
    version: 1,
    rangeId,
    number,
    name,
    bodyType,
    lengthMm,
    wheelbaseMm,
    construction,
    history: '',
    drawing,
  });
  await manager.insert(CastingRow, casting);
  for (const part of body.parts) {
    await manager.insert(CastingPartRow, {
      ...part,
      id: `${casting.id}.${part.key}`,
      version: 1,
      castingId: casting.id,
      dependentBits: '',
    });
  }
  // What sits inside is reached when body and base are apart.
  const roleOf = (key: string) => body.parts.find((part) => part.key === key)?.role;
  const isInside = (keys: readonly string[]) => keys.some((key) => INSIDE.has(roleOf(key)));
  const closing = body.joints.flatMap(({ partKeys }, i) => {
    const roles = partKeys.map(roleOf);
    return roles.includes('body') && roles.includes('base') ? [`joint-${i + 1}`] : [];
  });
  for (const [i, joint] of body.joints.entries()) {
    const key = `joint-${i + 1}`;
    await manager.insert(JointRow, {
      ...joint,
      id: `${casting.id}.${key}`,
      key,
      version: 1,
      castingId: casting.id,
      ways: [{ ...usualWayOf(joint.kind), behindJoints: isInside(joint.partKeys) ? closing : [] }],
    });
  }
  return casting;
}

const INSIDE: ReadonlySet<PartRole | undefined> = new Set(['glazing', 'interior']);

/** A bench without a catalogue begins one of its own. */
async function addOwnRange(manager: EntityManager, rangeId: string): Promise<void> {
  if (rangeId !== 'own')
    throw badInput('This range is not in the catalogue.', { rangeId: 'Choose one from the list.' });
  await manager.insert(MakerRow, {
    id: 'own',
    version: 1,
    name: 'Not sorted by maker',
    fromYear: null,
    toYear: null,
    about: '',
  });
  await manager.insert(ToyRangeRow, { id: 'own', version: 1, makerId: 'own', name: 'My own castings', about: '' });
}
