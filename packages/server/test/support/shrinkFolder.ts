import Database from 'better-sqlite3';

/** What stays of a demo: a model under way, one that is finished, one that has just come in. */
const JOBS = ['sg-08', 'sg-01', 'sg-04'];

/** Leaves three jobs of a demo's database, with the castings and paints that they name, as one small file. Any version's. */
export function shrinkDatabase(path: string): void {
  const database = new Database(path);
  database.pragma('foreign_keys = ON');
  const tables = new Set(database.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all());
  const run = (table: string, sql: string) => {
    if (tables.has(table)) database.exec(sql);
  };
  const list = JOBS.map((id) => `'${id}'`).join(', ');
  run('job', `DELETE FROM job WHERE id NOT IN (${list})`);
  run('specimen', `DELETE FROM specimen WHERE jobId IS NULL OR jobId NOT IN (${list})`);
  const used = 'SELECT castingId FROM specimen WHERE castingId IS NOT NULL';
  for (const table of ['dated_source', 'variant', 'joint', 'casting_part'])
    run(table, `DELETE FROM ${table} WHERE castingId IS NOT NULL AND castingId NOT IN (${used})`);
  run('casting', `DELETE FROM casting WHERE id NOT IN (${used})`);
  database.pragma('journal_mode = DELETE');
  database.exec('VACUUM');
  database.close();
}
