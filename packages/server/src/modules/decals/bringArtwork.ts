import { randomUUID } from 'node:crypto';
import { createDecalArtwork } from '@sardonyx/core';
import type { Hands } from '../../aside/asideTask.ts';
import { DecalArtworkRow } from '../../entities/decal.ts';
import { sayAtField } from '../../http/errors.ts';

export interface BroughtArtwork {
  readonly fileName: string;
  readonly text: string;
}

/** An SVG file becomes an artwork: read, made safe and measured before anything is kept. */
export async function bringArtwork({ fileName, text }: BroughtArtwork, hands: Hands): Promise<DecalArtworkRow> {
  const read = sayAtField(() => createDecalArtwork(text));
  hands.goOn();
  return hands.change(async (manager) => {
    const row = manager.create(DecalArtworkRow, {
      ...{ id: randomUUID(), version: 1, featureStateId: null, drawn: null, note: '' },
      ...read,
      name: fileName.replace(/\.svg$/i, '') || 'Decal',
    });
    await manager.insert(DecalArtworkRow, row);
    return row;
  });
}
