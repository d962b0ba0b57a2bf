import { randomUUID } from 'node:crypto';
import { AIRING_MIN, createLoggedWork, STATIONS, isSettled, type LogAct, type TaskMeasure } from '@sardonyx/core';
import { In, IsNull, MoreThan, type EntityManager } from 'typeorm';
import { JobRow, TaskLogRow, TaskRow, TimerRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, WantRow } from '../../entities/workpiece.ts';
import { ToolRow } from '../../entities/workshop.ts';

/** One line for the log, with what was done in its own words and fields. */
export interface LogLine {
  readonly act: LogAct;
  readonly who: string;
  readonly at: Date;
  readonly note: string;
  readonly coats?: readonly string[];
  readonly measures?: readonly TaskMeasure[];
}

export async function writeLog(manager: EntityManager, task: TaskRow, line: LogLine): Promise<void> {
  const { act, who, at, note, coats = [], measures = [] } = line;
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: task.specimenId });
  await manager.insert(TaskLogRow, {
    ...{ id: randomUUID(), taskId: task.id, jobId: task.jobId, who, at: at.toISOString(), act, note },
    work: createLoggedWork(task, { parts, coats, measures }),
  });
}

/** Ends a task and does what follows from its end: the gun holds its colour, the room is aired, a decal lies, a part has its origin. */
export async function finishTask(manager: EntityManager, task: TaskRow, doneAt: Date, line: LogLine): Promise<void> {
  await manager.update(
    TaskRow,
    { id: task.id },
    { state: 'done', doneAt: doneAt.toISOString(), lookedAt: null, version: task.version + 1 },
  );
  await writeLog(manager, task, line);
  await markGun(manager, task);
  if (task.needs.air === 'vapour') await airTheRoom(manager, task, line.at);
  if (task.act === 'decal') await layDecal(manager, task, doneAt, line.who);
  if (task.act === 'take-off') await takeOff(manager, task, doneAt);
  if (task.act === 'get') await takeOrigin(manager, task);
}

/** What a spray task leaves in the gun; cleaning takes it out. */
export async function markGun(manager: EntityManager, task: TaskRow): Promise<void> {
  const isClean = task.act === 'clean-gun' || task.act === 'gun-ready';
  if (!isClean && !task.needs.tools.includes('airbrush')) return;
  const gun = await manager.findOneBy(ToolRow, { kind: 'airbrush' });
  if (!gun) return;
  const holds = isClean ? '' : (task.colours[0] ?? gun.holds);
  if (holds !== gun.holds || (isClean && gun.state === 'needs cleaning'))
    await manager.update(ToolRow, { id: gun.id }, { holds, state: 'ready', version: gun.version + 1 });
}

/**
 * Vapour hangs on after the work. One clock airs the room, until the last vapour is gone; it ends by itself, or when somebody
 * says that it is aired.
 */
async function airTheRoom(manager: EntityManager, task: TaskRow, now: Date): Promise<void> {
  const endsAt = new Date(now.getTime() + AIRING_MIN * 60_000).toISOString();
  const running = await manager.findOneBy(TimerRow, {
    ...{ kind: 'airing' as const, acknowledgedAt: IsNull() },
    endsAt: MoreThan(now.toISOString()),
  });
  if (running)
    await manager.update(TimerRow, { id: running.id }, { endsAt, label: task.title, version: running.version + 1 });
  else
    await manager.insert(TimerRow, {
      ...{ id: randomUUID(), version: 1, jobId: task.jobId, taskId: task.id, label: task.title, kind: 'airing' },
      ...{ startedAt: now.toISOString(), endsAt, acknowledgedAt: null },
    });
}

async function areasOf(manager: EntityManager, task: TaskRow): Promise<AreaRow[]> {
  const part = await manager.findOneBy(SpecimenPartRow, { specimenId: task.specimenId, key: task.partKeys[0]! });
  const areas = part ? await manager.findBy(AreaRow, { specimenPartId: part.id }) : [];
  return areas.filter((area) => task.of.area === undefined || (area.name || area.kind) === task.of.area);
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

/** The job stands at the first station that still has something to do. */
export async function moveJobAlong(manager: EntityManager, jobId: string): Promise<void> {
  const tasks = await manager.find(TaskRow, {
    select: { station: true, state: true },
    where: { jobId, state: In(['to do', 'doing']) },
  });
  const open = new Set(tasks.filter((task) => !isSettled(task)).map((task) => task.station));
  const station = STATIONS.find((candidate) => open.has(candidate)) ?? 'sign-off';
  await manager.update(JobRow, { id: jobId }, { station });
}
