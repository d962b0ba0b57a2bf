import { AddPot, MovePot, ShelfFile } from '@sardonyx/contract';
import {
  computeLab,
  isOutsideModel,
  predictMix,
  selectOptics,
  surfaceOf,
  writeCgats,
  writeShelfCsv,
} from '@sardonyx/core';
import { Router } from 'express';
import { PaintPotRow, type PaintProductRow } from '../../entities/paint.ts';
import { runAside } from '../../aside/runAside.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { addPot } from './addPot.ts';
import { movePot, readPotLog } from './movePot.ts';
import { readShelf } from './readShelf.ts';

/** Pots: what stands on the shelf, what comes onto it, and the shelf as files. */
export function createShelfRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/shelf', async (_request, response) => {
    response.json(await look(room, readShelf));
  });
  router.post('/shelf/pots', async (request, response) => {
    const body = await validateBody(AddPot, request.body);
    response.status(201).json(await change(room, (manager) => addPot(manager, body, room.now())));
  });
  router.get('/paint-pots/:id/movements', async (request, response) => {
    const log = await look(room, async (manager) => {
      const { id } = await findRow(manager, PaintPotRow, request.params.id, 'This pot');
      return readPotLog(manager, id);
    });
    response.json(log);
  });
  router.post('/paint-pots/:id/movements', async (request, response) => {
    const body = await validateBody(MovePot, request.body);
    const movement = await change(room, async (manager) => {
      await assertJobIsOpen(manager, body.jobId);
      const { id } = await findRow(manager, PaintPotRow, request.params.id, 'This pot');
      return movePot(manager, id, body, room.now());
    });
    response.status(201).json(movement);
  });
  router.post('/shelf/files', async (request, response) => {
    const body = await validateBody(ShelfFile, request.body);
    response.json(await runAside(room, 'shelf', { ...body, at: room.now().toISOString() }).ended);
  });
  router.get('/shelf.csv', async (_request, response) => {
    const { products, pots } = await look(room, readShelf);
    response.attachment('shelf.csv').type('text/csv').send(writeShelfCsv(products, pots));
  });
  router.get('/shelf.txt', async (_request, response) => {
    const { products } = await look(room, readShelf);
    response.attachment('shelf-spectra.txt').type('text/plain').send(writeSpectra(products));
  });
  return router;
}

/** Thick films of the paints of which more than a colour is known, as an instrument without gloss would see them. */
function writeSpectra(products: readonly PaintProductRow[]): string {
  const samples = products.flatMap((product) => {
    const optics = product.optics && !isOutsideModel(product.gloss) ? selectOptics(product) : null;
    if (!optics) return [];
    const spectrum = [...predictMix([optics], [1], surfaceOf('gloss left out'))];
    return [{ name: `${product.line} ${product.name}`, share: 1, lab: computeLab(spectrum), spectrum }];
  });
  return writeCgats(samples, 'Thick films, D65, 2 degrees, gloss left out');
}
