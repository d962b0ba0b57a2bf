import type { AddressInfo } from 'node:net';
import { createApp } from '../../src/app.ts';
import { createPhoneApp } from '../../src/modules/phone/createPhoneApp.ts';
import { createPhoneDoor } from '../../src/modules/phone/phoneDoor.ts';
import { createPieces } from '../../src/modules/phone/pieces.ts';
import { createTestBench } from './createTestBench.ts';
import { fuzz, listRoutes, type FuzzResult } from './fuzzRequests.ts';
import { listIds } from './listIds.ts';

/** As many of them go to what a phone can reach. */
const PHONE_SHARE = 0.1;

/** Whole archives and copies take seconds each; they have tests of their own. */
const SKIP = [/everything\.zip/, /archive\.zip/, /copies/];

/** Hostile requests to a bench with the demo's data, over HTTP: from its page, and from a phone that was let in. */
export async function fuzzDemo(
  seed: number,
  count: number,
): Promise<FuzzResult & { readonly routes: number; readonly takenByPhone: number }> {
  const bench = await createTestBench();
  const app = createApp({ room: bench.room, webRoot: null });
  const { room } = bench;
  const door = createPhoneDoor(room.now, () => undefined);
  const phone = createPhoneApp({ room, door, pieces: createPieces(room.folder), webRoot: null });
  const [server, phoneServer] = [app.listen(0, '127.0.0.1'), phone.listen(0, '127.0.0.1')];
  try {
    await Promise.all([server, phoneServer].map((one) => new Promise((done) => one.once('listening', done))));
    const ids = await listIds(room.source);
    const byPhone = Math.round(PHONE_SHARE * count);
    const { secret } = door.enter(door.open(12).pin, 'Somebody');
    door.show({ jobId: 'sg-04', station: 'survey' });
    const always = {
      cookie: `sardonyx-phone=${secret}`,
      origin: `http://127.0.0.1:${(phoneServer.address() as AddressInfo).port}`,
    };
    const results = [
      await fuzz(app, server, ids, { seed, count: count - byPhone, skip: SKIP }),
      // Guessing at the number would shut the door, and leaving would end it.
      await fuzz(phone, phoneServer, ids, { seed, count: byPhone, skip: [/enter|leave/], under: '', always }),
    ];
    return {
      asked: count,
      faults: results.flatMap(({ faults }) => faults),
      slowestHealthMs: Math.max(...results.map(({ slowestHealthMs }) => slowestHealthMs)),
      taken: results.reduce((sum, { taken }) => sum + taken, 0),
      routes: listRoutes(app).length + listRoutes(phone, '').length,
      takenByPhone: results[1]!.taken,
    };
  } finally {
    for (const one of [server, phoneServer]) {
      one.close();
      one.closeAllConnections();
    }
    await bench.clear();
  }
}
