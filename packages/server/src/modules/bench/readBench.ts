import type { BenchLane, BenchView } from '@sardonyx/contract';
import { checkRoom, computePaint, isStanding, selectNextTask, STATIONS, type Station, type Task } from '@sardonyx/core';
import { HouseStyleRow } from '../../entities/house.ts';
import { In, IsNull, type EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { JobRow, RestorerRow, TaskRow, TimerRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readSpecimenParts, type SpecimenParts } from './readSpecimenParts.ts';

/** What a lane needs of its tasks; the texts of hundreds of tasks stay where they are. */
const TASK_COLUMNS = {
  id: true,
  jobId: true,
  specimenId: true,
  key: true,
  seq: true,
  station: true,
  title: true,
  tags: true,
  handsOnMin: true,
  colours: true,
  after: true,
  needs: true,
  state: true,
  doneAt: true,
  lookedAt: true,
} as const;

/** All jobs as lanes: what hands can do now first, then what waits, then what is signed off. */
export async function readBench(manager: EntityManager, now: Date): Promise<BenchView> {
  const jobs = await manager.find(JobRow, { order: { number: 'ASC' } });
  const specimens = await manager.find(SpecimenRow, { order: { id: 'ASC' } });
  const wanted = specimens.flatMap((specimen) => (specimen.jobId && specimen.castingId ? [specimen.castingId] : []));
  const castings = new Map(
    (await manager.findBy(CastingRow, { id: In(wanted) })).map((casting) => [casting.id, casting]),
  );
  const tasks = await manager.find(TaskRow, { select: TASK_COLUMNS });
  const parts = await readSpecimenParts(manager);
  const inRoom = tasks.filter((task) => task.state === 'doing');
  const timers = await manager.findBy(TimerRow, { acknowledgedAt: IsNull() });
  const refuseRoom = (task: Task) => checkRoom(task, inRoom, timers, now)[0]?.message ?? null;
  const lanes = jobs.map((job) => {
    const own = specimens.filter((specimen) => specimen.jobId === job.id);
    return createLane(
      job,
      own,
      castings,
      tasks.filter((task) => task.jobId === job.id),
      parts,
      refuseRoom,
      now,
    );
  });
  return {
    now: now.toISOString(),
    lanes: lanes.sort(compareLanes),
    restorers: await manager.find(RestorerRow, { order: { id: 'ASC' } }),
    zone: (await manager.findOneByOrFail(HouseStyleRow, { id: 'house' })).zone,
  };
}

function createLane(
  job: JobRow,
  specimens: readonly SpecimenRow[],
  castings: ReadonlyMap<string, CastingRow>,
  tasks: readonly TaskRow[],
  all: SpecimenParts,
  refuseRoom: (task: Task) => string | null,
  now: Date,
): BenchLane {
  const first = specimens[0];
  const casting = first?.castingId ? castings.get(first.castingId) : undefined;
  const { parts, areas, layers } = first ? all.of(first.id) : { parts: [], areas: [], layers: [] };
  const wants = specimens.flatMap((specimen) => all.of(specimen.id).wants);
  const next = selectNextOfJob(tasks, now);
  const body = parts.find((part) => part.role === 'body') ?? parts[0];
  const outside = areas.find((area) => area.specimenPartId === body?.id && area.kind === 'outside');
  const bandLayers = layers.filter((layer) => layer.areaId === outside?.id);
  const applied = bandLayers.filter(isStanding);
  return {
    job,
    castingName: casting ? `${casting.number} ${casting.name}` : 'Casting not known yet',
    side: casting?.drawing.views.find((view) => view.view === 'side') ?? null,
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
    openWants: wants
      .filter((want) => want.state === 'open' || want.state === 'ordered')
      .map(({ what, state, dueOn }) => ({ what, state, dueOn })),
    progress: computeProgress(tasks),
    handsOnLeftMin: tasks
      .filter((task) => task.state === 'to do' || task.state === 'doing')
      .reduce((sum, task) => sum + task.handsOnMin, 0),
  };
}

/** The next act over all specimens of a job: one in hand first, then the first that may start. */
function selectNextOfJob(tasks: readonly Task[], now: Date) {
  const perSpecimen = [...new Set(tasks.map((task) => task.specimenId))].map((id) =>
    selectNextTask(
      tasks.filter((task) => task.specimenId === id),
      now,
    ),
  );
  return (
    perSpecimen.find((next) => next.task?.state === 'doing') ??
    perSpecimen.find((next) => next.task) ??
    perSpecimen[0] ?? { task: null, blockedBy: null }
  );
}

function computeProgress(tasks: readonly TaskRow[]): Record<Station, number | null> {
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
