import { writeCostCsv } from '@sardonyx/core';
import { Router } from 'express';
import { look, type Workroom } from '../../workroom.ts';
import { readCost } from './readCost.ts';

/** What a job has cost, on the page and as a file. */
export function createCostRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id/cost', async (request, response) => {
    response.json(await look(room, (manager) => readCost(manager, request.params.id)));
  });
  router.get('/jobs/:id/cost.csv', async (request, response) => {
    const cost = await look(room, (manager) => readCost(manager, request.params.id));
    response.attachment(`${request.params.id}-cost.csv`).type('text/csv').send(writeCostCsv(cost));
  });
  return router;
}
