import { randomUUID } from 'node:crypto';
import { setImmediate as giveWay } from 'node:timers/promises';
import type { ImportReport } from '@sardonyx/contract';
import {
  createBodyTypeDrawing,
  planCatalogueImport,
  readCatalogueCsv,
  TABLE_NAMES,
  type CatalogueTables,
  type ImportPlan,
} from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { VariantStateRow } from '../../entities/catalogue.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { readCatalogueTables, TABLE_CLASSES } from './catalogueFile.ts';

const MOST_PROBLEMS = 200;
/** SQLite takes a limited number of values in one statement. */
const ROWS_AT_ONCE = 200;

export interface RunningImport {
  report: ImportReport;
  isCancelled: boolean;
}

/** Begins an import and returns at once; its report tells how it stands. All or nothing. */
export function beginImport(room: Workroom, csv: string): RunningImport {
  const running: RunningImport = {
    report: {
      ...{ id: randomUUID(), state: 'reading', progress: 0, rows: 0, added: 0, changed: 0, unchanged: 0 },
      ...{ problems: [], problemCount: 0 },
    },
    isCancelled: false,
  };
  runImport(room, csv, running).catch((error: unknown) => {
    console.error('Import of a catalogue', error);
    const message = 'Something broke on our side while it was written. Nothing was changed; try again.';
    note(running, { state: 'refused', problems: [{ line: 0, column: null, message }], problemCount: 1 });
  });
  return running;
}

class Cancelled extends Error {}

async function runImport(room: Workroom, csv: string, running: RunningImport): Promise<void> {
  try {
    const reading = await walk(readCatalogueCsv(csv), running);
    note(running, { state: 'checking', progress: 0, rows: reading.rows.length });
    const existing = await look(room, readCatalogueTables);
    const plan = await walk(planCatalogueImport(reading, existing, randomUUID), running);
    if (plan.problems.length > 0) {
      note(running, {
        ...{ state: 'refused', progress: 1 },
        ...{ problems: plan.problems.slice(0, MOST_PROBLEMS), problemCount: plan.problems.length },
      });
      return;
    }
    note(running, { state: 'writing', progress: 0 });
    await change(room, (manager) => write(manager, plan, running));
    note(running, {
      ...{ state: 'done', progress: 1, unchanged: plan.unchanged },
      ...{ added: countRows(plan.added), changed: countRows(plan.changed) },
    });
  } catch (error) {
    if (!(error instanceof Cancelled)) throw error;
    note(running, { state: 'cancelled' });
  }
}

const note = (running: RunningImport, news: Partial<ImportReport>) =>
  void (running.report = { ...running.report, ...news });

const countRows = (tables: CatalogueTables) => TABLE_NAMES.reduce((sum, name) => sum + tables[name].length, 0);

/** Runs a generator to its end, giving way to other requests between its steps. */
async function walk<T>(work: Generator<number, T>, running: RunningImport): Promise<T> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    await report(running, step.value);
  }
}

async function report(running: RunningImport, progress: number): Promise<void> {
  note(running, { progress });
  await giveWay();
  if (running.isCancelled) throw new Cancelled();
}

async function write(manager: EntityManager, plan: ImportPlan, running: RunningImport): Promise<void> {
  const total = countRows(plan.added) + countRows(plan.changed) + 1;
  let done = 0;
  for (const ids of inPieces(plan.removedVariantStateIds)) await manager.delete(VariantStateRow, { id: In([...ids]) });
  for (const name of TABLE_NAMES) {
    const type = TABLE_CLASSES[name];
    const added = name === 'castings' ? plan.added.castings.map(withDrawing) : plan.added[name];
    for (const rows of inPieces<object>(added)) {
      await manager.insert(type, [...rows]);
      done += rows.length;
      await report(running, done / total);
    }
    for (const { id, version, ...fields } of plan.changed[name]) {
      await manager.update(type, { id }, { ...fields, version: version + 1 });
      if (++done % ROWS_AT_ONCE === 0) await report(running, done / total);
    }
  }
}

/** A casting that comes without a drawing gets the outline of its body type. */
const withDrawing = (casting: CatalogueTables['castings'][number]) => ({
  ...casting,
  drawing: createBodyTypeDrawing(casting.bodyType, casting.lengthMm, casting.wheelbaseMm),
});

function inPieces<T>(rows: readonly T[]): (readonly T[])[] {
  return Array.from({ length: Math.ceil(rows.length / ROWS_AT_ONCE) }, (_, i) =>
    rows.slice(i * ROWS_AT_ONCE, (i + 1) * ROWS_AT_ONCE),
  );
}
