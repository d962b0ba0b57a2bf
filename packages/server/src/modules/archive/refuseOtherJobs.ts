import { OF_A_JOB } from './packingList.ts';
import type { ArchivedRows } from './packRows.ts';
import { refuseArchive } from './refuseArchive.ts';
import { keyOf, type FindHere, type StoredRow } from './storedRows.ts';

/**
 * Throws where a job of the archive is here and not the same, row by row; and where a row of a job that is not here has the id of
 * one that is: it would be lost without a word.
 */
export function refuseOtherJobs(tables: ArchivedRows['tables'], find: FindHere): void {
  /** Whose each row is, by its table and key. */
  const jobOf = new Map<string, StoredRow>();
  for (const row of tables.job ?? []) jobOf.set(`job ${row.id}`, row);
  for (const [table, ...by] of [['job'] as const, ...OF_A_JOB])
    for (const row of tables[table] ?? []) {
      const own = `${table} ${row[keyOf(table)]}`;
      const above = by.map(([column, parent]) => `${parent} ${row[column]}`);
      // A donor has no job.
      const job = [own, ...above].map((one) => jobOf.get(one)).find((one) => one !== undefined);
      if (!job) continue;
      jobOf.set(own, job);
      const here = find(table, row);
      const isSame =
        here !== undefined && Object.keys(row).every((name) => here[name] === row[name] || isOfBench(table, name));
      const called = `${job.number} ${job.title}`;
      if (find('job', job) && !isSame)
        throw refuseArchive(`${called} is on this bench already, in another state, and is not overwritten`);
      if (here && !isSame)
        throw refuseArchive(`a row of ${called} is on this bench already, and of another job (${table})`);
    }
}

/** Its number and its place in the log may be others on another bench. */
const isOfBench = (table: string, column: string): boolean =>
  (table === 'job' && column === 'number') || (table === 'task_log' && column === 'seq');
