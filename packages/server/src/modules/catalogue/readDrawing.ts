import type { Drawing } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';

/** Drawings are large, seldom changed, and asked for at every edit of a job: each version is read once. */
const READ = new Map<string, { readonly text: string; readonly drawing: Drawing }>();
const MOST = 200;

/** The drawing of a casting; null where there is no such casting. The same drawing is the same object. */
export async function readDrawing(manager: EntityManager, castingId: string): Promise<Drawing | null> {
  const [row] = await manager.query<{ drawing: string }[]>('SELECT drawing FROM casting WHERE id = ?', [castingId]);
  if (!row) return null;
  const known = READ.get(castingId);
  // By what it says, not by a number: a copy that is put back, or a change of a construction, has its own.
  if (known?.text === row.drawing) return known.drawing;
  if (READ.size >= MOST) READ.clear();
  const drawing = JSON.parse(row.drawing) as Drawing;
  READ.set(castingId, { text: row.drawing, drawing });
  return drawing;
}
