import type { CastingView, JobView, SpecimenView } from '@sardonyx/contract';
import { alignObservations, coverSupplies, dryTasks, isSettled, listSupplies } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { ColourCaptureRow } from '../../entities/colour.ts';
import { CoatTouchRow } from '../../entities/drying.ts';
import { HouseChoiceRow, HouseStyleRow } from '../../entities/house.ts';
import { DecisionRow, JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { ComingOffRow, FoundJointRow, JointConditionRow, JointWishRow } from '../../entities/opening.ts';
import { PhotoMeasureRow, PhotoRow } from '../../entities/photo.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  MeasurementRow,
  ObservationRow,
  SourceRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../../entities/workpiece.ts';
import { PlanChangeRow, StripPassRow } from '../../entities/workshop.ts';
import { readCastingView } from '../catalogue/readCastingView.ts';
import { readIdentifyCatalogue } from '../catalogue/readIdentifyCatalogue.ts';
import { readHousehold } from '../stock/readHousehold.ts';
import { readFailures } from '../film/readFailures.ts';
import { findLastReading } from '../film/roomLog.ts';
import { readStandingCoats } from '../film/readStandingCoats.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readSignings } from '../signing/readSignings.ts';
import { readStrippedBefore } from '../passes/passRoutes.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';

/** Older ones are in the log of tasks. */
const SHOWN_CHANGES = 5;

/** Everything one job's page needs. */
export async function readJobView(manager: EntityManager, jobId: string, now: Date): Promise<JobView> {
  const job = await findRow(manager, JobRow, jobId, 'This job');
  const specimens = await manager.find(SpecimenRow, { where: { jobId }, order: { id: 'ASC' } });
  const photos = await manager.find(PhotoRow, { where: { jobId }, order: { takenAt: 'ASC' } });
  const tasks = await manager.find(TaskRow, { where: { jobId }, order: { specimenId: 'ASC', seq: 'ASC' } });
  const views: SpecimenView[] = [];
  for (const specimen of specimens) views.push(await readSpecimenView(manager, specimen, job));
  return {
    job,
    signings: await readSignings(manager, jobId),
    specimens: views,
    decisions: await manager.findBy(DecisionRow, { jobId }),
    tasks: views.flatMap((view) =>
      dryTasks(
        tasks.filter(({ specimenId }) => specimenId === view.specimen.id),
        view,
        view.film,
      ),
    ),
    log: await readLog(manager, jobId),
    photos,
    photoMeasures: await manager.findBy(PhotoMeasureRow, { photoId: In(photos.map((photo) => photo.id)) }),
    house: await findRow(manager, HouseStyleRow, 'house', 'The house style'),
    planNotices: await readNotices(manager, jobId),
    planChanges: await manager.find(PlanChangeRow, { where: { jobId }, order: { at: 'DESC' }, take: SHOWN_CHANGES }),
    supplies: coverSupplies(
      listSupplies(
        views.map(({ specimen, facts }) => ({
          open: tasks.filter((task) => task.specimenId === specimen.id && !isSettled(task)),
          parts: facts.parts,
        })),
        now,
        views[0]?.facts.sessionMin ?? 0,
      ),
      await readHousehold(manager, now),
      { id: jobId, now },
    ),
    houseChoices: await manager.find(HouseChoiceRow),
    passes: await manager.find(StripPassRow, { where: { jobId }, order: { startedAt: 'ASC' } }),
    room: await findLastReading(manager),
    failures: await readFailures(manager),
    strippedBefore: await readStrippedBefore(manager),
  };
}

/** In the order in which it was written, whatever the clock said. */
const readLog = (manager: EntityManager, jobId: string): Promise<TaskLogRow[]> =>
  manager.find(TaskLogRow, { where: { jobId }, order: { seq: 'ASC' } });

/** What compiling the plans had to say. */
async function readNotices(manager: EntityManager, jobId: string): Promise<string[]> {
  const rows = await manager.query<{ planNotices: string }[]>(
    'SELECT planNotices FROM specimen WHERE jobId = ? ORDER BY id',
    [jobId],
  );
  return rows.flatMap((row) => JSON.parse(row.planNotices) as string[]);
}

/** A model without a job is looked at as if everything were to be done to it. */
const NO_JOB = { id: '', scope: 'full', target: 'as issued' } as const;

export async function readSpecimenView(
  manager: EntityManager,
  specimen: SpecimenRow,
  job: Pick<JobRow, 'id' | 'scope' | 'target'> = NO_JOB,
): Promise<SpecimenView> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  const partIds = parts.map((part) => part.id);
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(partIds) });
  const casting: CastingView | null = specimen.castingId ? await readCastingView(manager, specimen.castingId) : null;
  const catalogue = await readIdentifyCatalogue(manager, specimen.castingId);
  const layers = await manager.find(CoatingLayerRow, {
    where: { areaId: In(areas.map((area) => area.id)) },
    order: { seq: 'ASC' },
  });
  return {
    specimen,
    casting,
    catalogue,
    parts,
    areas,
    layers,
    touches: await manager.find(CoatTouchRow, {
      where: { layerId: In(layers.map((layer) => layer.id)) },
      order: { at: 'ASC' },
    }),
    film: await readStandingCoats(manager, layers),
    observations: alignObservations(await manager.findBy(ObservationRow, { specimenId: specimen.id }), catalogue),
    captures: await manager.find(ColourCaptureRow, {
      where: { specimenPartId: In(partIds) },
      order: { takenAt: 'ASC' },
    }),
    measurements: await manager.findBy(MeasurementRow, { specimenId: specimen.id }),
    sources: await manager.findBy(SourceRow, { specimenId: specimen.id }),
    findings: await manager.findBy(FindingRow, { specimenPartId: In(partIds) }),
    wants: await manager.findBy(WantRow, { specimenPartId: In(partIds) }),
    jointWishes: await manager.findBy(JointWishRow, { specimenId: specimen.id }),
    jointConditions: await manager.findBy(JointConditionRow, { specimenId: specimen.id }),
    foundJoints: await manager.findBy(FoundJointRow, { specimenId: specimen.id }),
    comingsOff: await manager.findBy(ComingOffRow, { specimenPartId: In(partIds) }),
    ...(await readStoredFacts(manager, job, specimen)),
  };
}
