import type { DataSource } from 'typeorm';

const EACH = 12;

/** Some ids of every table, for whoever wants to name what is there. */
export async function listIds(source: DataSource): Promise<string[]> {
  const ids: string[] = [];
  for (const { tableName, primaryColumns } of source.entityMetadatas) {
    const rows = await source.query<{ id: string }[]>(
      `SELECT "${primaryColumns[0]!.databaseName}" AS id FROM "${tableName}" LIMIT ${EACH}`,
    );
    ids.push(...rows.map(({ id }) => id));
  }
  return ids;
}
