import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { learnShrink, measureMesh, planPrint, writeStl } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { MeshRow, PrintPartRow, PrintRunRow } from '../entities/print.ts';

const DAY_MS = 86_400_000;
const RESIN = 'Grey flexible resin';
const WANTED = [15.2, null, null] as const;

/** A tyre that was drawn for a lorry nobody supplies any more, printed twice and measured once. */
export async function seedPrints(manager: EntityManager, now: Date): Promise<void> {
  const bytes = Buffer.from(writeStl(drawTyre({ across: 16, section: 3.6, width: 3 })));
  const meshHash = createHash('sha256').update(bytes).digest('hex');
  await manager.insert(MeshRow, { hash: meshHash, packed: gzipSync(bytes) });
  const size = measureMesh(drawTyre({ across: 16, section: 3.6, width: 3 }));
  const print = manager.create(PrintPartRow, {
    ...{ id: 'print-tyre', version: 1, name: 'Lorry tyre', fileName: 'lorry-tyre.stl', meshHash, size },
    ...{ wanted: WANTED, resin: RESIN, note: 'Drawn from the one that was left, flat on the outside.' },
  });
  await manager.insert(PrintPartRow, print);
  const { inFile } = planPrint(size, WANTED, learnShrink([]));
  const runs = [
    { daysAgo: 40, copies: 2, measure: null, note: 'Split when stretched over the hub.' },
    { daysAgo: 33, copies: 6, measure: { axis: 'x' as const, mm: 15.08, sdMm: 0.03 }, note: '' },
  ];
  for (const [i, { daysAgo, ...run }] of runs.entries())
    await manager.insert(PrintRunRow, {
      ...{ id: `print-tyre.${i + 1}`, printId: print.id, resin: RESIN, inFile, price: null, wantId: null },
      ...{ thingId: null, who: 'Osric Bell', cure: 'washed 4 min, cured 8 min', ...run },
      at: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
    });
}

interface Tyre {
  /** Millimetres over all. */
  readonly across: number;
  /** Of its rubber, outwards. */
  readonly section: number;
  readonly width: number;
}

const ROUND = 40;
const SECTION = 12;

/** A ring with an oval section, its faces outwards. */
function drawTyre({ across, section, width }: Tyre): Float64Array {
  const middle = (across - section) / 2;
  const point = (i: number, k: number) => {
    const [turn, round] = [(2 * Math.PI * i) / ROUND, (2 * Math.PI * k) / SECTION];
    const out = middle + (section / 2) * Math.cos(round);
    return [out * Math.cos(turn), out * Math.sin(turn), (width / 2) * Math.sin(round)];
  };
  const corners: number[] = [];
  for (let i = 0; i < ROUND; i++)
    for (let k = 0; k < SECTION; k++) {
      const [a, b, c, d] = [point(i, k), point(i + 1, k), point(i + 1, k + 1), point(i, k + 1)];
      corners.push(...a, ...b, ...c, ...a, ...c, ...d);
    }
  return Float64Array.from(corners);
}
