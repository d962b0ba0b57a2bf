import type { EntityManager } from 'typeorm';
import { nextNumber } from '../jobs/nextNumber.ts';
import { nameByOwn } from './nameByOwn.ts';
import { OF_A_JOB, OF_THE_HOUSE } from './packingList.ts';
import { keyOf, readByKey, type ArchivedRows, type StoredRow } from './packRows.ts';
import { refuseArchive } from './refuseArchive.ts';

/** What taking an archive in would write, and what of it stands otherwise on this bench already. */
export interface TakePlan {
  readonly insert: readonly (readonly [table: string, rows: readonly StoredRow[]])[];
  readonly jobs: readonly TakenJob[];
  /** The bench's own stand: the archive says something else of them. */
  readonly kept: readonly KeptRow[];
  /** Names of pots and things that come along. */
  readonly stock: readonly string[];
}

export interface TakenJob {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  /** Its number here; the same, unless another job has that. */
  readonly numberHere: string;
  /** It is here already, row by row the same. */
  readonly isHere: boolean;
}

export interface KeptRow {
  readonly table: string;
  readonly name: string;
  /** What differs; empty where the archive has rows of it that this bench does not have. */
  readonly fields: readonly string[];
}

/** Follow from the log of their thing or pot; a version counts saves of one bench. */
const FOLLOWS = new Set(['version', 'state', 'leftMl']);
/** What hangs on a row of the house and stays away where that is here already: the bench's own parts, issues and counts stand. */
const HANGS: Readonly<Record<string, readonly (readonly [column: string, parent: string])[]>> = {
  casting_part: [['castingId', 'casting']],
  joint: [['castingId', 'casting']],
  variant: [['castingId', 'casting']],
  variant_state: [['variantId', 'variant']],
  dated_source: [
    ['castingId', 'casting'],
    ['variantId', 'variant'],
  ],
  stock_movement: [['thingId', 'stock_thing']],
  pot_movement: [['potId', 'paint_pot']],
};

/**
 * Compares an archive with this bench. A job that is here with other rows is refused: nothing of it is overwritten. Throws HttpError
 * 400 with the reason.
 */
export async function planTake(manager: EntityManager, brought: ArchivedRows['tables']): Promise<TakePlan> {
  const { tables, twins } = await nameByOwn(manager, brought);
  const here = new Map<string, ReadonlyMap<string, StoredRow>>();
  const rowsOf = (table: string) => tables[table] ?? [];
  for (const table of Object.keys(tables))
    here.set(
      table,
      await readByKey(
        manager,
        table,
        rowsOf(table).map((row) => row[keyOf(table)]!),
      ),
    );
  const find = (table: string, row: StoredRow) => here.get(table)!.get(String(row[keyOf(table)]));
  refuseOthers(tables, find);
  const kept: KeptRow[] = twins.flatMap(({ table, here: own, brought: row }) => {
    const fields = listDifferences(own, row);
    return fields.length ? [{ table, name: nameOf(own), fields }] : [];
  });
  const taken = new Map<string, StoredRow[]>();
  const fresh = new Set<string>();
  const isNew = (table: string, key: unknown) => fresh.has(`${table} ${String(key)}`);
  const lacking = new Set<string>();
  for (const table of [...Object.keys(OF_THE_HOUSE), 'job', ...OF_A_JOB.map(([name]) => name)]) {
    const rows: StoredRow[] = [];
    for (const row of rowsOf(table)) {
      const own = find(table, row);
      const fields = own ? listDifferences(own, row) : [];
      if (fields.length) kept.push({ table, name: nameOf(row), fields });
      if (own) continue;
      const hangsOn = (HANGS[table] ?? []).find(
        ([column, parent]) => (row[column] ?? null) !== null && !isNew(parent, row[column]!),
      );
      if (hangsOn) lacking.add(`${hangsOn[1]} ${String(row[hangsOn[0]])}`);
      else {
        rows.push(row);
        fresh.add(`${table} ${String(row[keyOf(table)])}`);
      }
    }
    taken.set(table, rows);
  }
  for (const table of ['casting', 'variant', 'stock_thing', 'paint_pot'])
    for (const row of rowsOf(table))
      if (lacking.has(`${table} ${String(row.id)}`)) kept.push({ table, name: nameOf(row), fields: [] });
  const jobs: TakenJob[] = [];
  const numbers = new Set<string>();
  for (const row of rowsOf('job')) {
    const number = String(row.number);
    const isHere = find('job', row) !== undefined;
    const others = await manager.query<unknown[]>('SELECT 1 FROM job WHERE number = ? AND id <> ?', [number, row.id]);
    const numberHere = others.length ? await nextNumber(manager, numbers) : number;
    numbers.add(numberHere);
    jobs.push({ id: String(row.id), number, title: String(row.title), numberHere, isHere });
  }
  taken.set(
    'job',
    taken.get('job')!.map((row) => ({ ...row, number: jobs.find(({ id }) => id === row.id)!.numberHere })),
  );
  taken.set('task_log', await placeInLog(manager, taken.get('task_log')!));
  const paints = new Map(rowsOf('paint_product').map((row) => [row.id, `${String(row.line)} ${String(row.name)}`]));
  const stock = [
    ...taken.get('paint_pot')!.map(({ productId }) => paints.get(productId!) ?? 'a pot'),
    ...taken.get('stock_thing')!.map(nameOf),
  ];
  return { insert: [...taken].filter(([, rows]) => rows.length > 0), jobs, kept, stock };
}

/** Entries keep their places in the log of the bench where those are free; else they come after all others, in their order. */
async function placeInLog(manager: EntityManager, rows: readonly StoredRow[]): Promise<StoredRow[]> {
  const places = await manager.query<{ seq: number }[]>('SELECT seq FROM task_log');
  const taken = new Set(places.map(({ seq }) => seq));
  if (!rows.some(({ seq }) => taken.has(seq as number))) return [...rows];
  const last = places.reduce((most, { seq }) => Math.max(most, seq), 0);
  return [...rows].sort((a, b) => Number(a.seq) - Number(b.seq)).map((row, i) => ({ ...row, seq: last + 1 + i }));
}

type Find = (table: string, row: StoredRow) => StoredRow | undefined;

/** Rows of a job that is here: each of them is here as well, and the same. */
function refuseOthers(tables: ArchivedRows['tables'], find: Find): void {
  const jobOf = new Map<string, StoredRow>();
  for (const row of tables.job ?? []) if (find('job', row)) jobOf.set(`job ${String(row.id)}`, row);
  for (const [table, ...by] of [['job'] as const, ...OF_A_JOB])
    for (const row of tables[table] ?? []) {
      const own = `${table} ${String(row[keyOf(table)])}`;
      const job = jobOf.get(
        table === 'job'
          ? own
          : (by.map(([column, parent]) => `${parent} ${String(row[column])}`).find((key) => jobOf.has(key)) ?? ''),
      );
      if (!job) continue;
      jobOf.set(own, job);
      const here = find(table, row);
      if (!here || Object.keys(row).some((name) => here[name] !== row[name] && !isOfBench(table, name)))
        throw refuseArchive(
          `${String(job.number)} ${String(job.title)} is on this bench already, in another state, and is not overwritten`,
        );
    }
}

/** Its number and its place in the log may be others on another bench. */
const isOfBench = (table: string, column: string): boolean =>
  (table === 'job' && column === 'number') || (table === 'task_log' && column === 'seq');

const listDifferences = (own: StoredRow, row: StoredRow): string[] =>
  Object.keys(row).filter((name) => !FOLLOWS.has(name) && own[name] !== row[name]);

const nameOf = (row: StoredRow): string => String(row.name ?? row.title ?? row.label ?? row.what ?? row.id ?? row.hash);
