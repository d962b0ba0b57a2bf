import { setTimeout as wait } from 'node:timers/promises';
import { MeasureColour, PourOnScales, TurnDial } from '@sardonyx/contract';
import { Router, type Response } from 'express';
import { HouseStyleRow } from '../../entities/house.ts';
import { InstrumentRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { askForecast } from './askForecast.ts';
import { createInstruments } from './readInstrument.ts';
import { createSpectrophotometers } from './spectrophotometer.ts';

const EVERY_MS = 1000;
/** A pour is followed by eye. */
const SCALES_EVERY_MS = 200;

/** Live readings as server-sent events; the dial of a simulated oven, the hand over simulated scales, colours read on demand. */
export function createInstrumentRoutes(room: Workroom): Router {
  const router = Router();
  const { readNow, turnDial, ovenState, tare, pour } = createInstruments(() => room.source.manager);
  const spectro = createSpectrophotometers();
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
    // One question after the other, and none after the reader has gone.
    while (!response.destroyed) {
      await send();
      await wait(instrument.kind === 'scales' ? SCALES_EVERY_MS : EVERY_MS, undefined, { ref: false });
    }
  });
  router.post('/instruments/:id/dial', async (request, response) => {
    const { setC } = await validateBody(TurnDial, request.body);
    const instrument = await find(request.params.id);
    if (instrument.kind !== 'oven probe' || instrument.source !== 'simulated')
      throw refused('no-dial', `${instrument.name} is not a simulated oven: its dial is turned by hand.`);
    response.json(turnDial(instrument.id, setC, room.now()));
  });
  router.post('/instruments/:id/calibrate', async (request, response) => {
    response.json(spectro.calibrate(await findKind(request.params.id, 'spectrophotometer'), room.now()));
  });
  router.post('/instruments/:id/measure', async (request, response) => {
    const body = await validateBody(MeasureColour, request.body);
    const instrument = await findKind(request.params.id, 'spectrophotometer');
    const reading = await look(room, (manager) => spectro.measure(manager, instrument, body, room.now()));
    response.json(reading);
  });
  router.post('/instruments/:id/forecast', async (request, response) => {
    const instrument = await findKind(request.params.id, 'weather forecast');
    const { zone } = await look(room, (manager) => manager.findOneByOrFail(HouseStyleRow, { id: 'house' }));
    response.json(await askForecast(instrument, room.now(), zone));
  });
  router.post('/instruments/:id/tare', async (request, response) => {
    tare((await findKind(request.params.id, 'scales')).id, room.now());
    response.status(204).end();
  });
  router.post('/instruments/:id/pour', async (request, response) => {
    const { grams } = await validateBody(PourOnScales, request.body);
    const instrument = await findKind(request.params.id, 'scales');
    if (instrument.source !== 'simulated')
      throw refused('by-hand', `${instrument.name} is a real instrument: pour by hand, it reads along.`);
    pour(instrument.id, grams, room.now());
    response.status(204).end();
  });
  return router;

  async function findKind(id: string, kind: InstrumentRow['kind']): Promise<InstrumentRow> {
    const instrument = await find(id);
    if (instrument.kind !== kind)
      throw refused(
        'other-kind',
        `${instrument.name} cannot do this: it takes ${kind === 'scales' ? 'scales' : `a ${kind}`}.`,
      );
    return instrument;
  }
}

const sendEvent = (response: Response, name: string, data: object) =>
  response.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
