import { randomUUID } from 'node:crypto';
import type { ShelfReport, StockFile } from '@sardonyx/contract';
import { EMPTY_STOCK, nameThing, readStockCsv, type StockLine } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { StockThingRow, SupplierRow } from '../../entities/stock.ts';
import { assertFaultless, describeFaults } from '../shelf/fileFaults.ts';
import { moveStock } from './moveStock.ts';

/** Of a supplier that only a file names (planning estimate). */
const USUAL_DAYS = 10;

/** A line and the thing that it is about; null where it is new. */
interface Change {
  readonly line: StockLine;
  readonly thing: StockThingRow | null;
}

/**
 * Brings things into the drawers: adds and changes, removes nothing. What is there already is counted anew. It is only looked at,
 * taken as a whole (refused where a line is faulty), or taken without its faulty lines, as is asked.
 *
 * @param at when it is brought, ISO 8601
 */
export async function bringStockFile(
  { at, ...file }: StockFile & { readonly at: string },
  hands: Hands,
): Promise<ShelfReport> {
  const { lines, problems } = readStockCsv(file.text);
  const plan = async (manager: EntityManager) => planChanges(manager, lines);
  const describe = ({ changes, unchanged }: Awaited<ReturnType<typeof plan>>, isTaken: boolean): ShelfReport => ({
    added: changes.filter(({ thing }) => thing === null).length,
    changed: changes.filter(({ thing }) => thing !== null).length,
    ...{ unchanged, isTaken },
    ...describeFaults(problems),
  });
  if (file.take === 'look') return hands.look(async (manager) => describe(await plan(manager), false));
  if (file.take === 'all') assertFaultless(problems);
  return hands.change(async (manager) => {
    const planned = await plan(manager);
    const suppliers = new Map((await manager.find(SupplierRow)).map(({ id, name }) => [name, id]));
    for (const change of planned.changes) await write(manager, change, suppliers, { who: file.who, at: new Date(at) });
    return describe(planned, true);
  });
}

async function planChanges(manager: EntityManager, lines: readonly StockLine[]) {
  const known = new Map((await manager.find(StockThingRow)).map((thing) => [nameThing(thing), thing]));
  const suppliers = new Map((await manager.find(SupplierRow)).map(({ id, name }) => [id, name]));
  const changes: Change[] = [];
  let unchanged = 0;
  for (const line of lines) {
    const thing = known.get(nameThing(line)) ?? null;
    if (thing && says(thing, line, suppliers)) unchanged++;
    else changes.push({ line, thing });
  }
  return { changes, unchanged };
}

const says = (thing: StockThingRow, line: StockLine, suppliers: ReadonlyMap<string, string>): boolean =>
  thing.state.onHand === line.amount &&
  thing.reorderAt === line.reorderAt &&
  thing.note === line.note &&
  (suppliers.get(thing.supplierId ?? '') ?? '') === line.supplier &&
  isSame(thing.sizes, line.sizes) &&
  isSame(thing.traits, line.traits);

const isSame = (a: object, b: object): boolean =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

async function write(
  manager: EntityManager,
  { line, thing }: Change,
  suppliers: Map<string, string>,
  { who, at }: { readonly who: string; readonly at: Date },
): Promise<void> {
  const { kind, name, drawer, sizes, traits, reorderAt, note } = line;
  const said = { sizes, traits, reorderAt, note, supplierId: await findSupplier(manager, line.supplier, suppliers) };
  if (thing) await manager.update(StockThingRow, { id: thing.id }, { ...said, version: thing.version + 1 });
  const row =
    thing ??
    manager.create(StockThingRow, {
      ...{ id: randomUUID(), version: 1, kind, name, drawer, ...said },
      ...{ keepsDays: null, isLocked: false, pictureHash: null, state: EMPTY_STOCK },
    });
  if (!thing) await manager.insert(StockThingRow, row);
  if (row.state.onHand === line.amount) return;
  const common = { amount: line.amount, jobId: null, batch: line.batch, who, note: 'from a file' };
  const price = line.unitPrice === null ? null : line.unitPrice * line.amount;
  // What was there is counted; what is new was bought, at its price where that is known.
  const move =
    thing || price === null ? ({ move: 'counted', price: null } as const) : ({ move: 'bought', price } as const);
  await moveStock(manager, row, { ...common, ...move }, at);
}

async function findSupplier(manager: EntityManager, name: string, known: Map<string, string>): Promise<string | null> {
  if (name === '') return null;
  const before = known.get(name);
  if (before) return before;
  const id = randomUUID();
  await manager.insert(SupplierRow, { id, version: 1, name, promisedDays: USUAL_DAYS, note: '' });
  known.set(name, id);
  return id;
}
