import { PlaceOrder, ReceiveLine, PutBackWant, SetBitHere, TakeFromDonor, TakeWant } from '@sardonyx/contract';
import { writeOrdersCsv } from '@sardonyx/core';
import { Router } from 'express';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { placeOrder } from './placeOrder.ts';
import { readOrders } from './readOrders.ts';
import { setBitHere } from './setBitHere.ts';
import { putBackWant, takeWant } from './takeWant.ts';
import { takeFromDonor } from './takeFromDonor.ts';
import { receiveLine } from './receiveLine.ts';

/** What is to be ordered over all jobs, what is on its way, and what came. */
export function createOrderRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/orders', async (_request, response) => {
    response.json(await look(room, (manager) => readOrders(manager, room.now())));
  });
  router.get('/orders.csv', async (_request, response) => {
    const { lacking, suppliers } = await look(room, (manager) => readOrders(manager, room.now()));
    response
      .attachment('to-order.csv')
      .type('text/csv')
      .send(writeOrdersCsv(lacking, (id) => suppliers.find((supplier) => supplier.id === id)?.name ?? ''));
  });
  router.post('/orders', async (request, response) => {
    const body = await validateBody(PlaceOrder, request.body);
    response.status(201).json(await change(room, (manager) => placeOrder(manager, body, room.now())));
  });
  router.post('/order-lines/:id/arrival', async (request, response) => {
    const body = await validateBody(ReceiveLine, request.body);
    const line = await change(room, (manager) => receiveLine(manager, request.params.id, body, room.now()));
    response.status(201).json(line);
  });
  router.post('/wants/:id/donor', async (request, response) => {
    const body = await validateBody(TakeFromDonor, request.body);
    const want = await change(room, (manager) => takeFromDonor(manager, request.params.id, body, room.now()));
    response.status(201).json(want);
  });
  router.post('/wants/:id/taken', async (request, response) => {
    const body = await validateBody(TakeWant, request.body);
    response.status(201).json(await change(room, (manager) => takeWant(manager, request.params.id, body, room.now())));
  });
  router.post('/wants/:id/put-back', async (request, response) => {
    const { who } = await validateBody(PutBackWant, request.body);
    response.json(await change(room, (manager) => putBackWant(manager, request.params.id, who, room.now())));
  });
  router.post('/wants/:id/bits/:bitId/here', async (request, response) => {
    const body = await validateBody(SetBitHere, request.body);
    const { id: wantId, bitId } = request.params;
    response.json(await change(room, (manager) => setBitHere(manager, { wantId, bitId }, body, room.now())));
  });
  return router;
}
