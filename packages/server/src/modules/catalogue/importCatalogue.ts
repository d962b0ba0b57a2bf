import { randomUUID } from 'node:crypto';
import { CatalogueFile, type ErrorBody, type ImportReport } from '@sardonyx/contract';
import {
  createBodyTypeDrawing,
  shapeOfRole,
  planCatalogueImport,
  readCatalogueCsv,
  TABLE_NAMES,
  writeCatalogueCsv,
  type CatalogueTables,
  type CsvReading,
  type ImportPlan,
} from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { CastingPartRow, JointRow, VariantStateRow } from '../../entities/catalogue.ts';
import { badInput, HttpError } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { readCatalogueTables, TABLE_CLASSES } from './catalogueFile.ts';

const MOST_PROBLEMS = 200;
/** Rows of which it is told what they change. */
const MOST_CHANGES = 500;
/** SQLite takes a limited number of values in one statement. */
const ROWS_AT_ONCE = 200;

/** A file as it came. */
export interface BroughtCatalogue {
  readonly text: string;
  readonly kind: 'csv' | 'json';
}

/** What is new about an import that runs. */
export type ImportNews = Partial<ImportReport>;

/** What only a JSON file has: it is taken for castings that are new. */
type Extras = Pick<CatalogueFile, 'castings' | 'parts' | 'joints'>;

/**
 * Looks at a catalogue that was brought, or takes it in: checked against the catalogue as it is then, all or nothing. Tells how
 * far it is; returns how it ended.
 */
export async function importCatalogue(
  { text, kind, isOnlyLook }: BroughtCatalogue & { readonly isOnlyLook: boolean },
  hands: Hands,
): Promise<ImportNews> {
  try {
    const file = kind === 'json' ? await readFile(text) : null;
    // The same checks for both: a JSON file is checked row by row as the CSV that it would be.
    const reading = walk(readCatalogueCsv(file ? writeCatalogueCsv(withVersions(file)) : text), hands);
    hands.tell({ state: 'checking', progress: 0, rows: reading.rows.length } satisfies ImportNews);
    if (isOnlyLook) {
      const plan = planOn(await hands.look(readCatalogueTables), reading, hands);
      return plan.problems.length ? refuseRows(plan) : { ...describePlan(plan), state: 'checked' };
    }
    return await hands.change(async (manager): Promise<ImportNews> => {
      const plan = planOn(await readCatalogueTables(manager), reading, hands);
      if (plan.problems.length) return refuseRows(plan);
      hands.tell({ ...describePlan(plan), state: 'writing' } satisfies ImportNews);
      await write(manager, plan, file, hands);
      return { state: 'done', progress: 1 };
    });
  } catch (error) {
    if (!(error instanceof HttpError)) throw error;
    return refuseFile(error.body);
  }
}

const planOn = (existing: CatalogueTables, reading: CsvReading, hands: Hands): ImportPlan =>
  walk(planCatalogueImport(reading, existing, randomUUID), hands);

const refuseRows = ({ problems }: ImportPlan): ImportNews => ({
  ...{ state: 'refused', progress: 1 },
  ...{ problems: problems.slice(0, MOST_PROBLEMS), problemCount: problems.length },
});

const describePlan = (plan: ImportPlan): ImportNews => ({
  ...{ progress: 0, unchanged: plan.unchanged },
  ...{ added: countRows(plan.added), changed: countRows(plan.changed) },
  changes: plan.changes.slice(0, MOST_CHANGES),
});

/** A file that is refused as a whole: for each field that is wrong, or for one reason. */
export function refuseFile({ fields, message }: ErrorBody): ImportNews {
  const problems = Object.entries(fields ?? { file: message }).map(([path, why]) => ({
    ...{ line: 0, column: null },
    message: path === 'file' ? why : `${path}: ${why}`,
  }));
  return { state: 'refused', problems: problems.slice(0, MOST_PROBLEMS), problemCount: problems.length };
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

const countRows = (tables: CatalogueTables) => TABLE_NAMES.reduce((sum, name) => sum + tables[name].length, 0);

/** Runs a generator to its end, and tells how far it is between its steps. */
function walk<T>(work: Generator<number, T>, hands: Hands): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    report(step.value, hands);
  }
}

function report(progress: number, hands: Hands): void {
  hands.tell({ progress } satisfies ImportNews);
  hands.goOn();
}

async function write(manager: EntityManager, plan: ImportPlan, extras: Extras | null, hands: Hands): Promise<void> {
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
      report(done / total, hands);
    }
    if (name === 'castings' && extras)
      for (const casting of plan.added.castings) await addPartsAndJoints(manager, casting, extras);
    for (const { id, version, ...fields } of plan.changed[name]) {
      await manager.update(type, { id }, { ...fields, version: version + 1 });
      if (++done % ROWS_AT_ONCE === 0) report(done / total, hands);
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
