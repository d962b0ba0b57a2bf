import { MoveStock, StockFile } from '@sardonyx/contract';
import { writeStockCsv } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { runAside } from '../../aside/runAside.ts';
import { StockMovementRow, StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { sendKept } from '../../http/sendKept.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readAllAxles } from '../tasks/readAllAxles.ts';
import { moveStock } from './moveStock.ts';
import { receivePicture } from '../photos/receivePicture.ts';
import { badInput } from '../../http/errors.ts';
import { setPicture } from './setPicture.ts';
import { readStock } from './readStock.ts';

/** Drawers: what lies in them, the log of each thing, and all of it as a file. */
export function createStockRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/stock', async (_request, response) => {
    await sendKept(room, response, 'views', 'stock', (manager) => readStock(manager, room.now()));
  });
  router.get('/stock-things/:id/movements', async (request, response) => {
    const log = await look(room, async (manager) => {
      const { id } = await findRow(manager, StockThingRow, request.params.id, 'This thing');
      return manager.find(StockMovementRow, { where: { thingId: id }, order: { seq: 'ASC' } });
    });
    response.json(log);
  });
  router.post('/stock-things/:id/movements', async (request, response) => {
    const body = await validateBody(MoveStock, request.body);
    // What is in hand stands in every job.
    const movement = await change(room, async (manager) => {
      await assertJobIsOpen(manager, body.jobId);
      const thing = await findRow(manager, StockThingRow, request.params.id, 'This thing');
      return moveStock(manager, thing, body, room.now());
    });
    response.status(201).json(movement);
  });
  router.get('/axles', async (_request, response) => {
    response.json(await look(room, readAllAxles));
  });
  router.post('/stock-things/:id/picture', receivePicture(), async (request, response) => {
    if (!request.file) throw badInput('No picture came along. Nothing was saved.');
    response.status(201).json(await setPicture(room, String(request.params.id), request.file.buffer));
  });
  router.delete('/stock-things/:id/picture', async (request, response) => {
    response.json(await setPicture(room, request.params.id, null));
  });
  router.post('/stock/files', async (request, response) => {
    const body = await validateBody(StockFile, request.body);
    response.json(await runAside(room, 'stock', { ...body, at: room.now().toISOString() }).ended);
  });
  router.get('/stock.csv', async (_request, response) => {
    const lines = await look(room, listLines);
    response.attachment('drawers.csv').type('text/csv').send(writeStockCsv(lines));
  });
  return router;
}

/** A thing's price is that of what came last. */
async function listLines(manager: EntityManager) {
  const suppliers = await manager.find(SupplierRow);
  return (await manager.find(StockThingRow)).map(({ state, supplierId, ...thing }) => ({
    ...thing,
    amount: state.onHand,
    unitPrice: state.lots.at(-1)?.unitPrice ?? null,
    batch: state.lots.at(-1)?.batch ?? '',
    supplier: suppliers.find(({ id }) => id === supplierId)?.name ?? '',
  }));
}
