import { movePlanned, refusePlace } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { refuseAll } from '../../http/errors.ts';

/**
 * The number of a planned coat is its place from the metal outwards: the other planned coats of the area make room. Theirs are
 * not edits of them, so their versions stay.
 */
export async function takePlace(
  manager: EntityManager,
  row: CoatingLayerRow,
  before: CoatingLayerRow | null,
): Promise<void> {
  if (row.stage !== 'planned' || row.seq === before?.seq) return;
  const planned = await manager.findBy(CoatingLayerRow, { areaId: row.areaId, stage: 'planned' });
  const refusal = refusePlace(planned, row.id, row.seq);
  if (refusal) refuseAll([refusal]);
  for (const [seq, coat] of movePlanned(planned, row.id, row.seq).entries()) {
    if (coat.seq !== seq) await manager.update(CoatingLayerRow, { id: coat.id }, { seq });
    // What is answered is what is kept: past the end is the end.
    if (coat.id === row.id) row.seq = seq;
  }
}
