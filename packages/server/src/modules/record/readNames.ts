import { callThing } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';

/** What a row of the house is called that a job refers to: a paint, a thing of the drawers, another model. */
export async function readNames(manager: EntityManager): Promise<(id: string) => string | null> {
  const names = new Map<string, string>([
    ...(await manager.find(PaintProductRow, { select: { id: true, line: true, name: true } })).map(
      ({ id, line, name }) => [id, `${line} ${name}`] as const,
    ),
    ...(await manager.find(StockThingRow, { select: { id: true, kind: true, name: true } })).map(
      (thing) => [thing.id, callThing(thing)] as const,
    ),
    ...(await manager.find(SpecimenRow, { select: { id: true, name: true } })).map(
      ({ id, name }) => [id, name] as const,
    ),
  ]);
  return (id) => names.get(id) ?? null;
}
