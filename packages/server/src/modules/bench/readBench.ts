import type { BenchCasting, BenchLane, BenchView, OpenWant } from '@sardonyx/contract';
import {
  checkRoom,
  computePaint,
  isSettled,
  isStanding,
  selectNextOfJob,
  STATIONS,
  type Station,
} from '@sardonyx/core';
import { HouseStyleRow } from '../../entities/house.ts';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { JobRow, RestorerRow, TimerRow } from '../../entities/work.ts';
import type { Workroom } from '../../workroom.ts';
import type { LaneRows, LaneTask } from './laneRows.ts';
import { readKeptRows } from './readKeptRows.ts';
import type { PartsOfSpecimen } from './readSpecimenParts.ts';

/** Lanes of signed-off jobs, by job and version: such a job does not change any more, and there are more every year. */
const signedOffLanes = new WeakMap<DataSource, Map<string, BenchLane>>();

/** Those lanes as text, too: most of the answer, and the same every time. */
const laneTexts = new WeakMap<BenchLane, string>();

/** The bench as it goes over the wire. */
export async function writeBench(manager: EntityManager, room: Workroom): Promise<string> {
  const { lanes, ...view } = await readBench(manager, room);
  const texts = lanes.map((lane) => {
    if (!lane.job.signedOffAt) return JSON.stringify(lane);
    const text = laneTexts.get(lane) ?? JSON.stringify(lane);
    laneTexts.set(lane, text);
    return text;
  });
  return `${JSON.stringify(view).slice(0, -1)},"lanes":[${texts.join(',')}]}`;
}

/** All jobs as lanes: what hands can do now first, then what waits, then what is signed off. */
async function readBench(manager: EntityManager, room: Workroom): Promise<BenchView> {
  const now = room.now();
  const all = await manager.query<Pick<JobRow, 'id' | 'version' | 'signedOffAt'>[]>(
    'SELECT id, version, signedOffAt FROM job',
  );
  const known = signedOffLanes.get(manager.connection) ?? new Map<string, BenchLane>();
  signedOffLanes.set(manager.connection, known);
  const nameOf = ({ id, version }: Pick<JobRow, 'id' | 'version'>) => `${id} ${version}`;
  const isKnown = (job: (typeof all)[number]) => job.signedOffAt !== null && known.has(nameOf(job));
  const toRead = all.filter((job) => !isKnown(job)).map(({ id }) => id);
  const read = await readLanes(manager, room, await manager.findBy(JobRow, { id: In(toRead) }));
  for (const lane of read) if (lane.job.signedOffAt) known.set(nameOf(lane.job), lane);
  const lanes = [...read, ...all.filter((job) => !toRead.includes(job.id)).map((job) => known.get(nameOf(job))!)];
  return {
    now: now.toISOString(),
    castings: await readCastings(manager, lanes),
    lanes: lanes.sort(compareLanes),
    restorers: await manager.find(RestorerRow, { order: { id: 'ASC' } }),
    zone: (await manager.findOneByOrFail(HouseStyleRow, { id: 'house' })).zone,
  };
}

async function readCastings(manager: EntityManager, lanes: readonly BenchLane[]): Promise<BenchCasting[]> {
  const ids = new Set(lanes.flatMap(({ castingId }) => castingId ?? []));
  const rows = await manager.find(CastingRow, {
    select: { id: true, number: true, name: true, drawing: true },
    where: { id: In([...ids]) },
  });
  return rows.map(({ id, number, name, drawing }) => ({
    ...{ id, name: `${number} ${name}`, side: drawing.views.find(({ view }) => view === 'side') ?? null },
  }));
}

async function readLanes(manager: EntityManager, room: Workroom, jobs: readonly JobRow[]): Promise<BenchLane[]> {
  const now = room.now();
  const rows = await readKeptRows(manager, room, jobs);
  const inRoom = [...rows.values()].flatMap(({ tasks }) => tasks.filter((task) => task.state === 'doing'));
  const timers = await manager.findBy(TimerRow, { acknowledgedAt: IsNull() });
  const refuseRoom = (task: LaneTask) => checkRoom(task, inRoom, timers, now)[0]?.message ?? null;
  return jobs.map((job) => createLane(job, rows.get(job.id)!, refuseRoom, now));
}

function createLane(
  job: JobRow,
  { specimens, tasks, parts: all }: LaneRows,
  refuseRoom: (task: LaneTask) => string | null,
  now: Date,
): BenchLane {
  const first = specimens[0];
  const { parts, areas, layers } = first ? all.of(first.id) : { parts: [], areas: [], layers: [] };
  const next = selectNextOfJob(tasks, now);
  const body = parts.find((part) => part.role === 'body') ?? parts[0];
  const outside = areas.find((area) => area.specimenPartId === body?.id && area.kind === 'outside');
  const bandLayers = layers.filter((layer) => layer.areaId === outside?.id);
  const applied = bandLayers.filter(isStanding);
  return {
    job,
    castingId: first?.castingId ?? null,
    parts: parts.map(({ key, material, state }) => ({ key, material, state })),
    paint: computePaint(parts, areas, layers),
    band: applied.length ? applied : bandLayers.filter((layer) => layer.stage === 'found'),
    bandMaterial: body?.material ?? 'metal',
    next: next.task && {
      taskId: next.task.id,
      title: next.task.title,
      station: next.task.station,
      handsOnMin: next.task.handsOnMin,
      underWay: next.task.state === 'doing',
    },
    blockedBy: next.blockedBy,
    roomRefusal: next.task && refuseRoom(next.task),
    openWants: specimens.flatMap((specimen) => listOpenWants(all.of(specimen.id), tasks)),
    progress: computeProgress(tasks),
    handsOnLeftMin: tasks.filter((task) => !isSettled(task)).reduce((sum, task) => sum + task.handsOnMin, 0),
  };
}

/** How each is come by is what the plan says of it. */
const listOpenWants = ({ parts, wants }: PartsOfSpecimen, tasks: readonly LaneTask[]): OpenWant[] =>
  wants
    .filter(({ state }) => state === 'open' || state === 'ordered')
    .map(({ id, specimenPartId, what, bits, kind, state, solution, dueOn }) => ({
      ...{ id, specimenPartId, what, bits, kind, state, solution, dueOn },
      getBy: (tasks.find((task) => task.getsWant === id)?.method ?? null) as OpenWant['getBy'],
      partName: parts.find((part) => part.id === specimenPartId)!.name,
    }));

function computeProgress(tasks: readonly LaneTask[]): Record<Station, number | null> {
  const share = (station: Station) => {
    const own = tasks.filter(
      (task) => task.station === station && task.state !== 'not needed' && task.state !== 'set aside',
    );
    return own.length ? own.filter((task) => task.state === 'done').length / own.length : null;
  };
  return Object.fromEntries(STATIONS.map((station) => [station, share(station)])) as Record<Station, number | null>;
}

function compareLanes(a: BenchLane, b: BenchLane): number {
  const rank = (lane: BenchLane) => (lane.job.signedOffAt ? 3 : lane.next?.underWay ? 0 : lane.next ? 1 : 2);
  return (
    rank(a) - rank(b) ||
    (a.job.dueOn ?? '9999').localeCompare(b.job.dueOn ?? '9999') ||
    a.job.number.localeCompare(b.job.number)
  );
}
