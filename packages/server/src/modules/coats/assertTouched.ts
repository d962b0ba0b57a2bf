import { isStanding } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { CoatTouchRow } from '../../entities/drying.ts';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { badInput, refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';

/** A coat is touched while it stands, after it went on and not in the future; a minute of clock difference is let pass. */
export async function assertTouched(manager: EntityManager, row: CoatTouchRow, now: Date): Promise<void> {
  const layer = await findRow(manager, CoatingLayerRow, row.layerId, 'This coat');
  if (!isStanding(layer)) throw refused('not-standing', 'Only a coat that was put on and stands can be touched.');
  const at = Date.parse(row.at);
  if (at > now.getTime() + 60_000 || at < Date.parse(layer.appliedAt!))
    throw badInput(
      'A coat is touched after it went on, and not in the future. Nothing was saved.',
      { at: 'Between the coat and now.' },
      'impossible-date',
    );
}
