import { shapeOfRole, type PartShape } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import type { CastingPartRow } from '../../entities/catalogue.ts';
import { SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';

/** What a casting's drawing shows: its parts, and those that models of it kept when it lost them (looking as they did `before`). */
export async function readDrawnParts(
  manager: EntityManager,
  castingId: string,
  parts: readonly Pick<CastingPartRow, 'key' | 'shape'>[],
  before: readonly Pick<CastingPartRow, 'key' | 'shape'>[],
): Promise<{ key: string; shape: PartShape }[]> {
  const models = await manager.findBy(SpecimenRow, { castingId });
  const onModels = await manager.findBy(SpecimenPartRow, { specimenId: In(models.map(({ id }) => id)) });
  const all: { key: string; shape: PartShape }[] = [...parts];
  for (const { key, role } of onModels) {
    const shape = before.find((part) => part.key === key)?.shape ?? shapeOfRole(role);
    if (all.every((part) => part.key !== key)) all.push({ key, shape });
  }
  return all;
}
