import type { CastingView, JobView, SpecimenView } from '@sardonyx/contract';
import { In, type EntityManager } from 'typeorm';
import { HouseChoiceRow, HouseStyleRow } from '../../entities/house.ts';
import { DecisionRow, JobRow, TaskLogRow, TaskRow } from '../../entities/work.ts';
import { ComingOffRow, FoundJointRow, JointWishRow } from '../../entities/opening.ts';
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
import { findRow } from '../rows/versionedRows.ts';
import { readStrippedBefore } from '../passes/passRoutes.ts';
import { readPlanSaying } from '../tasks/recompilePlan.ts';

/** Older ones are in the log of tasks. */
const SHOWN_CHANGES = 5;

/** Everything one job's page needs. */
export async function readJobView(manager: EntityManager, jobId: string, now: Date): Promise<JobView> {
  const job = await findRow(manager, JobRow, jobId, 'This job');
  const specimens = await manager.find(SpecimenRow, { where: { jobId }, order: { id: 'ASC' } });
  const photos = await manager.find(PhotoRow, { where: { jobId }, order: { takenAt: 'ASC' } });
  const tasks = await manager.find(TaskRow, { where: { jobId }, order: { specimenId: 'ASC', seq: 'ASC' } });
  const { notices, supplies } = await readPlanSaying(manager, job, specimens, tasks, now);
  return {
    job,
    specimens: await Promise.all(specimens.map((specimen) => readSpecimenView(manager, specimen))),
    decisions: await manager.findBy(DecisionRow, { jobId }),
    tasks,
    log: await manager.find(TaskLogRow, { where: { jobId }, order: { at: 'ASC' } }),
    photos,
    photoMeasures: await manager.findBy(PhotoMeasureRow, { photoId: In(photos.map((photo) => photo.id)) }),
    house: await findRow(manager, HouseStyleRow, 'house', 'The house style'),
    planNotices: notices,
    planChanges: await manager.find(PlanChangeRow, { where: { jobId }, order: { at: 'DESC' }, take: SHOWN_CHANGES }),
    supplies,
    houseChoices: await manager.find(HouseChoiceRow),
    passes: await manager.find(StripPassRow, { where: { jobId }, order: { startedAt: 'ASC' } }),
    strippedBefore: await readStrippedBefore(manager),
  };
}

export async function readSpecimenView(manager: EntityManager, specimen: SpecimenRow): Promise<SpecimenView> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  const partIds = parts.map((part) => part.id);
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(partIds) });
  const casting: CastingView | null = specimen.castingId ? await readCastingView(manager, specimen.castingId) : null;
  return {
    specimen,
    casting,
    catalogue: await readIdentifyCatalogue(manager, specimen.castingId),
    parts,
    areas,
    layers: await manager.find(CoatingLayerRow, {
      where: { areaId: In(areas.map((area) => area.id)) },
      order: { seq: 'ASC' },
    }),
    observations: await manager.findBy(ObservationRow, { specimenId: specimen.id }),
    measurements: await manager.findBy(MeasurementRow, { specimenId: specimen.id }),
    sources: await manager.findBy(SourceRow, { specimenId: specimen.id }),
    findings: await manager.findBy(FindingRow, { specimenPartId: In(partIds) }),
    wants: await manager.findBy(WantRow, { specimenPartId: In(partIds) }),
    jointWishes: await manager.findBy(JointWishRow, { specimenId: specimen.id }),
    foundJoints: await manager.findBy(FoundJointRow, { specimenId: specimen.id }),
    comingsOff: await manager.findBy(ComingOffRow, { specimenPartId: In(partIds) }),
  };
}
