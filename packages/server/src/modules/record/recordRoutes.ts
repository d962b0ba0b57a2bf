import { Router } from 'express';
import { look, type Workroom } from '../../workroom.ts';
import { createRecordPdf } from './createRecordPdf.ts';
import { readRecord } from './readRecord.ts';

export function createRecordRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id/record.json', async (request, response) => {
    const record = await look(room, (manager) => readRecord(manager, request.params.id, room.now()));
    response
      .attachment(`${record.job.number}-record.json`)
      .type('json')
      .send(JSON.stringify(record, null, 2));
  });
  router.get('/jobs/:id/record.pdf', async (request, response) => {
    const record = await look(room, (manager) => readRecord(manager, request.params.id, room.now()));
    response
      .attachment(`${record.job.number}-record.pdf`)
      .type('pdf')
      .send(Buffer.from(await createRecordPdf(record)));
  });
  return router;
}
