import type { Health } from '@sardonyx/contract';
import { Router } from 'express';
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
  return router;
}
