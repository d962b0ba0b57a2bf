import Database from 'better-sqlite3';
import { join } from 'node:path';

type Row = Record<string, unknown>;

/** Tables of a job, from the job down; every one names its job, specimen, part, area or task. */
const TABLES: readonly (readonly [table: string, where: string])[] = [
  ['job', "id = 'sg-00'"],
  ['specimen', "jobId = 'sg-00'"],
  ['specimen_part', "specimenId LIKE 'sg-00%'"],
  ['area', "specimenPartId LIKE 'sg-00%'"],
  ['coating_layer', "areaId IN (SELECT id FROM area WHERE specimenPartId LIKE 'sg-00%')"],
  ['finding', "specimenPartId LIKE 'sg-00%'"],
  ['want', "specimenPartId LIKE 'sg-00%'"],
  ['observation', "specimenId LIKE 'sg-00%'"],
  ['decision', "jobId = 'sg-00'"],
  ['task', "jobId = 'sg-00'"],
  ['task_log', "jobId = 'sg-00'"],
  ['photo', "jobId = 'sg-00'"],
];

/** Copies the demo's signed-off job into a bench that stands still: years of work, each of full size. */
export function addSignedOffJobs(folder: string, count: number): void {
  const database = new Database(join(folder, 'sardonyx.db'));
  database.pragma('foreign_keys = OFF');
  const copy = database.transaction(() => {
    let last = database.prepare('SELECT max(seq) FROM task_log').pluck().get() as number;
    for (const [table, where] of TABLES) {
      const rows = database.prepare(`SELECT * FROM "${table}" WHERE ${where}`).all() as Row[];
      const [first] = rows;
      if (!first) continue;
      const columns = Object.keys(first);
      const insert = database.prepare(
        `INSERT INTO "${table}" (${columns.map((name) => `"${name}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      );
      for (let i = 1; i <= count; i++)
        for (const row of rows)
          insert.run(columns.map((name) => (isPlace(table, name) ? ++last : rename(row[name], name, i))));
    }
  });
  copy();
  database.close();
}

/** An entry of the log has a place of its own in it. */
const isPlace = (table: string, column: string) => table === 'task_log' && column === 'seq';

/** Ids that no pattern reaches (areas have ones of their own) get the copy's number in front. */
function rename(value: unknown, column: string, copy: number): unknown {
  if (typeof value !== 'string') return value;
  if (column === 'number') return `OLD-${copy}`;
  const isOwnId = (column === 'id' || column === 'areaId') && !value.includes('sg-00');
  return isOwnId ? `old-${copy}.${value}` : value.replaceAll('sg-00', `old-${copy}`);
}
