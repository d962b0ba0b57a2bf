import type { ImportReport, ShelfReport } from '@sardonyx/contract';
import { startBench } from '../../e2e/support/startBench.ts';
import type { Topic } from '../figure.ts';

const POTS = 12_000;
const CASTINGS = 4000;
const ISSUES_EACH = 2;
const LOOKS = 6;
/** Health is asked again so long after its last answer. */
const PAUSE_MS = 10;

/** How long others wait while somebody brings in a whole shelf and a whole catalogue. */
export const trustImport: Topic = {
  names: ['trust.importStallMs'],
  measure: async () => {
    const [shelf, catalogue] = [writeShelf(), writeCatalogue()];
    const bench = await startBench({ isDemo: false });
    try {
      const { slowest, took } = await watch(bench.address, async () => {
        await bringShelf(bench.address, shelf);
        await bringCatalogue(bench.address, catalogue);
      });
      return [
        {
          ...{ name: 'trust.importStallMs', value: slowest, unit: 'ms', goal: { kind: 'at most', value: 500 } },
          yardstick: `slowest answer to health while ${POTS} pots and ${CASTINGS} castings with ${CASTINGS * ISSUES_EACH} issues were looked at and taken (${Math.round(took / 1000)} s)`,
        },
      ];
    } finally {
      await bench.clear();
    }
  },
};

/** Asks for health all the time while `act` runs. */
async function watch(address: string, act: () => Promise<void>): Promise<{ slowest: number; took: number }> {
  const began = performance.now();
  let isOver = false;
  let slowest = 0;
  const asking = (async () => {
    while (!isOver) {
      const asked = performance.now();
      await (await fetch(`${address}/api/health`)).text();
      slowest = Math.max(slowest, performance.now() - asked);
      await new Promise((done) => setTimeout(done, PAUSE_MS));
    }
  })();
  await act().finally(() => (isOver = true));
  await asking;
  return { slowest, took: performance.now() - began };
}

async function send<T>(url: string, type: string, body: string): Promise<T> {
  const answer = await fetch(url, { method: 'POST', headers: { 'content-type': type }, body });
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

async function bringShelf(address: string, text: string): Promise<void> {
  for (const take of ['look', 'all']) {
    const body = JSON.stringify({ format: 'csv', text, geometry: 'gloss left out', take });
    const { added } = await send<ShelfReport>(`${address}/api/shelf/files`, 'application/json', body);
    if (added !== POTS) throw new Error(`${added} pots came, not ${POTS}`);
  }
}

async function bringCatalogue(address: string, text: string): Promise<void> {
  const begun = await send<ImportReport>(`${address}/api/catalogue/imports?look=1`, 'text/csv', text);
  await waitFor(address, begun.id, 'checked');
  await send(`${address}/api/catalogue/imports/${begun.id}/carry-out`, 'application/json', '{}');
  await waitFor(address, begun.id, 'done');
}

async function waitFor(address: string, id: string, state: ImportReport['state']): Promise<void> {
  for (;;) {
    const report = (await (await fetch(`${address}/api/catalogue/imports/${id}`)).json()) as ImportReport;
    if (report.state === state) return;
    if (['refused', 'cancelled'].includes(report.state)) throw new Error(JSON.stringify(report.problems.slice(0, 3)));
    await new Promise((done) => setTimeout(done, 50));
  }
}

function writeShelf(): string {
  const pots = Array.from({ length: POTS }, (_, i) => {
    const colour = `#${((i * 2654435761) % 0xffffff).toString(16).padStart(6, '0')}`;
    return `Line ${i % 40},Paint ${i},colour,enamel,gloss,${colour},${5 + (i % 20)},Drawer ${i % 30}`;
  });
  return ['line,name,kind,binder,gloss,colour,left_ml,place', ...pots].join('\n');
}

const COLUMNS = [
  ...['kind', 'maker', 'range', 'casting', 'feature', 'state', 'variant', 'name', 'part_role', 'body_type', 'group'],
  ...['effort', 'length_mm', 'wheelbase_mm', 'from_year', 'start_latest', 'end_earliest', 'to_year', 'rarity', 'share'],
];

function writeCatalogue(): string {
  const row = (cells: Readonly<Record<string, string | number>>) =>
    COLUMNS.map((column) => cells[column] ?? '').join(',');
  const range = 'loft';
  const looks = Array.from({ length: LOOKS }, (_, i) => ({ range, feature: `look-${i}` }));
  const years = { from_year: 1960, start_latest: 1960, end_earliest: 1962, to_year: 1963, rarity: 1 };
  return [
    COLUMNS.join(','),
    row({ kind: 'maker', maker: 'attic', name: 'Attic' }),
    row({ kind: 'range', maker: 'attic', range, name: 'Loft' }),
    ...looks.flatMap((look) => [
      row({ kind: 'feature', ...look, name: look.feature, part_role: 'wheel', group: 'wheels', effort: 2 }),
      ...['one', 'two'].map((state) => row({ kind: 'state', ...look, state, name: state })),
    ]),
    ...Array.from({ length: CASTINGS }, (_, i) => i + 1).flatMap((casting) => [
      row({
        ...{ kind: 'casting', range, casting, name: `Casting ${casting}` },
        ...{ body_type: 'lorry', length_mm: 90, wheelbase_mm: 52 },
      }),
      ...Array.from({ length: ISSUES_EACH }, (_, i) => `v${i}`).flatMap((variant) => [
        row({ kind: 'variant', range, casting, variant, name: variant, ...years }),
        ...looks.map((look) => row({ kind: 'variant state', ...look, casting, variant, state: 'one', share: 1 })),
      ]),
    ]),
  ].join('\n');
}
