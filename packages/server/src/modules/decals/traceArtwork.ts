import { randomUUID } from 'node:crypto';
import type { TraceArtwork } from '@sardonyx/contract';
import { createDrawnArtwork, type DrawnDecal } from '@sardonyx/core';
import type { Hands } from '../../aside/asideTask.ts';
import { DecalArtworkRow } from '../../entities/decal.ts';
import { sayAtField } from '../../http/errors.ts';
import { findRow, saveChange } from '../rows/versionedRows.ts';

/** What was traced becomes an artwork, or takes the place of what was traced before. What was printed of that stays as it was. */
export async function traceArtwork({ name, drawn, of }: TraceArtwork, hands: Hands): Promise<DecalArtworkRow> {
  const decal = drawn as DrawnDecal;
  const made = { ...sayAtField(() => createDrawnArtwork(decal)), drawn: decal, name: name.trim() };
  hands.goOn();
  return hands.change(async (manager) => {
    if (of === null) {
      const row = manager.create(DecalArtworkRow, {
        ...{ id: randomUUID(), version: 1, featureStateId: null, note: '' },
        ...made,
      });
      await manager.insert(DecalArtworkRow, row);
      return row;
    }
    const row = await findRow(manager, DecalArtworkRow, of.id, 'This artwork');
    return saveChange(manager, DecalArtworkRow, row, of.version, made);
  });
}
