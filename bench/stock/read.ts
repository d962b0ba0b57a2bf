import { join } from 'node:path';
import type { OrdersView, StockView, WorkshopView } from '@sardonyx/contract';
import Database from 'better-sqlite3';
import { startBench } from '../../e2e/support/startBench.ts';
import { STOCK_KIND_NAMES, STOCK_KINDS, type Move, type Movement } from '../../packages/core/src/model/stock.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { appendMovement, checkMovement, EMPTY_STOCK } from '../../packages/core/src/stock/ledger.ts';
import { median, type Topic } from '../figure.ts';

const THINGS = 5000;
const LINES = 10;
const READS = 41;

/** Drawers after decades: all of it asked for over loopback, as the page does. */
export const stockRead: Topic = {
  names: ['stock.readMs', 'stock.readAnewMs', 'stock.ordersMs'],
  measure: async () => {
    const fresh = await startBench({ isDemo: true });
    await fresh.stop();
    fillDrawers(fresh.folder);
    const bench = await startBench({ isDemo: true, again: fresh });
    // A tool is looked at in between, so that nothing is kept of what was sent.
    const { tools } = (await (await fetch(`${bench.address}/api/workshop`)).json()) as WorkshopView;
    const write = writeTo(`${bench.address}/api/tools/${tools[0]!.id}`, tools[0]!.version);
    const again = await readTimes<StockView>(`${bench.address}/api/stock`, ({ things }) => things.length, write);
    const stock = await readTimes<StockView>(`${bench.address}/api/stock`, ({ things }) => things.length);
    const orders = await readTimes<OrdersView>(`${bench.address}/api/orders`, ({ lacking }) => lacking.length);
    await bench.clear();
    if (stock.length < THINGS) throw new Error(`Only ${stock.length} things came`);
    return [
      {
        ...{ name: 'stock.readMs', value: stock.ms, unit: 'ms', goal: { kind: 'at most', value: 25 } as const },
        yardstick: `${stock.length} things with ${THINGS * LINES} movements, whole and parsed, median of ${READS}`,
      },
      {
        ...{ name: 'stock.readAnewMs', value: again.ms, unit: 'ms', goal: null },
        yardstick: 'the same when something was written in between',
      },
      {
        ...{ name: 'stock.ordersMs', value: orders.ms, unit: 'ms', goal: null },
        yardstick: 'what is lacking over all open jobs with so many things, median',
      },
    ];
  },
};

const writeTo = (url: string, version: number) => async () => {
  const body = JSON.stringify({ version, note: `Looked at ${version} times.` });
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(url, { method: 'PATCH', headers, body });
  if (!answer.ok) throw new Error(await answer.text());
  version++;
};

async function readTimes<T>(url: string, count: (view: T) => number, before = () => Promise.resolve()) {
  const took: number[] = [];
  let length = 0;
  for (let i = 0; i < READS; i++) {
    await before();
    const began = performance.now();
    const view = (await (await fetch(url)).json()) as T;
    took.push(performance.now() - began);
    length = count(view);
  }
  return { ms: median(took), length };
}

function fillDrawers(folder: string): void {
  const database = new Database(join(folder, 'sardonyx.db'));
  const random = createSeededRandom(19);
  const thing = database.prepare(
    `INSERT INTO stock_thing (id, version, kind, name, drawer, sizes, traits, reorderAt, keepsDays, isLocked, supplierId, note, state)
     VALUES (?, 1, ?, ?, ?, '{"diameter":1.2,"length":28}', '{"finish":"bright"}', 4, NULL, 0, NULL, '', ?)`,
  );
  const movement = database.prepare(
    `INSERT INTO stock_movement (id, thingId, seq, at, move, amount, jobId, price, batch, who, note)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, '', 'Nell', '')`,
  );
  const moves: readonly Move[] = ['bought', 'reserved', 'taken', 'counted', 'wasted', 'released'];
  database.transaction(() => {
    for (let i = 0; i < THINGS; i++) {
      const kind = STOCK_KIND_NAMES[i % STOCK_KIND_NAMES.length]!;
      let state = EMPTY_STOCK;
      const lines: Omit<Movement, 'id' | 'thingId' | 'taskId' | 'who' | 'note'>[] = [];
      while (lines.length < LINES) {
        const move: Move = lines.length ? moves[Math.floor(random() * moves.length)]! : 'bought';
        const at = new Date(Date.UTC(2026, 0, 1) + lines.length * 86_400_000).toISOString();
        const jobId = move === 'bought' || move === 'counted' ? null : `sg-0${1 + Math.floor(random() * 9)}`;
        const line = { move, amount: 1 + Math.floor(random() * 9), jobId, price: null, at, batch: '' };
        if (checkMovement(state, line, STOCK_KINDS[kind].unit).length) continue;
        state = appendMovement(state, line);
        lines.push(line);
      }
      thing.run(`many-${i}`, kind, `Thing ${i}`, `Z${i % 200}`, JSON.stringify(state));
      for (const [k, { move, amount, jobId, price, at }] of lines.entries())
        movement.run(`many-${i}-${k}`, `many-${i}`, k + 1, at, move, amount, jobId, price);
    }
  })();
  database.close();
}
