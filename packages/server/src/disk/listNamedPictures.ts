import type Database from 'better-sqlite3';

/** Hashes of all pictures that a database names: photographs, and things of drawers, which older ones had no pictures of. */
export function listNamedPictures(database: Database.Database): string[] {
  const read = (sql: string) => database.prepare(sql).pluck().all() as string[];
  const hashes = read('SELECT DISTINCT hash FROM photo');
  const hasPictures = read("SELECT name FROM pragma_table_info('stock_thing') WHERE name = 'pictureHash'").length > 0;
  const ofThings = hasPictures
    ? read('SELECT DISTINCT pictureHash FROM stock_thing WHERE pictureHash IS NOT NULL')
    : [];
  return [...new Set([...hashes, ...ofThings])].sort();
}
