import { randomUUID } from 'node:crypto';
import type { ShelfFile, ShelfReport } from '@sardonyx/contract';
import { completeProduct, planShelfImport, readCgats, readShelfCsv, type ShelfImport } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { PaintPotRow, PaintProductRow, PotMovementRow } from '../../entities/paint.ts';
import { badInput } from '../../http/errors.ts';
import { assertFaultless, describeFaults } from './fileFaults.ts';
import { planSpectra, writeSpectra } from './bringSpectra.ts';
import { movePot, putUpPot } from './movePot.ts';

/** SQLite takes a limited number of values in one statement. */
const ROWS_AT_ONCE = 200;

/** Who brought the file, and when: what stands in it was counted so. */
interface Counter {
  readonly who: string;
  readonly at: string;
}
const FROM_FILE = 'as a file says';

type Problem = Parameters<typeof describeFaults>[0][number];

/** What a file would do to the shelf, and the doing of it. */
export interface BroughtShelf {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  readonly problems: readonly Problem[];
  write(): Promise<void>;
}

/**
 * Brings pots (CSV) or spectra (CGATS text) onto the shelf: adds and changes, removes nothing. It is only looked at, taken as a
 * whole (refused where a line is faulty), or taken without its faulty lines, as is asked.
 */
export async function bringShelfFile(file: ShelfFile & { readonly at: string }, hands: Hands): Promise<ShelfReport> {
  const plan = file.format === 'csv' ? planPots(file) : planCgats(file);
  if (file.take === 'look') return hands.look(async (manager) => describe(await plan(manager), false));
  return hands.change(async (manager) => {
    const brought = await plan(manager);
    if (file.take === 'all') assertFaultless(brought.problems);
    await brought.write();
    return describe(brought, true);
  });
}

const describe = ({ added, changed, unchanged, problems }: BroughtShelf, isTaken: boolean): ShelfReport => ({
  ...{ added, changed, unchanged, isTaken },
  ...describeFaults(problems),
});

function planPots({ text, who = '', at }: ShelfFile & { readonly at: string }) {
  const { lines, problems } = readShelfCsv(text);
  return async (manager: EntityManager): Promise<BroughtShelf> => {
    const plan = planShelfImport(lines, await manager.find(PaintProductRow), await manager.find(PaintPotRow));
    const { added, changed, unchanged } = plan;
    return {
      ...{ added: added.length, changed: changed.length, unchanged },
      problems,
      write: () => writePots(manager, plan, { who, at }),
    };
  };
}

async function writePots(manager: EntityManager, { added, changed }: ShelfImport, by: Counter): Promise<void> {
  const fresh = added.map(({ product, pot }) => {
    const row = { ...completeProduct(product), id: randomUUID(), version: 1 };
    return { product: row, pot: { id: randomUUID(), version: 1, productId: row.id, ...pot } };
  });
  for (let i = 0; i < fresh.length; i += ROWS_AT_ONCE) {
    const some = fresh.slice(i, i + ROWS_AT_ONCE);
    await manager.insert(
      PaintProductRow,
      some.map(({ product }) => product),
    );
    await manager.insert(
      PaintPotRow,
      some.map(({ pot }) => pot),
    );
    await manager.insert(
      PotMovementRow,
      some.map(({ pot }) => ({
        ...{ id: randomUUID(), potId: pot.id, seq: 1, at: by.at, move: 'counted' as const, amount: pot.leftMl },
        ...{ jobId: null, taskId: null, actId: null, price: null, batch: '', who: by.who, note: FROM_FILE },
      })),
    );
  }
  for (const { line, product, pot } of changed) {
    await manager.update(PaintProductRow, { id: product.id }, { ...line.product, version: product.version + 1 });
    const { leftMl, ...said } = line.pot;
    const counted = { move: 'counted' as const, who: by.who, note: FROM_FILE };
    const at = new Date(by.at);
    if (!pot) await putUpPot(manager, { productId: product.id, ...line.pot }, counted, at);
    else {
      await manager.update(PaintPotRow, { id: pot.id }, { ...said, version: pot.version + 1 });
      if (pot.leftMl !== leftMl) await movePot(manager, pot.id, { ...counted, amount: leftMl }, at);
    }
  }
}

function planCgats({ text, geometry }: ShelfFile) {
  const { samples, problems } = readCgats(text);
  return async (manager: EntityManager): Promise<BroughtShelf> => {
    const { spectra, unknown } = planSpectra(samples, await manager.find(PaintProductRow), geometry);
    if (spectra.length + problems.length + unknown.length === 0) throw badInput('Nothing was in this file.');
    return {
      ...{ added: 0, changed: spectra.length, unchanged: 0 },
      problems: [...problems, ...unknown],
      write: () => writeSpectra(manager, spectra),
    };
  };
}
