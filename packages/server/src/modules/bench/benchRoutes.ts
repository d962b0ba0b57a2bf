import type { Health, ShelfView } from '@sardonyx/contract';
import { Router } from 'express';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { look, type Workroom } from '../../workroom.ts';
import { readBench } from './readBench.ts';

export function createBenchRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/health', (_request, response) => {
    const health: Health = { ok: true, now: room.now().toISOString(), benchName: room.benchName, isDemo: room.isDemo };
    response.json(health);
  });
  router.get('/bench', async (_request, response) => {
    response.json(await look(room, (manager) => readBench(manager, room.now())));
  });
  router.get('/shelf', async (_request, response) => {
    const shelf: ShelfView = {
      products: await room.source.manager.find(PaintProductRow, { order: { line: 'ASC', name: 'ASC' } }),
      pots: await room.source.manager.find(PaintPotRow),
    };
    response.json(shelf);
  });
  return router;
}
