import type { EntityMetadata } from 'typeorm';
import { NAMED } from './packingList.ts';

/** Columns that lead to another table, by table. */
export type Links = ReadonlyMap<
  string,
  readonly { readonly column: string; readonly to: string; readonly key: string }[]
>;

export function listLinks(metadatas: readonly EntityMetadata[]): Links {
  return new Map(
    metadatas.map(({ tableName, foreignKeys }) => [
      tableName,
      [
        ...foreignKeys.map(({ columns, referencedEntityMetadata, referencedColumns }) => ({
          ...{ column: columns[0]!.databaseName, to: referencedEntityMetadata.tableName },
          key: referencedColumns[0]!.databaseName,
        })),
        ...NAMED.filter(([table]) => table === tableName).map(([, column, to]) => ({ column, to, key: 'id' })),
      ],
    ]),
  );
}
