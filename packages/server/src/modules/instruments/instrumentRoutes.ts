import { TurnDial } from '@sardonyx/contract';
import { Router, type Response } from 'express';
import { InstrumentRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { createInstruments } from './readInstrument.ts';

const EVERY_MS = 1000;

/** Live readings as server-sent events, one a second; the dial of a simulated oven. */
export function createInstrumentRoutes(room: Workroom): Router {
  const router = Router();
  const { readNow, turnDial, ovenState } = createInstruments(() => room.source.manager);
  const find = (id: string) => look(room, (manager) => findRow(manager, InstrumentRow, id, 'This instrument'));
  router.get('/instruments/:id/stream', async (request, response) => {
    const instrument = await find(request.params.id);
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const send = async () => {
      try {
        const reading = await readNow(instrument, room.now());
        const isOven = instrument.kind === 'oven probe' && instrument.source === 'simulated';
        const { setC, isHeating } = ovenState(instrument.id, room.now());
        sendEvent(response, 'reading', isOven ? { ...reading, setC, isHeating } : reading);
      } catch (fault) {
        sendEvent(response, 'fault', { message: `${instrument.name} gives no reading: ${(fault as Error).message}.` });
      }
    };
    await send();
    const timer = setInterval(() => void send(), EVERY_MS);
    timer.unref();
    response.on('close', () => clearInterval(timer));
  });
  router.post('/instruments/:id/dial', async (request, response) => {
    const { setC } = await validateBody(TurnDial, request.body);
    const instrument = await find(request.params.id);
    if (instrument.kind !== 'oven probe' || instrument.source !== 'simulated')
      throw refused('no-dial', `${instrument.name} is not a simulated oven: its dial is turned by hand.`);
    response.json(turnDial(instrument.id, setC, room.now()));
  });
  return router;
}

const sendEvent = (response: Response, name: string, data: object) =>
  response.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
