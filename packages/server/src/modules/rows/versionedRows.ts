import type { EntityManager, FindOptionsWhere, ObjectLiteral } from 'typeorm';
import { notFound, stale } from '../../http/errors.ts';
import type { VersionedRow } from '../../entities/versionedRow.ts';

export type RowClass<Row extends VersionedRow> = new () => Row;

export async function findRow<Row extends VersionedRow>(
  manager: EntityManager,
  type: RowClass<Row>,
  id: string,
  what: string,
): Promise<Row> {
  const row = await manager.findOneBy(type, { id } as FindOptionsWhere<Row>);
  if (!row) throw notFound(what);
  return row;
}

/** Saves the changed fields if the row still has the version they were made from; otherwise throws 409 with the row as it is. */
export async function saveChange<Row extends VersionedRow>(
  manager: EntityManager,
  type: RowClass<Row>,
  id: string,
  version: number,
  changes: Partial<Row>,
  what: string,
): Promise<Row> {
  const result = await manager.update(
    type,
    { id, version } as FindOptionsWhere<Row>,
    { ...changes, version: version + 1 } as never,
  );
  const row = await findRow(manager, type, id, what);
  if (result.affected !== 1) throw stale(row as ObjectLiteral as Record<string, unknown>);
  return row;
}
