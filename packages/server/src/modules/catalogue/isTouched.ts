import type { EntityManager } from 'typeorm';
import type { SpecimenPartRow } from '../../entities/workpiece.ts';

/** Whatever is written down of a part of a model, by the part's id. */
const OF_PART = [
  'SELECT 1 FROM finding WHERE specimenPartId = ?',
  'SELECT 1 FROM want WHERE specimenPartId = ?',
  'SELECT 1 FROM coming_off WHERE specimenPartId = ?',
  'SELECT 1 FROM colour_capture WHERE specimenPartId = ?',
  'SELECT 1 FROM mix WHERE specimenPartId = ?',
  'SELECT 1 FROM strip_pass WHERE specimenPartId = ?',
  'SELECT 1 FROM coating_layer WHERE areaId IN (SELECT id FROM area WHERE specimenPartId = ?)',
];

/** Whether anybody wrote anything down of a part, changed it, or worked on it. */
export async function isTouched(
  manager: EntityManager,
  { id, key, specimenId, version, takenFromId }: SpecimenPartRow,
): Promise<boolean> {
  if (version > 1 || takenFromId !== null) return true;
  const [found] = await manager.query<unknown[]>(
    OF_PART.join(' UNION ALL ').concat(' LIMIT 1'),
    OF_PART.map(() => id),
  );
  if (found) return true;
  const [worked] = await manager.query<unknown[]>(
    `SELECT 1 FROM task, json_each(task.partKeys) WHERE task.specimenId = ? AND json_each.value = ?
     AND (task.state IN ('doing', 'done') OR EXISTS (SELECT 1 FROM task_log WHERE task_log.taskId = task.id)) LIMIT 1`,
    [specimenId, key],
  );
  return worked !== undefined;
}
