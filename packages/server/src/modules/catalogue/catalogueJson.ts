import type { EntityManager } from 'typeorm';
import { CastingPartRow, HistoryRow, JointRow } from '../../entities/catalogue.ts';
import { readCatalogueTables } from './catalogueFile.ts';

/** Versions, its own models and photographs, and what it measured on them, are this bench's. */
const OWN = new Set(['version', 'foundOnId', 'colour', 'size', 'traces']);

/** The whole catalogue with parts, joints, drawings and histories: docs/formats/catalogue.schema.json. */
export async function readCatalogueJson(manager: EntityManager) {
  const tables = await readCatalogueTables(manager);
  const whole = {
    ...tables,
    parts: await manager.find(CastingPartRow, { order: { id: 'ASC' } }),
    joints: await manager.find(JointRow, { order: { id: 'ASC' } }),
    histories: await manager.find(HistoryRow, { order: { id: 'ASC' } }),
  };
  const plain = Object.entries(whole).map(([name, rows]) => [
    name,
    (rows as readonly object[]).map((row) =>
      Object.fromEntries(Object.entries(row).filter(([field]) => !OWN.has(field))),
    ),
  ]);
  return { format: 'sardonyx-catalogue', formatVersion: 1, ...Object.fromEntries(plain) } as Record<string, unknown>;
}
