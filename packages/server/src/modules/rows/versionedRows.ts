import type { EntityManager, FindOptionsWhere } from 'typeorm';
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

/**
 * Saves the changed fields of a row that was just read, if it still has the version they were made from; otherwise throws 409
 * with the row as it is. Nobody can come between: changes wait for their turn.
 */
export async function saveChange<Row extends VersionedRow>(
  manager: EntityManager,
  type: RowClass<Row>,
  before: Row,
  version: number,
  changes: Partial<Row>,
): Promise<Row> {
  if (before.version !== version) throw stale({ ...(before as VersionedRow) });
  const changed = { ...changes, version: version + 1 };
  await manager.update(type, { id: before.id } as FindOptionsWhere<Row>, changed as never);
  return { ...before, ...changed };
}
