import type { EntityManager } from 'typeorm';
import { CastingPartRow, HistoryRow, JointRow } from '../../entities/catalogue.ts';
import { readCatalogueTables } from './catalogueFile.ts';

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
    // Versions, on which model of its own it found an issue, and what it measured of a colour are this bench's.
    (rows as readonly { version: number; foundOnId?: unknown; colour?: unknown }[]).map(
      ({ version: _, foundOnId: __, colour: ___, ...fields }) => fields,
    ),
  ]);
  return { format: 'sardonyx-catalogue', formatVersion: 1, ...Object.fromEntries(plain) } as Record<string, unknown>;
}
