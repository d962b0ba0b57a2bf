import { createApp } from '../../src/app.ts';
import { createTestBench } from './createTestBench.ts';
import { fuzz, listRoutes, type FuzzResult } from './fuzzRequests.ts';
import { listIds } from './listIds.ts';

/** Whole archives and copies take seconds each; they have tests of their own. */
const SKIP = [/everything\.zip/, /copies/];

/** Hostile requests to a bench with the demo's data, over HTTP. */
export async function fuzzDemo(seed: number, count: number): Promise<FuzzResult & { readonly routes: number }> {
  const bench = await createTestBench();
  const app = createApp({ room: bench.room, webRoot: null });
  const server = app.listen(0, '127.0.0.1');
  try {
    await new Promise((done) => server.once('listening', done));
    const result = await fuzz(app, server, await listIds(bench.room.source), { seed, count, skip: SKIP });
    return { ...result, routes: listRoutes(app).length };
  } finally {
    server.close();
    server.closeAllConnections();
    await bench.clear();
  }
}
