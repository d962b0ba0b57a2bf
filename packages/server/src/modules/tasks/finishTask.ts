import { randomUUID } from 'node:crypto';
import { nameOfArea } from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import type { TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, WantRow } from '../../entities/workpiece.ts';
import { airTheRoom } from './airTheRoom.ts';
import { takeUsed } from '../stock/takeUsed.ts';
import { markDone } from './markDone.ts';
import { markGun } from './markGun.ts';
import { rinseForAll } from './rinseForAll.ts';
import type { LogLine } from './writeLog.ts';

/** Ends a task and does what follows from its end: the gun holds its colour, the room is aired, a decal lies, a part has its origin. */
export async function finishTask(manager: EntityManager, task: TaskRow, doneAt: Date, line: LogLine): Promise<void> {
  await markDone(manager, task, doneAt, line);
  await markGun(manager, task);
  if (task.needs.air === 'vapour') await airTheRoom(manager, task, line.at);
  if (task.act === 'decal') await layDecal(manager, task, doneAt, line.who);
  if (task.act === 'take-off') await takeOff(manager, task, doneAt);
  if (task.act === 'rinse-gun') await rinseForAll(manager, task, line);
  if (task.act === 'get') await takeOrigin(manager, task);
  await takeUsed(manager, task, { who: line.who, now: line.at });
}

async function areasOf(manager: EntityManager, task: TaskRow): Promise<AreaRow[]> {
  const part = await manager.findOneBy(SpecimenPartRow, { specimenId: task.specimenId, key: task.partKeys[0]! });
  const areas = part ? await manager.findBy(AreaRow, { specimenPartId: part.id }) : [];
  return areas.filter((area) => task.of.area === undefined || nameOfArea(area) === task.of.area);
}

/** A decal that was placed lies on its area. */
async function layDecal(manager: EntityManager, task: TaskRow, at: Date, who: string): Promise<void> {
  for (const area of await areasOf(manager, task)) {
    const layers = await manager.findBy(CoatingLayerRow, { areaId: area.id });
    const decals = layers.filter((layer) => layer.stage === 'planned' && layer.kind === 'decal');
    const planned = decals.sort((a, b) => a.seq - b.seq)[(task.of.nth ?? 1) - 1];
    if (!planned) continue;
    const seq = Math.max(-1, ...layers.filter((layer) => layer.stage === 'applied').map((layer) => layer.seq)) + 1;
    await manager.insert(CoatingLayerRow, {
      ...planned,
      ...{ id: randomUUID(), version: 1, stage: 'applied', seq, appliedAt: at.toISOString(), appliedBy: who },
    });
  }
}

/** Rejected coats of the area are off. */
async function takeOff(manager: EntityManager, task: TaskRow, at: Date): Promise<void> {
  for (const area of await areasOf(manager, task))
    for (const layer of await manager.findBy(CoatingLayerRow, { areaId: area.id, removedAt: IsNull() }))
      if (layer.rejection)
        await manager.update(
          CoatingLayerRow,
          { id: layer.id },
          { removedAt: at.toISOString(), version: layer.version + 1 },
        );
}

/** A part that was received is recorded with where it came from. */
async function takeOrigin(manager: EntityManager, task: TaskRow): Promise<void> {
  const want = await manager.findOneBy(WantRow, { id: task.of.wantId ?? '' });
  if (!want?.origin || want.kind !== 'part') return;
  const part = await manager.findOneByOrFail(SpecimenPartRow, { id: want.specimenPartId });
  await manager.update(
    SpecimenPartRow,
    { id: part.id },
    { origin: want.origin, originNote: want.solution || part.originNote, version: part.version + 1 },
  );
}
