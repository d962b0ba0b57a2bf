import { randomUUID } from 'node:crypto';
import { AREA_KINDS, listAreasOf, PART_ROLES } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow } from '../../entities/catalogue.ts';
import { BLANK_AREA } from '../coats/blankRows.ts';
import { AreaRow, SpecimenPartRow, type SpecimenRow } from '../../entities/workpiece.ts';

/**
 * Gives a specimen the parts of its casting, with the areas each can be painted on. Parts it has already are kept, so a
 * corrected casting loses nothing.
 */
export async function fitOutSpecimen(manager: EntityManager, specimen: SpecimenRow): Promise<void> {
  if (!specimen.castingId) return;
  const castingParts = (await manager.findBy(CastingPartRow, { castingId: specimen.castingId })).sort(
    (a, b) => PART_ROLES.indexOf(a.role) - PART_ROLES.indexOf(b.role),
  );
  const existing = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  for (const { key, name, role, material } of castingParts.filter(
    (part) => !existing.some((own) => own.key === part.key),
  )) {
    const id = `${specimen.id}.${key}`;
    await manager.insert(SpecimenPartRow, {
      id,
      version: 1,
      specimenId: specimen.id,
      key,
      name,
      role,
      material,
      materialCertainty: 'likely',
      state: 'sound',
      origin: 'unknown',
      originNote: '',
      takenFromId: null,
      isKept: false,
    });
    for (const kind of listAreasOf(role, material)) {
      await manager.insert(AreaRow, {
        id: randomUUID(),
        version: 1,
        specimenPartId: id,
        kind,
        name: kind,
        ...BLANK_AREA,
      });
    }
  }
  await addTracedAreas(manager, specimen);
}

/** What the drawing bounds as an area with a colour of its own can be painted apart. */
export async function addTracedAreas(manager: EntityManager, specimen: SpecimenRow): Promise<void> {
  const casting = await manager.findOneBy(CastingRow, { id: specimen.castingId ?? '' });
  const shapes = casting?.drawing.views.flatMap((view) => view.shapes) ?? [];
  for (const part of await manager.findBy(SpecimenPartRow, { specimenId: specimen.id })) {
    const names = new Set(shapes.flatMap(({ partKey, mask }) => (partKey === part.key && mask ? [mask] : [])));
    for (const name of names) {
      const kind = AREA_KINDS.find((one) => one === name) ?? 'mask';
      const area = { specimenPartId: part.id, kind, name };
      if (await manager.existsBy(AreaRow, area)) continue;
      await manager.insert(AreaRow, { ...area, id: `${part.id}.${name}`, version: 1, ...BLANK_AREA });
    }
  }
}
