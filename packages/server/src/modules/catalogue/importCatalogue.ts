import { randomUUID } from 'node:crypto';
import { setImmediate as giveWay } from 'node:timers/promises';
import { CatalogueFile, type ImportReport } from '@sardonyx/contract';
import {
  createBodyTypeDrawing,
  shapeOfRole,
  planCatalogueImport,
  readCatalogueCsv,
  TABLE_NAMES,
  writeCatalogueCsv,
  type CatalogueTables,
  type ImportPlan,
} from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { CastingPartRow, JointRow, VariantStateRow } from '../../entities/catalogue.ts';
import { badInput, HttpError, refused } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { readCatalogueTables, TABLE_CLASSES } from './catalogueFile.ts';

const MOST_PROBLEMS = 200;
/** Rows of which it is told what they change. */
const MOST_CHANGES = 500;
/** SQLite takes a limited number of values in one statement. */
const ROWS_AT_ONCE = 200;

export interface RunningImport {
  report: ImportReport;
  isCancelled: boolean;
  /** What was brought, while it can still be carried out. */
  brought: { readonly text: string; readonly kind: 'csv' | 'json' } | null;
}

/** What only a JSON file has: it is taken for castings that are new. */
type Extras = Pick<CatalogueFile, 'castings' | 'parts' | 'joints'>;

/** Begins to look at a file and returns at once; its report tells how it stands. `isOnlyLook`: it is not carried out yet. */
export function beginImport(
  room: Workroom,
  text: string,
  kind: 'csv' | 'json',
  { isOnlyLook }: { readonly isOnlyLook: boolean },
): RunningImport {
  const running: RunningImport = {
    report: {
      ...{ id: randomUUID(), state: 'reading', progress: 0, rows: 0, added: 0, changed: 0, unchanged: 0 },
      ...{ changes: [], problems: [], problemCount: 0 },
    },
    isCancelled: false,
    brought: { text, kind },
  };
  runInBackground(room, running, isOnlyLook);
  return running;
}

/** Carries out what was looked at: checked anew against the catalogue as it is now. All or nothing. */
export function carryOut(room: Workroom, running: RunningImport): void {
  if (running.report.state !== 'checked') throw refused('not-checked', 'This file is not waiting to be taken in.');
  note(running, { state: 'reading', progress: 0 });
  runInBackground(room, running, false);
}

function runInBackground(room: Workroom, running: RunningImport, isOnlyLook: boolean): void {
  runImport(room, running, isOnlyLook).catch((error: unknown) => {
    room.log.error({ err: error, faultId: running.report.id }, 'import of a catalogue');
    const message = 'Something broke on our side while it was written. Nothing was changed; try again.';
    note(running, { state: 'refused', problems: [{ line: 0, column: null, message }], problemCount: 1 });
  });
}

/** Ends one that runs at its next step; one that waits, at once. */
export function cancel(running: RunningImport): void {
  running.isCancelled = true;
  if (running.report.state === 'checked') note(running, { state: 'cancelled' });
}

class Cancelled extends Error {}

async function runImport(room: Workroom, running: RunningImport, isOnlyLook: boolean): Promise<void> {
  const { text, kind } = running.brought!;
  try {
    const file = kind === 'json' ? await readFile(text) : null;
    // The same checks for both: a JSON file is checked row by row as the CSV that it would be.
    const reading = await walk(readCatalogueCsv(file ? writeCatalogueCsv(withVersions(file)) : text), running);
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
    note(running, {
      ...{ state: isOnlyLook ? 'checked' : 'writing', progress: 0, unchanged: plan.unchanged },
      ...{ added: countRows(plan.added), changed: countRows(plan.changed) },
      changes: plan.changes.slice(0, MOST_CHANGES),
    });
    if (isOnlyLook) return;
    await change(room, (manager) => write(manager, plan, file, running));
    note(running, { state: 'done', progress: 1 });
  } catch (error) {
    if (error instanceof Cancelled) return note(running, { state: 'cancelled' });
    if (!(error instanceof HttpError)) throw error;
    const fields = Object.entries(error.body.fields ?? { file: error.body.message });
    const problems = fields.map(([path, why]) => ({ line: 0, column: null, message: `${path}: ${why}` }));
    note(running, { state: 'refused', problems: problems.slice(0, MOST_PROBLEMS), problemCount: problems.length });
  }
}

async function readFile(text: string): Promise<CatalogueFile> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw badInput('This is not readable JSON.');
  }
  return validateBody(CatalogueFile, parsed);
}

const withVersions = (file: CatalogueFile): CatalogueTables =>
  Object.fromEntries(
    TABLE_NAMES.map((name) => [name, file[name].map((row) => ({ ...row, version: 1 }))]),
  ) as unknown as CatalogueTables;

/** What can no longer be carried out is not kept. */
function note(running: RunningImport, news: Partial<ImportReport>): void {
  running.report = { ...running.report, ...news };
  if (['done', 'refused', 'cancelled'].includes(running.report.state)) running.brought = null;
}

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

async function write(
  manager: EntityManager,
  plan: ImportPlan,
  extras: Extras | null,
  running: RunningImport,
): Promise<void> {
  const total = countRows(plan.added) + countRows(plan.changed) + 1;
  let done = 0;
  for (const ids of inPieces(plan.removedVariantStateIds)) await manager.delete(VariantStateRow, { id: In([...ids]) });
  for (const name of TABLE_NAMES) {
    const type = TABLE_CLASSES[name];
    const added =
      name === 'castings' ? plan.added.castings.map((casting) => withDrawing(casting, extras)) : plan.added[name];
    for (const rows of inPieces<object>(added)) {
      await manager.insert(type, [...rows]);
      done += rows.length;
      await report(running, done / total);
    }
    if (name === 'castings' && extras)
      for (const casting of plan.added.castings) await addPartsAndJoints(manager, casting, extras);
    for (const { id, version, ...fields } of plan.changed[name]) {
      await manager.update(type, { id }, { ...fields, version: version + 1 });
      if (++done % ROWS_AT_ONCE === 0) await report(running, done / total);
    }
  }
}

type PlannedCasting = CatalogueTables['castings'][number];

const findExtras = (casting: PlannedCasting, extras: Extras | null) =>
  extras?.castings.find((one) => one.rangeId === casting.rangeId && one.number === casting.number);

/** A casting that comes without a drawing gets the outline of its body type. */
const withDrawing = (casting: PlannedCasting, extras: Extras | null) => ({
  ...casting,
  builtAs: findExtras(casting, extras)?.builtAs ?? null,
  listed: findExtras(casting, extras)?.listed ?? null,
  drawing:
    findExtras(casting, extras)?.drawing ??
    createBodyTypeDrawing(casting.bodyType, casting.lengthMm, casting.wheelbaseMm),
});

/** Parts and joints of a new casting, under its new id. */
async function addPartsAndJoints(manager: EntityManager, casting: PlannedCasting, extras: Extras): Promise<void> {
  const from = findExtras(casting, extras)?.id;
  const own = <Row extends { castingId: string; key: string }>(rows: readonly Row[]) =>
    rows
      .filter((row) => row.castingId === from)
      .map((row) => ({ ...row, id: `${casting.id}.${row.key}`, castingId: casting.id, version: 1 }));
  // Files of older versions say neither.
  const parts = own(extras.parts).map((part) => ({ ...{ shape: shapeOfRole(part.role), sizes: {} }, ...part }));
  await manager.insert(CastingPartRow, parts);
  await manager.insert(
    JointRow,
    own(extras.joints).map((joint) => ({ ...{ behind: null }, ...joint })),
  );
}

function inPieces<T>(rows: readonly T[]): (readonly T[])[] {
  return Array.from({ length: Math.ceil(rows.length / ROWS_AT_ONCE) }, (_, i) =>
    rows.slice(i * ROWS_AT_ONCE, (i + 1) * ROWS_AT_ONCE),
  );
}
