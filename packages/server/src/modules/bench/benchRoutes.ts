import type { Health } from '@sardonyx/contract';
import { Router } from 'express';
import { tryDisk } from '../../disk/tryDisk.ts';
import { look, type Workroom } from '../../workroom.ts';
import { noteClock } from './noteClock.ts';
import { writeBench } from './readBench.ts';

export function createBenchRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/health', (_request, response) => {
    // Whoever asks again sees how it went: an answer to this never waits for the disk.
    void tryDisk(room);
    noteClock(room).catch((error: unknown) => room.log.error({ err: error }, 'the clock beside the log'));
    const { benchName, isDemo, trouble, clockBehind } = room;
    const health: Health = { ok: true, now: room.now().toISOString(), benchName, isDemo, trouble, clockBehind };
    response.json(health);
  });
  router.get('/bench', async (_request, response) => {
    const text = await look(room, (manager) => writeBench(manager, room));
    response.set('Content-Type', 'application/json; charset=utf-8').end(text);
  });
  return router;
}
