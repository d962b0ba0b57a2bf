import { randomUUID } from 'node:crypto';
import type { LogPrint } from '@sardonyx/contract';
import { learnShrink, listMeasured, planPrint } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PrintPartRow, PrintRunRow } from '../../entities/print.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { refused } from '../../http/errors.ts';
import { answerWant } from '../orders/answerWant.ts';
import { findRow } from '../rows/versionedRows.ts';
import { moveStock } from '../stock/moveStock.ts';

/** Copies were printed: one meets the want that it is for, the others lie in their drawer, each with its share of what they cost. */
export async function logPrint(
  manager: EntityManager,
  printId: string,
  body: LogPrint,
  now: Date,
): Promise<PrintRunRow> {
  const { copies, price, wantId, thingId, who } = body;
  const print = await findRow(manager, PrintPartRow, printId, 'This part');
  const spare = copies - (wantId === null ? 0 : 1);
  if (thingId !== null && spare === 0)
    throw refused('no-amount', 'The only copy is for the want: none is left for the drawer.', {
      copies: 'More copies, or no drawer.',
    });
  const runs = await manager.find(PrintRunRow);
  const { inFile } = planPrint(print.size, print.wanted, learnShrink(listMeasured(runs, print.resin)));
  const run = manager.create(PrintRunRow, {
    ...{ id: randomUUID(), printId, at: now.toISOString(), resin: print.resin, inFile },
    ...body,
  });
  await manager.insert(PrintRunRow, run);
  const each = price === null ? null : price / copies;
  if (wantId !== null)
    await answerWant(manager, wantId, { origin: 'printed', from: `printed: ${print.name}`, who, price: each }, now);
  if (thingId !== null) {
    const thing = await findRow(manager, StockThingRow, thingId, 'This thing');
    const line = { jobId: null, batch: '', who, note: `printed: ${print.name}` };
    const made = { ...line, move: 'made' as const, amount: spare, price: each === null ? null : each * spare };
    await moveStock(manager, thing, made, now);
  }
  return run;
}
