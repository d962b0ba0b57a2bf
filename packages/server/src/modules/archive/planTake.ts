import type { ArchiveReport } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { nameByOwn } from './nameByOwn.ts';
import { numberJobs, placeInLog } from './numberJobs.ts';
import { OF_A_JOB, OF_THE_HOUSE } from './packingList.ts';
import type { ArchivedRows } from './packRows.ts';
import { refuseOtherJobs } from './refuseOtherJobs.ts';
import { keyOf, readHere, type FindHere, type StoredRow } from './storedRows.ts';

/** What taking an archive in would write, and what of it stands otherwise on this bench already. */
export interface TakePlan extends Pick<ArchiveReport, 'jobs' | 'kept' | 'stock'> {
  readonly insert: readonly (readonly [table: string, rows: readonly StoredRow[]])[];
}

/** Follow from the log of their thing or pot; a version counts saves of one bench. */
const FOLLOWS = new Set(['version', 'state', 'leftMl']);
/** Where one is here already it stands as a whole: the archive's rows that go along with it stay away. */
const WHOLE = ['casting', 'variant', 'stock_thing', 'paint_pot'];
const HANGS = WHOLE.flatMap((parent) => OF_THE_HOUSE[parent]!.map(([table, by]) => ({ table, by, parent })));

/**
 * Compares an archive with this bench. A job that is here with other rows is refused: nothing of it is overwritten. Throws HttpError
 * 400 with the reason.
 */
export async function planTake(manager: EntityManager, brought: ArchivedRows['tables']): Promise<TakePlan> {
  const { tables, twins } = await nameByOwn(manager, brought);
  const here = new Map<string, ReadonlyMap<string, StoredRow>>();
  for (const [table, rows] of Object.entries(tables)) here.set(table, await readHere(manager, table, rows));
  const find: FindHere = (table, row) => here.get(table)?.get(String(row[keyOf(table)]));
  refuseOtherJobs(tables, find);
  const { fresh, kept } = chooseRows(tables, find);
  const jobs = await numberJobs(manager, tables.job ?? [], find);
  const rowsOf = (table: string) => fresh.get(table) ?? [];
  fresh.set(
    'job',
    rowsOf('job').map((row) => ({ ...row, number: jobs.find(({ id }) => id === row.id)!.numberHere })),
  );
  fresh.set('task_log', await placeInLog(manager, rowsOf('task_log')));
  const paints = new Map((tables.paint_product ?? []).map((row) => [row.id, `${row.line} ${row.name}`]));
  return {
    insert: [...fresh].filter(([, rows]) => rows.length > 0),
    jobs,
    kept: [...twins.flatMap(({ table, here: own, brought: row }) => listKept(table, own, row)), ...kept],
    stock: [
      ...rowsOf('paint_pot').map(({ productId }) => paints.get(productId!) ?? 'a pot'),
      ...rowsOf('stock_thing').map(nameOf),
    ],
  };
}

/** Rows that are not here yet, and those of the house that are here and say something else. */
function chooseRows(tables: ArchivedRows['tables'], find: FindHere) {
  const fresh = new Map<string, StoredRow[]>();
  const kept: ArchiveReport['kept'][number][] = [];
  const isFresh = new Set<string>();
  /** Of which the archive has more than this bench. */
  const lacking = new Set<string>();
  for (const table of [...Object.keys(OF_THE_HOUSE), 'job', ...OF_A_JOB.map(([name]) => name)]) {
    const hangs = HANGS.filter((one) => one.table === table);
    const staysFor = (row: StoredRow) =>
      hangs
        .map(({ by, parent }) => (row[by] === null ? '' : `${parent} ${row[by]}`))
        .find((one) => one && !isFresh.has(one));
    const rows: StoredRow[] = [];
    for (const row of tables[table] ?? []) {
      const own = find(table, row);
      if (own) kept.push(...listKept(table, own, row));
      else if (staysFor(row)) lacking.add(staysFor(row)!);
      else {
        rows.push(row);
        isFresh.add(`${table} ${row[keyOf(table)]}`);
      }
    }
    fresh.set(table, rows);
  }
  for (const table of WHOLE)
    for (const row of tables[table] ?? [])
      if (lacking.has(`${table} ${row.id}`)) kept.push({ table, name: nameOf(row), fields: [] });
  return { fresh, kept };
}

function listKept(table: string, own: StoredRow, row: StoredRow): ArchiveReport['kept'] {
  const fields = Object.keys(row).filter((name) => !FOLLOWS.has(name) && own[name] !== row[name]);
  return fields.length ? [{ table, name: nameOf(own), fields }] : [];
}

const nameOf = (row: StoredRow): string => String(row.name ?? row.title ?? row.label ?? row.what ?? row.id ?? row.hash);
