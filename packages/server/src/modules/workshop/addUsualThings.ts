import { randomUUID } from 'node:crypto';
import type { TakeUsualThings, UsualThingsTaken } from '@sardonyx/contract';
import { USUAL_THINGS } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { ToolRow, VesselRow } from '../../entities/workshop.ts';
import { addPot } from '../shelf/addPot.ts';

/** Writes down what was ticked; what is there under that name already is left as it is. */
export async function addUsualThings(
  manager: EntityManager,
  { tools, vessels, paints, leftMl, who }: TakeUsualThings,
  now: Date,
): Promise<UsualThingsTaken> {
  const taken = { tools: 0, vessels: 0, paints: 0 };
  const isTicked = (names: readonly string[]) => (one: { readonly name: string }) => names.includes(one.name);
  for (const tool of USUAL_THINGS.tools.filter(isTicked(tools))) {
    if (await manager.existsBy(ToolRow, { name: tool.name })) continue;
    await manager.insert(ToolRow, { id: randomUUID(), version: 1, ...tool, state: 'ready', note: '', holds: '' });
    taken.tools++;
  }
  for (const vessel of USUAL_THINGS.vessels.filter(isTicked(vessels))) {
    if (await manager.existsBy(VesselRow, { name: vessel.name })) continue;
    await manager.insert(VesselRow, { id: randomUUID(), version: 1, ...vessel });
    taken.vessels++;
  }
  for (const paint of USUAL_THINGS.paints.filter(isTicked(paints))) {
    if (await manager.existsBy(PaintProductRow, { line: paint.line, name: paint.name })) continue;
    await addPot(manager, { ...paint, leftMl, place: '', who }, now);
    taken.paints++;
  }
  return taken;
}
