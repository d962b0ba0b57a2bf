import { randomUUID } from 'node:crypto';
import { StartTimer } from '@sardonyx/contract';
import { Router } from 'express';
import { TimerRow } from '../../entities/work.ts';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readTimers } from './readTimers.ts';

/** No job's view tells of clocks: the page asks for them by themselves. */
const touchesNoJob = () => [];

/** Clocks run on the server's time: every window sees the same, and a restart changes nothing. */
export function createTimerRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/timers', async (_request, response) => {
    response.json(await readTimers(room.source.manager, room.now()));
  });
  router.post('/timers', async (request, response) => {
    const { minutes, ...body } = await validateBody(StartTimer, request.body);
    const now = room.now();
    const timer = await change(
      room,
      async (manager) => {
        await assertJobIsOpen(manager, body.jobId);
        const row = manager.create(TimerRow, {
          ...body,
          id: randomUUID(),
          version: 1,
          startedAt: now.toISOString(),
          endsAt: new Date(now.getTime() + minutes * 60_000).toISOString(),
          acknowledgedAt: null,
        });
        await manager.insert(TimerRow, row);
        return row;
      },
      touchesNoJob,
    );
    response.status(201).json(timer);
  });
  router.post('/timers/:id/acknowledge', async (request, response) => {
    const timer = await change(
      room,
      async (manager) => {
        const row = await findRow(manager, TimerRow, request.params.id, 'This clock');
        if (row.acknowledgedAt) throw refused('acknowledged', 'This clock was stopped already.');
        await manager.update(
          TimerRow,
          { id: row.id },
          { acknowledgedAt: room.now().toISOString(), version: row.version + 1 },
        );
        return findRow(manager, TimerRow, row.id, 'This clock');
      },
      touchesNoJob,
    );
    response.json(timer);
  });
  return router;
}
