import { writePaperText, writeRecord } from '@sardonyx/core';
import { Router } from 'express';
import { runAside } from '../../aside/runAside.ts';
import { JobRow } from '../../entities/work.ts';
import { badInput } from '../../http/errors.ts';
import { look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readSignedRecord } from '../signing/readSignings.ts';
import { readEarlier } from './readEarlier.ts';
import { readRecord, readRecordToSay } from './readRecord.ts';
import { PAPERS, type PaperName } from './writePapers.ts';

const NAMES: readonly string[] = [...Object.keys(PAPERS), 'label'];

/** What a job leaves behind: its record as data and as words, and its papers. */
export function createRecordRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/jobs/:id/record.json', async (request, response) => {
    const record = await look(room, (manager) => readRecord(manager, request.params.id, room.now()));
    response
      .attachment(`${record.job.number}-record.json`)
      .type('json')
      .send(JSON.stringify(record, null, 2));
  });
  router.get('/jobs/:id/earlier', async (request, response) => {
    response.json(await look(room, (manager) => readEarlier(manager, request.params.id, room.now())));
  });
  // As it was signed, of a job that was opened again since.
  router.get('/signings/:id/record.json', async (request, response) => {
    const record = await look(room, (manager) => readSignedRecord(manager, request.params.id));
    response
      .attachment(`${record.job.number}-record-${record.job.signedOffAt!.slice(0, 10)}.json`)
      .type('json')
      .send(JSON.stringify(record, null, 2));
  });
  router.get('/jobs/:id/record.txt', async (request, response) => {
    const { record, dates } = await look(room, (manager) => readRecordToSay(manager, request.params.id, room.now()));
    response
      .attachment(`${record.job.number}-record.txt`)
      .type('text/plain')
      .send(writePaperText(writeRecord(record, dates)));
  });
  router.get('/jobs/:id/papers/:paper.pdf', async (request, response) => {
    const { id, paper } = request.params;
    if (!NAMES.includes(paper)) throw badInput(`Papers of a job are: ${NAMES.join(', ')}.`);
    const { number } = await look(room, (manager) => findRow(manager, JobRow, id, 'This job'));
    // The code opens the bench where it is open now.
    const base = `http://${request.headers.host ?? 'localhost'}`;
    const order = { jobId: id, paper: paper as PaperName, folder: room.folder, base, at: room.now().toISOString() };
    const pdf = await runAside(room, 'paper', order).ended;
    response.attachment(`${number}-${paper}.pdf`).type('pdf').send(Buffer.from(pdf));
  });
  return router;
}
