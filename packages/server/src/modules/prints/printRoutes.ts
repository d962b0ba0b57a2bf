import { gunzip } from 'node:zlib';
import { promisify } from 'node:util';
import { LogPrint } from '@sardonyx/contract';
import express, { Router } from 'express';
import { runAside } from '../../aside/runAside.ts';
import { MeshRow, PrintPartRow } from '../../entities/print.ts';
import { badInput } from '../../http/errors.ts';
import { readFileName } from '../../http/readFileName.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { logPrint } from './logPrint.ts';
import { readPrints } from './readPrints.ts';

const STL = 'model/stl';
const unpack = promisify(gunzip);

/** Parts that can be printed: their meshes in and out, and what was printed of them. */
export function createPrintRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/prints', async (_request, response) => {
    response.json(await look(room, readPrints));
  });
  router.post('/prints', express.raw({ type: STL, limit: '64mb' }), async (request, response) => {
    if (!Buffer.isBuffer(request.body) || request.body.length === 0)
      throw badInput('The file is empty, or no STL file.', { file: 'Choose an STL file.' });
    const fileName = readFileName(request);
    response.status(201).json(await runAside(room, 'mesh', { fileName, bytes: request.body }).ended);
  });
  router.get('/prints/:id/mesh', async (request, response) => {
    const { fileName, packed } = await look(room, async (manager) => {
      const print = await findRow(manager, PrintPartRow, request.params.id, 'This part');
      const mesh = await manager.findOneByOrFail(MeshRow, { hash: print.meshHash });
      return { fileName: print.fileName, packed: mesh.packed };
    });
    response
      .attachment(fileName)
      .type(STL)
      .send(await unpack(packed));
  });
  router.post('/prints/:id/runs', async (request, response) => {
    const body = await validateBody(LogPrint, request.body);
    response.status(201).json(await change(room, (manager) => logPrint(manager, request.params.id, body, room.now())));
  });
  return router;
}
